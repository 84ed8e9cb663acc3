export { PressureCardScreen as default } from '../../../screens/ground/PressureCardScreen';
