import { placardRules } from '../axle/axleContext';
import { assumption, marked } from '../sources/source';
import type { Limit } from './limit';
import { BELOW_ROAD } from './speedPairs';

/** No firmer off the road than on it. A bicycle's pressure of today and a farm tire's of the heaviest day are no limits. */
export const placard = {
  code: 'placard',
  source: marked,
  pressureKpa: ({ family, axle }) => (family.placardRules ? axle.roadKpa : null),
  trace: (_, pressureKpa) => [
    { code: 'placardCeiling', inputs: {}, result: { name: 'roadKpa', value: pressureKpa }, source: marked },
  ],
} as const satisfies Limit;

/**
 * Off pavement a little below it: loose ground wants some air out, whatever the schools come to. A floor that lies
 * higher overrules it. Assumption.
 */
export const belowRoad = {
  code: 'belowRoad',
  source: assumption,
  pressureKpa: (context) => {
    const { family, axle } = context;
    const counts = (family.kind === 'car' || family.kind === 'quad') && !placardRules(context);
    return counts && axle.roadKpa !== null ? BELOW_ROAD * axle.roadKpa : null;
  },
  trace: ({ axle }, pressureKpa) => [
    {
      code: 'belowRoad',
      inputs: { roadKpa: axle.roadKpa!, groundShare: BELOW_ROAD },
      result: { name: 'highestKpa', value: pressureKpa },
      source: assumption,
    },
  ],
} as const satisfies Limit;
