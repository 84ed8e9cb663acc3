export { ToolsComparedPlace as default } from '../../places/air/ToolsComparedPlace';
