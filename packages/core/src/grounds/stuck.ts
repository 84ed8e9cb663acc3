import { assumption, commonPractice } from '../sources/source';
import type { Ground } from './ground';

/**
 * Stuck: 8, then 6, at walking pace, straight, then back up. Motorcycles go to the lowest for a bad patch. Bicycles go to the
 * lowest that the tire can be ridden on: their figures here lie near or below it, so that it mostly decides. Farm tires go by
 * their load at walking pace.
 */
export const stuck = {
  code: 'stuck',
  kinds: ['car', 'quad', 'motorcycle', 'bicycle', 'farm'],
  traits: ['deep'],
  onReferenceRig: { start: 8, low: 6, high: 8, source: commonPractice },
  ofClass: { start: 0.4, low: 0.3, high: 0.4, source: assumption },
  makerSteps: 5,
  bicycle: {
    start: -14,
    low: -16,
    high: -14,
    source: assumption,
    soft: true,
    narrowShare: { start: 0.45, low: 0.4, high: 0.45 },
    fatShare: { start: 0.35, low: 0.3, high: 0.35 },
  },
  speedGuideKmh: { low: 5, high: 5 },
  deliberate: true,
} as const satisfies Ground;
