import { assumption } from '../sources/source';
import type { Modifier } from './modifier';

/** Wet and slippery on driven wheels: no other pressure, but less speed. */
export const slippery = {
  code: 'slippery',
  kinds: ['car', 'quad', 'motorcycle'],
  on: 'slick',
  speedShare: 0.8,
  source: assumption,
} as const satisfies Modifier;
