import type { InTool } from './airTool';

/** Mounted on the rig, two heads. Figures: assumptions; the label of one's own pump or its clock replaces them. */
export const onBoardTwinCompressor = {
  code: 'onBoardTwinCompressor',
  way: 'in',
  pump: {
    flow: [
      { pressureKpa: 0, litersPerMin: 174 },
      { pressureKpa: 200, litersPerMin: 120 },
      { pressureKpa: 350, litersPerMin: 98 },
    ],
    duty: null,
    budget: null,
  },
  setUpS: 10,
  wheelsAtOnce: 1,
} as const satisfies InTool;
