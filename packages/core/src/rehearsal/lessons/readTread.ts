import type { Lesson } from './lesson';

/** No gauge at hand, snow ahead: the tread tells. */
export const readTread = {
  code: 'readTread',
  kinds: ['quad'],
  ground: 'snow',
  from: 'road',
  lie: {
    soil: 'snow',
    depthM: 0.12,
    legs: [
      { lengthM: 6, fromDeg: 0, toDeg: 0, soft: false },
      { lengthM: 10, fromDeg: 0, toDeg: 2, soft: true },
      { lengthM: 10, fromDeg: 2, toDeg: 7, soft: true },
      { lengthM: 4, fromDeg: 7, toDeg: 0, soft: true },
    ],
  },
  deepEnough: true,
  shift: 0,
  startM: 4,
  paces: ['steady'],
  byTread: true,
  more: 3,
  aroundMin: 30,
  helpMin: 45,
} as const satisfies Lesson;
