import { assumption, commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Stuck: 8, then 6, at walking pace, straight, then back up. Motorcycles go to the lowest for a bad patch. */
export const stuck = {
  code: 'stuck',
  kinds: ['car', 'quad', 'motorcycle'],
  traits: ['deep'],
  onReferenceRig: { start: 8, low: 6, high: 8, source: commonPractice },
  ofClass: { start: 0.4, low: 0.3, high: 0.4, source: assumption },
  makerSteps: 5,
  speedGuideKmh: { low: 5, high: 5 },
  deliberate: true,
} as const satisfies Ground;
