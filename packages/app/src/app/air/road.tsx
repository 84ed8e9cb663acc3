export { RoadScreen as default } from '../../screens/air/RoadScreen';
