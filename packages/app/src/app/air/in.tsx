export { AirInPlace as default } from '../../places/air/AiringPlace';
