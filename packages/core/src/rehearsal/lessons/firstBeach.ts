import type { Lesson } from './lesson';
import { SOFT_SAND_SHIFT } from '../softSand';

/** From a firm track onto the first soft sand, and over a rise. */
export const firstBeach = {
  code: 'firstBeach',
  kinds: ['car'],
  ground: 'softSand',
  from: 'road',
  lie: {
    soil: 'drySand',
    depthM: null,
    legs: [
      { lengthM: 8, fromDeg: 0, toDeg: 0, soft: false },
      { lengthM: 8, fromDeg: 0, toDeg: 1.8, soft: true },
      { lengthM: 12, fromDeg: 1.8, toDeg: 10, soft: true },
      { lengthM: 3, fromDeg: 10, toDeg: 0, soft: true },
      { lengthM: 4, fromDeg: 0, toDeg: 0, soft: true },
    ],
  },
  shift: SOFT_SAND_SHIFT,
  startM: 6,
  paces: ['steady'],
  more: 3,
  aroundMin: 40,
  helpMin: 60,
} as const satisfies Lesson;
