import { assumption, commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Mud: a bicycle 1 to 2 psi down. The motorcycle's share is our assumption. */
export const mud = {
  code: 'mud',
  kinds: ['motorcycle', 'bicycle'],
  traits: ['mud', 'slick', 'hills'],
  ofClass: { start: 0.8, low: 0.65, high: 0.8, source: assumption },
  makerSteps: 2,
  bicycle: { start: -1, low: -2, high: -1, source: commonPractice },
  speedGuideKmh: { low: 30, high: 30 },
} as const satisfies Ground;
