import { commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Rock crawled wheel by wheel. */
export const rockCrawl = {
  code: 'rockCrawl',
  kinds: ['car', 'quad'],
  traits: ['sharp', 'edges'],
  onReferenceRig: { start: 18, low: 16, high: 20, source: commonPractice },
  speedGuideKmh: { low: 10, high: 10 },
} as const satisfies Ground;
