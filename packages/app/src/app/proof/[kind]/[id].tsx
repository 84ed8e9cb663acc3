export { RoutineScreen as default } from '../../../screens/proof/RoutineScreen';
