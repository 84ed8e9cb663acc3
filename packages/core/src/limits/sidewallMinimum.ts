import { marked } from '../sources/source';
import type { Limit } from './limit';

/** The least that the sidewall allows; only the deliberate step when stuck goes below it. */
export const sidewallMinimum = {
  code: 'sidewallMinimum',
  withoutLoad: true,
  source: marked,
  pressureKpa: ({ axle, stuck }) => (stuck ? null : axle.minKpa),
  trace: (_, pressureKpa) => [
    { code: 'sidewallMinimum', inputs: {}, result: { name: 'sidewallMinKpa', value: pressureKpa }, source: marked },
  ],
} as const satisfies Limit;
