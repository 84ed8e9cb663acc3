import { assumption } from '../sources/source';
import type { Modifier } from './modifier';

/** Steep: the low end of the window from the start. */
export const steep = {
  code: 'steep',
  kinds: ['car', 'quad', 'motorcycle'],
  on: 'hills',
  startAt: 'low',
  speedShare: 0.8,
  source: assumption,
} as const satisfies Modifier;
