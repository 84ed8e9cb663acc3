import type { InTool } from './airTool';

/** A tank and a hose at the yard. Figures: assumptions; the label of one's own pump or its clock replaces them. */
export const workshopCompressor = {
  code: 'workshopCompressor',
  way: 'in',
  pump: {
    flow: [
      { pressureKpa: 0, litersPerMin: 250 },
      { pressureKpa: 350, litersPerMin: 220 },
      { pressureKpa: 700, litersPerMin: 150 },
    ],
    duty: null,
    budget: null,
  },
  setUpS: 10,
  wheelsAtOnce: 1,
} as const satisfies InTool;
