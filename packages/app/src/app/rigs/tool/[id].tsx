export { ToolPlace as default } from '../../../places/rigs/ToolPlace';
