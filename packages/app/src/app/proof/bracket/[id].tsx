export { BracketPlace as default } from '../../../places/proof/BracketPlace';
