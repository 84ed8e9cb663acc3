export { CentralPlace as default } from '../../places/air/CentralPlace';
