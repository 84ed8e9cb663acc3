export { CardScreen as default } from '../../../screens/rigs/CardScreen';
