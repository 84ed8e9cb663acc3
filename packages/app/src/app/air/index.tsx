export { AirPlace as default } from '../../places/air/AirPlace';
