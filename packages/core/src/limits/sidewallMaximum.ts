import { sidewallMostKpa } from '../axle/planAxle';
import { marked } from '../sources/source';
import type { Limit } from './limit';

export const sidewallMaximum = {
  code: 'sidewallMaximum',
  source: marked,
  pressureKpa: ({ axle }) => sidewallMostKpa(axle),
  trace: (_, pressureKpa) => [
    { code: 'sidewallMaximum', inputs: {}, result: { name: 'sidewallMaxKpa', value: pressureKpa }, source: marked },
  ],
} as const satisfies Limit;
