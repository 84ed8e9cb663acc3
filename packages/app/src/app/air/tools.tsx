export { ToolsComparedScreen as default } from '../../screens/air/ToolsComparedScreen';
