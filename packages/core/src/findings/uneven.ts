import { sideOf } from '../loads/geometry';
import { assumption } from '../sources/source';
import type { Check } from './finding';

/** Left and right of an axle may differ by this share of their mean. Assumption. */
export const UNEVEN_SHARE = 0.1;

/** One side of an axle carries clearly more than the other: one pressure does not suit both. */
export const uneven = {
  severity: 'care',
  source: assumption,
  find: ({ axles }) =>
    axles.flatMap(({ position, load }) => {
      if (!load || load.standing === 'shared') return [];
      const on = (side: 'left' | 'right'): number =>
        load.wheels.filter(({ wheel }) => sideOf(wheel) === side).reduce((sum, { loadKg }) => sum + loadKg, 0);
      const [leftKg, rightKg] = [on('left'), on('right')];
      if (Math.abs(leftKg - rightKg) <= (UNEVEN_SHARE * (leftKg + rightKg)) / 2) return [];
      return [{ code: 'uneven', position, leftKg, rightKg, measured: load.standing === 'weighed' }];
    }),
} as const satisfies Check;
