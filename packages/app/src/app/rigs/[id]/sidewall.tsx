export { SidewallScreen as default } from '../../../screens/rigs/RigScreen';
