export { RoadPlace as default } from '../../places/air/RoadPlace';
