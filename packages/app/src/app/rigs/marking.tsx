export { MarkingPlace as default } from '../../places/rigs/MarkingPlace';
