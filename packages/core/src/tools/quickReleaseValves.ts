import type { OutTool } from './airTool';

/** A valve of its own on every wheel: seconds, and past the number before one has read it. Behaviour: common practice, no source. Figures: assumptions. */
export const quickReleaseValves = {
  code: 'quickReleaseValves',
  way: 'out',
  conductanceLPerS: 2,
  setUpS: 3,
  checks: 2,
  checkS: 6,
  wheelsAtOnce: 1,
  stopsItself: false,
  closingKpa: null,
  levels: false,
} as const satisfies OutTool;
