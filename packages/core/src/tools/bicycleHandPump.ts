import type { InTool } from './airTool';

/** Strokes by hand, at the side of the trail. Figures: assumptions; the label of one's own pump or its clock replaces them. */
export const bicycleHandPump = {
  code: 'bicycleHandPump',
  way: 'in',
  pump: {
    flow: [
      { pressureKpa: 0, litersPerMin: 5 },
      { pressureKpa: 200, litersPerMin: 4 },
      { pressureKpa: 500, litersPerMin: 2.5 },
    ],
    duty: null,
    budget: null,
  },
  setUpS: 15,
  wheelsAtOnce: 1,
} as const satisfies InTool;
