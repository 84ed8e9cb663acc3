export { GroundScreen as default } from '../../screens/ground/GroundScreen';
