export { ProofPlace as default } from '../../places/proof/ProofPlace';
