import { commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Wet roots and wet trail: 1 to 2 psi down. */
export const wetTrail = {
  code: 'wetTrail',
  kinds: ['bicycle'],
  notFor: ['roadBike'],
  traits: [],
  bicycle: { start: -1, low: -2, high: -1, source: commonPractice },
  speedGuideKmh: null,
} as const satisfies Ground;
