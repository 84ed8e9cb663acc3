import { commonPractice } from '../source';
import type { Ground } from './ground';

/** Gravel and corrugations. */
export const gravel = {
  code: 'gravel',
  onReferenceRig: { startPsi: 28, lowPsi: 24, highPsi: 28, source: commonPractice },
  speedGuideKmh: { low: 80, high: 80 },
} as const satisfies Ground;
