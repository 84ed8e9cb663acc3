import { isTrailer } from '../loads/geometry';
import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** Radial and bias tires on one vehicle steer apart; a factory pair on motorcycles is no such mix, and a trailer may differ. */
export const mixedTires = {
  code: 'mixedTires',
  severity: 'danger',
  source: commonPractice,
  applies: ({ family, axles }) =>
    family.kind !== 'motorcycle' &&
    family.kind !== 'bicycle' &&
    [false, true].some((towed) => {
      const body = axles.filter(({ axle }) => isTrailer(axle.position) === towed);
      return new Set(body.map(({ axle }) => axle.tire.construction === 'radial')).size > 1;
    }),
} as const satisfies Caution;
