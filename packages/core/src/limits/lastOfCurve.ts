import { fullPressureKpa } from '../capacity/loadCurve';
import { marked } from '../sources/source';
import type { Limit } from './limit';

/** Where the sidewall's maximum was not read: the firmest that the tire's data sheet speaks of. */
export const lastOfCurve = {
  code: 'lastOfCurve',
  source: marked,
  pressureKpa: ({ axle }) => (axle.maxKpa === null && axle.curve?.from === 'rows' ? fullPressureKpa(axle.curve) : null),
  trace: (_, pressureKpa) => [
    { code: 'lastOfCurve', inputs: {}, result: { name: 'sidewallMaxKpa', value: pressureKpa }, source: marked },
  ],
} as const satisfies Limit;
