import type { InTool } from './airTool';

/** A bottle of carbon dioxide with a regulator: fast, until it is empty. Freezes skin. Figures: assumptions; the label of one's own pump or its clock replaces them. */
export const carbonDioxideBottle = {
  code: 'carbonDioxideBottle',
  way: 'in',
  pump: {
    flow: [
      { pressureKpa: 0, litersPerMin: 350 },
      { pressureKpa: 350, litersPerMin: 300 },
    ],
    duty: null,
    budget: { kind: 'gas', kg: 2 },
  },
  setUpS: 10,
  wheelsAtOnce: 1,
} as const satisfies InTool;
