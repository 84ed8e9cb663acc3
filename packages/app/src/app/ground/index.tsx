export { GroundPlace as default } from '../../places/ground/GroundPlace';
