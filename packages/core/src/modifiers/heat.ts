import { commonPractice } from '../sources/source';
import type { Modifier } from './modifier';

/** Hot day: hot sand is softer, and soft tires run hotter. */
export const heat = {
  code: 'heat',
  kinds: ['car', 'quad', 'motorcycle'],
  startAt: 'low',
  on: 'sand',
  speedShare: 0.8,
  source: commonPractice,
} as const satisfies Modifier;
