export { ProofScreen as default } from '../../screens/proof/ProofScreen';
