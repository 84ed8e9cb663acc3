import { commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Berms and jumps: 1 to 2 psi more. */
export const bikePark = {
  code: 'bikePark',
  kinds: ['bicycle'],
  notFor: ['roadBike', 'cityBike', 'gravelBike'],
  traits: ['edges', 'slickTrail'],
  bicycle: { start: 2, low: 1, high: 2, source: commonPractice },
  speedGuideKmh: null,
} as const satisfies Ground;
