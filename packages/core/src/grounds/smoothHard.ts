import { assumption } from '../sources/source';
import type { Ground } from './ground';

/** Smooth and hard: firmer rolls faster there. How much firmer is our assumption. */
export const smoothHard = {
  code: 'smoothHard',
  kinds: ['bicycle'],
  traits: [],
  bicycle: {
    start: 4,
    low: 2,
    high: 8,
    source: assumption,
    hard: true,
    narrowShare: { start: 1, low: 0.93, high: 1.07 },
    fatShare: { start: 1.58, low: 1.25, high: 1.7 },
  },
  speedGuideKmh: null,
} as const satisfies Ground;
