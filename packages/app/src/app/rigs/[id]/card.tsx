import { later } from '../../../screens/later';

export default later('CardScreen');
