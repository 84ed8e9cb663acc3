import { commonPractice } from '../sources/source';
import type { Modifier } from './modifier';

/** A downhill casing: 1 to 2 psi less (common practice, no source). */
export const downhillCasing = {
  code: 'downhillCasing',
  kinds: ['bicycle'],
  fromRig: ({ casing }) => casing === 'downhill',
  shift: { start: -1.5, low: -2, high: -1 },
  source: commonPractice,
} as const satisfies Modifier;
