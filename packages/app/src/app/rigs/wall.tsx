export { WallScreen as default } from '../../screens/rigs/WallScreen';
