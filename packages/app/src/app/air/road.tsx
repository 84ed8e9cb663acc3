import { lazyScreen } from '../../screens/lazyScreen';

export default lazyScreen('RoadScreen');
