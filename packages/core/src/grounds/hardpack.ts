import { commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Hardpack trail: what the trade's reference points are for. */
export const hardpack = {
  code: 'hardpack',
  kinds: ['bicycle'],
  traits: ['slickTrail'],
  bicycle: { start: 0, low: -1, high: 1, source: commonPractice },
  speedGuideKmh: null,
} as const satisfies Ground;
