import type { OutTool } from './airTool';

/** Screwed on and left alone: they stop at what they were set to, slowly at the end. Behaviour: common practice, no source. Figures: assumptions. */
export const presetDeflators = {
  code: 'presetDeflators',
  way: 'out',
  conductanceLPerS: 0.4,
  setUpS: 12,
  checks: 0,
  checkS: 0,
  wheelsAtOnce: 4,
  stopsItself: true,
  closingKpa: 28,
  levels: false,
} as const satisfies OutTool;
