import type { OutTool } from './airTool';

/** Hoses from several wheels to one valve: all go down together and come out level. Behaviour: common practice, no source. Figures: assumptions. */
export const hoseManifold = {
  code: 'hoseManifold',
  way: 'out',
  conductanceLPerS: 0.35,
  setUpS: 12,
  checks: 3,
  checkS: 6,
  wheelsAtOnce: 4,
  stopsItself: false,
  closingKpa: null,
  levels: true,
} as const satisfies OutTool;
