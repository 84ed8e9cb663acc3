export { PressureCardPlace as default } from '../../../places/ground/PressureCardPlace';
