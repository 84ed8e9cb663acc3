import { commonPractice } from '../source';
import type { Ground } from './ground';

/** Forest, hills, mud over a firm base, rock steps. */
export const forestMud = {
  code: 'forestMud',
  onReferenceRig: { startPsi: 22, lowPsi: 20, highPsi: 22, source: commonPractice },
  speedGuideKmh: { low: 25, high: 40 },
} as const satisfies Ground;
