export { TapeScreen as default } from '../../../screens/proof/TapeScreen';
