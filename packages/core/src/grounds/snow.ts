import { assumption, commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Snow: on wheels of four 20 psi, "lower if it holds you"; how much lower has no figure in the trade, so 15 is our
 * assumption, as are the figures of those on two wheels. */
export const snow = {
  code: 'snow',
  kinds: ['car', 'quad', 'motorcycle', 'bicycle'],
  notFor: ['roadBike'],
  traits: ['snow', 'hills'],
  onReferenceRig: { start: 20, low: 15, high: 20, source: commonPractice, lowSource: assumption },
  ofClass: { start: 0.8, low: 0.6, high: 0.8, source: assumption },
  makerSteps: 2,
  bicycle: {
    start: -4,
    low: -10,
    high: -3,
    source: assumption,
    soft: true,
    fatShare: { start: 0.55, low: 0.38, high: 0.7 },
  },
  speedGuideKmh: { low: 40, high: 40 },
} as const satisfies Ground;
