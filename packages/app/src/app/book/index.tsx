export { BookScreen as default } from '../../screens/book/BookScreen';
