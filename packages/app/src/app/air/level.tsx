export { LevelPlace as default } from '../../places/air/LevelPlace';
