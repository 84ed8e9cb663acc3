import { commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Forest, hills, mud over a firm base, rock steps. */
export const forestMud = {
  code: 'forestMud',
  kinds: ['car', 'quad'],
  traits: ['mud', 'sharp', 'slick', 'hills'],
  onReferenceRig: { start: 22, low: 20, high: 22, source: commonPractice },
  speedGuideKmh: { low: 25, high: 40 },
} as const satisfies Ground;
