export { PrintScreen as default } from '../../../screens/proof/PrintScreen';
