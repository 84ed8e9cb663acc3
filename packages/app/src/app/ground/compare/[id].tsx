export { CompareScreen as default } from '../../../screens/ground/CompareScreen';
