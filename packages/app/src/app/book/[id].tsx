export { OutingScreen as default } from '../../screens/book/OutingScreen';
