export { ToolScreen as default } from '../../../screens/rigs/ToolScreen';
