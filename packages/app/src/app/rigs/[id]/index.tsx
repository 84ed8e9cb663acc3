export { RigPlace as default } from '../../../places/rigs/RigPlace';
