import { commonPractice } from '../sources/source';
import type { Modifier } from './modifier';

/** Ridden fast: the rim is hit harder. On rock 2 psi in all (common practice, no source): one of the ground, one of this. */
export const fast = {
  code: 'fast',
  kinds: ['bicycle', 'motorcycle'],
  opposite: 'gentle',
  shift: { start: 1, low: 0, high: 2 },
  source: commonPractice,
} as const satisfies Modifier;
