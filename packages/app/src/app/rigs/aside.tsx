export { AsidePlace as default } from '../../places/rigs/AsidePlace';
