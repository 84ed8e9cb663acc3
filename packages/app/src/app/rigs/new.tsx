export { NewRigScreen as default } from '../../screens/rigs/RigScreen';
