export { AsideScreen as default } from '../../screens/rigs/AsideScreen';
