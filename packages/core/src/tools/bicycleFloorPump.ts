import type { InTool } from './airTool';

/** Strokes with both arms, at home or on the trailer. Figures: assumptions; the label of one's own pump or its clock replaces them. */
export const bicycleFloorPump = {
  code: 'bicycleFloorPump',
  way: 'in',
  pump: {
    flow: [
      { pressureKpa: 0, litersPerMin: 14 },
      { pressureKpa: 300, litersPerMin: 11 },
      { pressureKpa: 800, litersPerMin: 6 },
    ],
    duty: null,
    budget: null,
  },
  setUpS: 12,
  wheelsAtOnce: 1,
} as const satisfies InTool;
