import type { OutTool } from './airTool';

/** A stick, key or stone held on the pin of the valve: slow, and stopped often to read. Behaviour: common practice, no source. Figures: assumptions. */
export const stick = {
  code: 'stick',
  way: 'out',
  conductanceLPerS: 0.3,
  setUpS: 4,
  checks: 4,
  checkS: 8,
  wheelsAtOnce: 1,
  stopsItself: false,
  closingKpa: null,
  levels: false,
} as const satisfies OutTool;
