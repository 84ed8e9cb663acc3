export { TodayPlace as default } from '../places/today/TodayPlace';
