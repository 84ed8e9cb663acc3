import { commonPractice, assumption } from '../source';
import type { Ground } from './ground';

/** Snow: 20, "lower if it holds you"; how much lower has no figure in the trade, so 15 is our assumption. */
export const snow = {
  code: 'snow',
  onReferenceRig: { startPsi: 20, lowPsi: 15, highPsi: 20, source: commonPractice, lowSource: assumption },
  speedGuideKmh: { low: 40, high: 40 },
} as const satisfies Ground;
