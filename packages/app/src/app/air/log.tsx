export { LogPlace as default } from '../../places/air/LogPlace';
