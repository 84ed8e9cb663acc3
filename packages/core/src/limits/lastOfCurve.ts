import { fullPressureKpa } from '../capacity/loadCurve';
import { marked } from '../source';
import type { Limit } from './limit';

/** Where the sidewall's maximum was not read: the firmest that its lines or its data sheet speak of. Farm tires only. */
export const lastOfCurve = {
  code: 'lastOfCurve',
  source: marked,
  pressureKpa: ({ family, axle }) =>
    family.kind === 'farm' && axle.maxKpa === null && axle.curve ? fullPressureKpa(axle.curve) : null,
  steps: (_, pressureKpa) => [
    { code: 'lastOfCurve', inputs: {}, result: { name: 'sidewallMaxKpa', value: pressureKpa }, source: marked },
  ],
} as const satisfies Limit;
