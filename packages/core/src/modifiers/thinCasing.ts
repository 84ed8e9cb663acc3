import { commonPractice } from '../sources/source';
import type { Modifier } from './modifier';

/** A thin casing: 1 to 2 psi more (common practice, no source). */
export const thinCasing = {
  code: 'thinCasing',
  kinds: ['bicycle'],
  fromRig: ({ casing }) => casing === 'thin',
  shift: { start: 1.5, low: 1, high: 2 },
  source: commonPractice,
} as const satisfies Modifier;
