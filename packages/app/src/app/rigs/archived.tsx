export { ArchivedScreen as default } from '../../screens/rigs/ArchivedScreen';
