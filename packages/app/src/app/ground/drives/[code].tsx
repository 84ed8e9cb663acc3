import { later } from '../../../screens/later';

export default later('DriveScreen');
