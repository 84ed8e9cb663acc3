export { PrintPlace as default } from '../../../places/proof/PrintPlace';
