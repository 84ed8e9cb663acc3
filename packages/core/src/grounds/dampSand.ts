import { commonPractice, assumption } from '../source';
import type { Ground } from './ground';

/** Packed damp sand: 18; the low end, where soft sand begins, is our assumption. */
export const dampSand = {
  code: 'dampSand',
  onReferenceRig: { startPsi: 18, lowPsi: 16, highPsi: 18, source: commonPractice, lowSource: assumption },
  speedGuideKmh: { low: 40, high: 40 },
} as const satisfies Ground;
