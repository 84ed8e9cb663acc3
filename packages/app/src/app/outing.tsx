export { StartOuting as default } from '../screens/today/StartOuting';
