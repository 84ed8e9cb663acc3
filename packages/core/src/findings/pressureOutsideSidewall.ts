import { marked } from '../sources/source';
import type { Check, Finding } from './finding';

/** Road pressure, or what is in a tire now, lies outside what its sidewall allows. */
export const pressureOutsideSidewall = {
  severity: 'danger',
  source: marked,
  find: ({ axles }) =>
    axles.flatMap(({ position, roadKpa, presentKpa, minKpa, maxKpa }) =>
      (
        [
          ['road', roadKpa],
          ['present', presentKpa],
        ] as const
      ).flatMap(([at, pressureKpa]): Finding[] => {
        if (pressureKpa === null) return [];
        const outside = (limit: 'min' | 'max', limitKpa: number): Finding => ({
          code: 'pressureOutsideSidewall',
          position,
          at,
          pressureKpa,
          limit,
          limitKpa,
        });
        if (maxKpa !== null && pressureKpa > maxKpa) return [outside('max', maxKpa)];
        // Let down on purpose, a tire may be below its road minimum: that is for the plan to judge.
        if (at === 'road' && minKpa !== null && pressureKpa < minKpa) return [outside('min', minKpa)];
        return [];
      }),
    ),
} as const satisfies Check;
