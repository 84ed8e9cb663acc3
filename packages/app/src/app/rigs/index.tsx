export { RigsPlace as default } from '../../places/rigs/RigsPlace';
