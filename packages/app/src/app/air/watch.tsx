export { WatchPlace as default } from '../../places/air/WatchPlace';
