export { GaugePlace as default } from '../../../places/rigs/GaugePlace';
