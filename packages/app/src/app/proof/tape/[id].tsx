export { TapePlace as default } from '../../../places/proof/TapePlace';
