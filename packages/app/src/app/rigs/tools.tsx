export { ToolsScreen as default } from '../../screens/rigs/ToolsScreen';
