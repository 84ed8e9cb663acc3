import { assumption } from '../source';
import type { Ground } from './ground';

/** Broken pavement: softer than on smooth, because it shakes. Assumption. */
export const brokenPavement = {
  code: 'brokenPavement',
  kinds: ['bicycle'],
  bicycle: { start: 0, low: -1, high: 2, source: assumption },
  edges: true,
  speedGuideKmh: null,
} as const satisfies Ground;
