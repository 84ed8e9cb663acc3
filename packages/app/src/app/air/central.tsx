export { CentralScreen as default } from '../../screens/air/CentralScreen';
