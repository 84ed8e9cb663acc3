import type { Lesson } from './lesson';

/** A wet hollow at the edge of a field; or round it. */
export const wetField = {
  code: 'wetField',
  kinds: ['farm'],
  ground: 'fieldWet',
  from: 'road',
  lie: {
    soil: 'clayeySoil',
    depthM: 0.5,
    legs: [
      { lengthM: 10, fromDeg: 0, toDeg: 0, soft: false },
      { lengthM: 8, fromDeg: 0, toDeg: 0, soft: true },
      { lengthM: 10, fromDeg: -1, toDeg: 2, soft: true, shift: 0.35 },
      { lengthM: 8, fromDeg: 2, toDeg: 0, soft: true },
    ],
  },
  shift: 0,
  startM: 8,
  paces: ['steady'],
  more: 1,
  aroundMin: 12,
  helpMin: 90,
} as const satisfies Lesson;
