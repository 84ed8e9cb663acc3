import { commonPractice } from '../source';
import type { Ground } from './ground';

/** Very soft or steep sand. */
export const verySoftSand = {
  code: 'verySoftSand',
  onReferenceRig: { startPsi: 12, lowPsi: 10, highPsi: 12, source: commonPractice },
  speedGuideKmh: { low: 20, high: 20 },
} as const satisfies Ground;
