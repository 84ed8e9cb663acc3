import { commonPractice } from '../sources/source';
import type { Modifier } from './modifier';

/** Wet: bicycles go 1 to 2 psi down for grip (common practice, no source). */
export const wet = {
  code: 'wet',
  kinds: ['bicycle'],
  on: 'slickTrail',
  shift: { start: -1.5, low: -2, high: -1 },
  source: commonPractice,
} as const satisfies Modifier;
