import { assumption } from '../sources/source';
import type { Modifier } from './modifier';

/**
 * No air of one's own and pavement before the next. It moves no number: who raises it on soft ground gets stuck there. What
 * follows from the ground's own number is said instead (see the remark `noAirNear`).
 */
export const farFromAir = {
  code: 'farFromAir',
  kinds: ['car', 'quad', 'motorcycle'],
  source: assumption,
} as const satisfies Modifier;
