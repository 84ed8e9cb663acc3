export { RigEditPlace as default } from '../../../places/rigs/RigPlace';
