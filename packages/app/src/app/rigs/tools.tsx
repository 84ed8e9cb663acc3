export { ToolsPlace as default } from '../../places/rigs/ToolsPlace';
