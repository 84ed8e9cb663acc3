import { assumption } from '../sources/source';
import type { Modifier } from './modifier';

/** Ridden gently. */
export const gentle = {
  code: 'gentle',
  kinds: ['bicycle', 'motorcycle'],
  opposite: 'fast',
  shift: { start: -1, low: -2, high: 0 },
  source: assumption,
} as const satisfies Modifier;
