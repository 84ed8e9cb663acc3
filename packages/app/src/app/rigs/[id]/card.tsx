export { CardPlace as default } from '../../../places/rigs/CardPlace';
