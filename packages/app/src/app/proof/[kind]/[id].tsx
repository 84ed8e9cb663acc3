export { RoutinePlace as default } from '../../../places/proof/RoutinePlace';
