export { LoadScreen as default } from '../../../../screens/rigs/RigScreen';
