export { LearnedScreen as default } from '../../screens/proof/LearnedScreen';
