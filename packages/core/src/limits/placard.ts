import { marked } from '../source';
import type { Limit } from './limit';

/** No firmer off the road than on it. A bicycle's pressure of today and a farm tire's of the heaviest day are no limits. */
export const placard = {
  code: 'placard',
  source: marked,
  pressureKpa: ({ family, axle }) => (family.placardRules ? axle.roadKpa : null),
  steps: (_, pressureKpa) => [
    { code: 'placardCeiling', inputs: {}, result: { name: 'roadKpa', value: pressureKpa }, source: marked },
  ],
} as const satisfies Limit;
