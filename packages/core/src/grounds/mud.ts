import { assumption, commonPractice } from '../sources/source';
import type { Ground } from './ground';

/**
 * Mud: a bicycle 1 to 2 psi down at trail widths; narrow tires in per cent, since a 33 mm tire under a rider of 70 kg runs
 * 24 to 33 psi in front and 25 to 36 behind there (common practice, no source). The motorcycle's share is our assumption.
 */
export const mud = {
  code: 'mud',
  kinds: ['motorcycle', 'bicycle'],
  notFor: ['roadBike', 'cityBike'],
  traits: ['mud', 'slick', 'hills'],
  ofClass: { start: 0.8, low: 0.65, high: 0.8, source: assumption },
  makerSteps: 2,
  bicycle: {
    start: -1,
    low: -2,
    high: -1,
    source: commonPractice,
    narrowShare: { start: 0.75, low: 0.6, high: 0.86 },
  },
  speedGuideKmh: { low: 30, high: 30 },
} as const satisfies Ground;
