import { commonPractice } from '../source';
import type { Ground } from './ground';

/** Stuck: 8, then 6, at walking pace, straight, then back up. */
export const stuck = {
  code: 'stuck',
  onReferenceRig: { startPsi: 8, lowPsi: 6, highPsi: 8, source: commonPractice },
  speedGuideKmh: { low: 5, high: 5 },
  deliberate: true,
} as const satisfies Ground;
