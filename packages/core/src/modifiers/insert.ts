import { commonPractice } from '../sources/source';
import type { Modifier } from './modifier';

/** An insert: 2 to 4 psi less (common practice, no source). */
export const insert = {
  code: 'insert',
  kinds: ['bicycle'],
  fromRig: ({ insert }) => insert,
  shift: { start: -3, low: -4, high: -2 },
  source: commonPractice,
} as const satisfies Modifier;
