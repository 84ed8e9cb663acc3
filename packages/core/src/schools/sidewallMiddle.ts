import { commonPractice } from '../sources/source';
import type { Figure } from '../grounds/figure';
import type { School } from './school';

/** Where in the range: from the middle, the window is the range itself. */
const PLACE: Record<Figure, number> = { low: 0, start: 0.5, high: 1 };

/** The range on the sidewall, from its middle. */
export const sidewallMiddle = {
  code: 'sidewallMiddle',
  kinds: ['bicycle'],
  source: commonPractice,
  counted: false,
  targetKpa: ({ axle: { minKpa, maxKpa } }, end) =>
    minKpa === null || maxKpa === null ? 'sidewallRange' : minKpa + (maxKpa - minKpa) * PLACE[end],
  trace: ({ axle: { minKpa, maxKpa } }, _end, targetKpa) => [
    {
      code: 'sidewallMiddle',
      inputs: { sidewallMinKpa: minKpa!, sidewallMaxKpa: maxKpa! },
      result: { name: 'targetKpa', value: targetKpa },
      source: commonPractice,
    },
  ],
} as const satisfies School;
