import { assumption } from '../sources/source';
import type { Ground } from './ground';

/** Roots, dry. Assumption: as on hardpack, firmer where they are hit square. */
export const roots = {
  code: 'roots',
  kinds: ['bicycle'],
  notFor: ['roadBike', 'cityBike'],
  traits: ['edges', 'slickTrail'],
  bicycle: { start: 0, low: -1, high: 1, source: assumption },
  speedGuideKmh: null,
} as const satisfies Ground;
