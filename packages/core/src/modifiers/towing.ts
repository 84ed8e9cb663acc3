import { assumption } from '../sources/source';
import type { Modifier } from './modifier';

/** A trailer behind: slower, and worse on sand. */
export const towing = {
  code: 'towing',
  kinds: ['car', 'quad'],
  speedShare: 0.8,
  source: assumption,
} as const satisfies Modifier;
