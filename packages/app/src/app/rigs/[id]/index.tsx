export { RigScreen as default } from '../../../screens/rigs/RigScreen';
