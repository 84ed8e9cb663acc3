export { WatchScreen as default } from '../../screens/air/WatchScreen';
