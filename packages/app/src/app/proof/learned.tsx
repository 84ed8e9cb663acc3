export { LearnedPlace as default } from '../../places/proof/LearnedPlace';
