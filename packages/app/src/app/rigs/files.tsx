export { FilesScreen as default } from '../../screens/rigs/FilesScreen';
