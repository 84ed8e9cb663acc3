import type { InTool } from './airTool';

/** A battery pump for one hand: so many liters a charge. Figures: assumptions; the label of one's own pump or its clock replaces them. */
export const handheldPump = {
  code: 'handheldPump',
  way: 'in',
  pump: {
    flow: [
      { pressureKpa: 0, litersPerMin: 14 },
      { pressureKpa: 200, litersPerMin: 9 },
      { pressureKpa: 350, litersPerMin: 6 },
    ],
    duty: { onMin: 10, restMin: 10 },
    budget: { kind: 'liters', liters: 250 },
  },
  setUpS: 12,
  wheelsAtOnce: 1,
} as const satisfies InTool;
