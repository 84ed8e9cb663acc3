import { assumption, commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Packed damp sand: 18; the low end is our assumption. */
export const dampSand = {
  code: 'dampSand',
  kinds: ['car', 'quad'],
  traits: ['sand'],
  onReferenceRig: { start: 18, low: 16, high: 18, source: commonPractice, lowSource: assumption },
  speedGuideKmh: { low: 40, high: 40 },
} as const satisfies Ground;
