import { chosen } from '../sources/source';
import { defaultFloorKpa } from './bead';
import type { Limit } from './limit';

/** The lowest that the person accepts, where that is more than the trade's. It does not apply when stuck, as the others. */
export const own = {
  code: 'own',
  withoutLoad: true,
  source: chosen,
  pressureKpa: ({ family, axle, ownFloorKpa, stuck }) =>
    stuck || ownFloorKpa === null || ownFloorKpa <= defaultFloorKpa(family, axle.beadHold !== 'none')
      ? null
      : ownFloorKpa,
  trace: (_, pressureKpa) => [
    { code: 'ownFloor', inputs: {}, result: { name: 'ownFloorKpa', value: pressureKpa }, source: chosen },
  ],
} as const satisfies Limit;
