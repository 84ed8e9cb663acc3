import type { InTool } from './airTool';

/** Mounted on the rig, one head. Figures: assumptions; the label of one's own pump or its clock replaces them. */
export const onBoardCompressor = {
  code: 'onBoardCompressor',
  way: 'in',
  pump: {
    flow: [
      { pressureKpa: 0, litersPerMin: 80 },
      { pressureKpa: 200, litersPerMin: 52 },
      { pressureKpa: 350, litersPerMin: 42 },
    ],
    duty: { onMin: 30, restMin: 15 },
    budget: null,
  },
  setUpS: 10,
  wheelsAtOnce: 1,
} as const satisfies InTool;
