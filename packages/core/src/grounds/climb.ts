import { assumption } from '../sources/source';
import type { Ground } from './ground';

/** Climbing only: the rear down, the front as it is. How far is our assumption: what climbs best folds in a fast turn. */
export const climb = {
  code: 'climb',
  kinds: ['bicycle'],
  notFor: ['roadBike', 'cityBike'],
  traits: ['lowRear', 'slickTrail'],
  bicycle: {
    start: 0,
    low: -1,
    high: 0,
    source: assumption,
    rear: { start: -3, low: -6, high: -2, source: assumption },
  },
  speedGuideKmh: null,
} as const satisfies Ground;
