export { AirOutPlace as default } from '../../places/air/AiringPlace';
