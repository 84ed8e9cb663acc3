export { OutingPlace as default } from '../../places/book/OutingPlace';
