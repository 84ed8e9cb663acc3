import { isTrailer } from '../loads/geometry';
import { commonPractice } from '../sources/source';
import type { Check } from './finding';

/**
 * Radial and bias tires on one vehicle steer apart. A trailer may differ from what draws it, and a bias front with a radial
 * rear is a common factory pair on motorcycles; bicycle tires are neither.
 */
export const mixedConstruction = {
  severity: 'danger',
  source: commonPractice,
  find: ({ family, axles }) =>
    (family.kind === 'motorcycle' || family.kind === 'bicycle' ? [] : [false, true]).flatMap((towed) => {
      const body = axles.filter(({ position }) => isTrailer(position) === towed);
      const radial = body.find(({ tire }) => tire.construction === 'radial');
      const bias = body.find(({ tire }) => tire.construction !== 'radial');
      if (!radial || !bias) return [];
      return [{ code: 'mixedConstruction', radial: radial.position, bias: bias.position }];
    }),
} as const satisfies Check;
