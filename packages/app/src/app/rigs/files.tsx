export { FilesPlace as default } from '../../places/rigs/FilesPlace';
