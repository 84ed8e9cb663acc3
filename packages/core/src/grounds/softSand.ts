import { commonPractice } from '../source';
import type { Ground } from './ground';

/** Soft sand, desert. */
export const softSand = {
  code: 'softSand',
  onReferenceRig: { startPsi: 16, lowPsi: 15, highPsi: 16, source: commonPractice },
  speedGuideKmh: { low: 30, high: 30 },
} as const satisfies Ground;
