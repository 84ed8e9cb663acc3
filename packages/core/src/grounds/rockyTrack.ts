import { commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Rocky, shaly track. */
export const rockyTrack = {
  code: 'rockyTrack',
  kinds: ['car', 'quad'],
  traits: ['sharp', 'edges', 'slick'],
  onReferenceRig: { start: 26, low: 24, high: 26, source: commonPractice },
  speedGuideKmh: { low: 40, high: 40 },
} as const satisfies Ground;
