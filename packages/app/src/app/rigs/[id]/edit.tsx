export { RigEditScreen as default } from '../../../screens/rigs/RigScreen';
