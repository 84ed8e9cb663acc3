import { marked } from '../source';
import type { Limit } from './limit';

/** The most that the sidewall allows, on any ground. */
export const sidewallMaximum = {
  code: 'sidewallMaximum',
  source: marked,
  pressureKpa: ({ axle }) => axle.maxKpa,
  steps: (_, pressureKpa) => [
    { code: 'sidewallMaximum', inputs: {}, result: { name: 'sidewallMaxKpa', value: pressureKpa }, source: marked },
  ],
} as const satisfies Limit;
