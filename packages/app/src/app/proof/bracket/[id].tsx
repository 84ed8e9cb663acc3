export { BracketScreen as default } from '../../../screens/proof/BracketScreen';
