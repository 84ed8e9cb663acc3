export { TodayScreen as default } from '../screens/today/TodayScreen';
