export { LevelScreen as default } from '../../screens/air/LevelScreen';
