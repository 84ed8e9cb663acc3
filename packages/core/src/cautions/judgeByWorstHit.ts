import { isLike } from '../grounds/ground';
import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** Rim strikes are judged by the worst hit of the ride. */
export const judgeByWorstHit = {
  code: 'judgeByWorstHit',
  severity: 'care',
  source: commonPractice,
  applies: ({ family, ground }) => family.kind === 'bicycle' && isLike(ground, 'edges'),
} as const satisfies Caution;
