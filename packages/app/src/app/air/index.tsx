export { AirScreen as default } from '../../screens/air/AirScreen';
