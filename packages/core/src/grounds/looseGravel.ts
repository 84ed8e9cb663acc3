import { assumption } from '../sources/source';
import type { Ground } from './ground';

/** Loose gravel: a little softer than hardpack. Assumption. */
export const looseGravel = {
  code: 'looseGravel',
  kinds: ['bicycle'],
  traits: ['slickTrail'],
  bicycle: { start: -1, low: -2, high: 0, source: assumption },
  speedGuideKmh: null,
} as const satisfies Ground;
