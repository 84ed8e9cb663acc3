import { assumption } from '../sources/source';
import type { School } from './school';

/** How near is near. Assumption. */
const SHARE = 0.9;

/** Near the maximum of the sidewall: smooth commuting. */
export const nearMaximum = {
  code: 'nearMaximum',
  kinds: ['bicycle'],
  source: assumption,
  counted: false,
  targetKpa: ({ axle: { maxKpa } }) => (maxKpa === null ? 'sidewallMaximum' : maxKpa * SHARE),
  trace: ({ axle: { maxKpa } }, _end, targetKpa) => [
    {
      code: 'nearMaximum',
      inputs: { sidewallMaxKpa: maxKpa! },
      result: { name: 'targetKpa', value: targetKpa },
      source: assumption,
    },
  ],
} as const satisfies School;
