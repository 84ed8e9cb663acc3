import { commonPractice } from '../sources/source';
import { referenceKpa } from '../reference/referenceRig';
import type { School } from './school';

/** The fixed table: the same numbers on every rig. */
export const fixedTable = {
  code: 'fixedTable',
  kinds: ['car'],
  source: commonPractice,
  withoutLoad: true,
  targetKpa: referenceKpa,
  trace: (context, end, targetKpa) => [
    {
      code: 'tablePressure',
      inputs: { referencePressureKpa: referenceKpa(context, end) },
      result: { name: 'targetKpa', value: targetKpa },
      source: commonPractice,
    },
  ],
} as const satisfies School;
