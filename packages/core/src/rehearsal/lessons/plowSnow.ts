import type { Lesson } from './lesson';

/** A lane to be plowed, knee-deep, uphill at its end. */
export const plowSnow = {
  code: 'plowSnow',
  kinds: ['quad'],
  ground: 'plowing',
  from: 'road',
  lie: {
    soil: 'snow',
    depthM: 0.12,
    legs: [
      { lengthM: 6, fromDeg: 0, toDeg: 0, soft: false },
      { lengthM: 10, fromDeg: 0, toDeg: 2, soft: true },
      { lengthM: 8, fromDeg: 2, toDeg: 4, soft: true },
      { lengthM: 4, fromDeg: 4, toDeg: 0, soft: true },
    ],
  },
  deepEnough: true,
  shift: 0,
  startM: 4,
  paces: ['idle', 'steady'],
  pushedShare: 0.06,
  more: 3,
  aroundMin: 40,
  helpMin: 45,
} as const satisfies Lesson;
