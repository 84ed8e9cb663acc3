import { commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Gravel and corrugations. */
export const gravel = {
  code: 'gravel',
  kinds: ['car', 'quad'],
  traits: ['corrugated', 'slick'],
  onReferenceRig: { start: 28, low: 24, high: 28, source: commonPractice },
  speedGuideKmh: { low: 80, high: 80 },
} as const satisfies Ground;
