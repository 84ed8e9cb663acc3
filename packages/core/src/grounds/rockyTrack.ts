import { commonPractice } from '../source';
import type { Ground } from './ground';

/** Rocky, shaly track. */
export const rockyTrack = {
  code: 'rockyTrack',
  onReferenceRig: { startPsi: 26, lowPsi: 24, highPsi: 26, source: commonPractice },
  speedGuideKmh: { low: 40, high: 40 },
} as const satisfies Ground;
