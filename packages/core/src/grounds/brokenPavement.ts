import { assumption } from '../sources/source';
import type { Ground } from './ground';

/** Broken pavement: softer than on smooth, because it shakes. Assumption. */
export const brokenPavement = {
  code: 'brokenPavement',
  kinds: ['bicycle'],
  traits: ['edges', 'slickTrail'],
  bicycle: {
    start: 0,
    low: -1,
    high: 2,
    source: assumption,
    hard: true,
    narrowShare: { start: 0.9, low: 0.83, high: 1 },
    fatShare: { start: 1.3, low: 1.1, high: 1.5 },
  },
  speedGuideKmh: null,
} as const satisfies Ground;
