import type { InTool } from './airTool';

/** Plugged into the lighter socket. Figures: assumptions; the label of one's own pump or its clock replaces them. */
export const socketCompressor = {
  code: 'socketCompressor',
  way: 'in',
  pump: {
    flow: [
      { pressureKpa: 0, litersPerMin: 30 },
      { pressureKpa: 200, litersPerMin: 18 },
      { pressureKpa: 350, litersPerMin: 12 },
    ],
    duty: { onMin: 12, restMin: 12 },
    budget: null,
  },
  setUpS: 12,
  wheelsAtOnce: 1,
} as const satisfies InTool;
