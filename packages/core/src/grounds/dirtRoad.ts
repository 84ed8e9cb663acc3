import { commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Dirt road on a motorcycle: the class table; how far below it one goes is our assumption, as is the speed guide. */
export const dirtRoad = {
  code: 'dirtRoad',
  kinds: ['motorcycle'],
  traits: ['slick'],
  ofClass: { start: 1, low: 0.85, high: 1.25, source: commonPractice },
  makerSteps: 1,
  speedGuideKmh: { low: 60, high: 80 },
} as const satisfies Ground;
