import { marked } from '../sources/source';
import type { Limit } from './limit';

/** Below the first row of a data sheet nothing is promised, whatever stands on the wheel. Weighed, the load asks for more. */
export const firstRow = {
  code: 'firstRow',
  withoutLoad: true,
  source: marked,
  pressureKpa: ({ sheetKpa, unweighed }) => (unweighed ? sheetKpa : null),
  trace: (_, pressureKpa) => [
    { code: 'firstRow', inputs: {}, result: { name: 'lowestKpa', value: pressureKpa }, source: marked },
  ],
} as const satisfies Limit;
