export { NewRigPlace as default } from '../../places/rigs/RigPlace';
