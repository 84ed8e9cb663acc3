import type { InTool } from './airTool';

/** Clipped to the battery, with a long hose. Figures: assumptions; the label of one's own pump or its clock replaces them. */
export const batteryClipCompressor = {
  code: 'batteryClipCompressor',
  way: 'in',
  pump: {
    flow: [
      { pressureKpa: 0, litersPerMin: 72 },
      { pressureKpa: 200, litersPerMin: 46 },
      { pressureKpa: 350, litersPerMin: 35 },
    ],
    duty: { onMin: 30, restMin: 15 },
    budget: null,
  },
  setUpS: 12,
  wheelsAtOnce: 1,
} as const satisfies InTool;
