export { DayPlace as default } from '../../places/ground/DayPlace';
