export { MarkingScreen as default } from '../../screens/rigs/MarkingScreen';
