export { DayScreen as default } from '../../screens/ground/DayScreen';
