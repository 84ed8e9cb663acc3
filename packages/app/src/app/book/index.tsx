export { BookPlace as default } from '../../places/book/BookPlace';
