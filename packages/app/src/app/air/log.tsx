export { LogScreen as default } from '../../screens/air/LogScreen';
