import { commonPractice } from '../sources/source';
import type { Modifier } from './modifier';

/** A tube: 2 to 4 psi more, so that it is not pinched (common practice, no source). */
export const tube = {
  code: 'tube',
  kinds: ['bicycle'],
  fromRig: ({ tube }) => tube,
  shift: { start: 3, low: 2, high: 4 },
  notOnNarrow: true,
  source: commonPractice,
} as const satisfies Modifier;
