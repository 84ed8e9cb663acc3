import { assumption } from '../source';
import type { Ground } from './ground';

/** Smooth and hard: firmer rolls faster there. How much firmer is our assumption. */
export const smoothHard = {
  code: 'smoothHard',
  kinds: ['bicycle'],
  bicycle: { start: 4, low: 2, high: 8, source: assumption },
  speedGuideKmh: null,
} as const satisfies Ground;
