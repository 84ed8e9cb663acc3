import { assumption } from '../sources/source';
import type { Modifier } from './modifier';

/** No air of one's own and pavement before the next: the firm end, and what the way there takes. */
export const farFromAir = {
  code: 'farFromAir',
  kinds: ['car', 'quad', 'motorcycle'],
  startAt: 'high',
  reachAirKmh: 60,
  source: assumption,
} as const satisfies Modifier;
