export { GaugeScreen as default } from '../../../screens/rigs/GaugeScreen';
