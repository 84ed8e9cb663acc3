export { AirOutScreen as default } from '../../screens/air/AiringScreen';
