export { AirInScreen as default } from '../../screens/air/AiringScreen';
