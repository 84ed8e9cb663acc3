export { RigsScreen as default } from '../../screens/rigs/RigsScreen';
