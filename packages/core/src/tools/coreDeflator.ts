import type { OutTool } from './airTool';

/** Pulls the core out of the valve: fast, with a gauge on it that is read by closing it. Behaviour: common practice, no source. Figures: assumptions. */
export const coreDeflator = {
  code: 'coreDeflator',
  way: 'out',
  conductanceLPerS: 1.1,
  setUpS: 18,
  checks: 2,
  checkS: 5,
  wheelsAtOnce: 1,
  stopsItself: false,
  closingKpa: null,
  levels: false,
} as const satisfies OutTool;
