import type { Lesson } from './lesson';
import { SOFT_SAND_SHIFT } from '../softSand';

/** From damp, packed sand up through the soft rim of the beach, with the tide behind. */
export const softExit = {
  code: 'softExit',
  kinds: ['car'],
  ground: 'verySoftSand',
  from: 'dampSand',
  lie: {
    soil: 'drySand',
    depthM: null,
    legs: [
      { lengthM: 10, fromDeg: 0, toDeg: 0, soft: false },
      { lengthM: 20, fromDeg: 2.4, toDeg: 12, soft: true },
      { lengthM: 5, fromDeg: 12, toDeg: 12, soft: true },
      { lengthM: 4, fromDeg: 12, toDeg: 0, soft: true },
      { lengthM: 3, fromDeg: 0, toDeg: 0, soft: false },
    ],
  },
  shift: SOFT_SAND_SHIFT,
  startM: 8,
  paces: ['idle', 'runUp'],
  more: 0,
  aroundMin: 35,
  helpMin: 120,
} as const satisfies Lesson;
