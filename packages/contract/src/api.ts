export type { Calculator } from './calculators/calculator';
export { CALCULATORS } from './calculators/registry';
export { openApi } from './openapi';
