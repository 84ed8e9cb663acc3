export { LoadPlace as default } from '../../../../places/rigs/RigPlace';
