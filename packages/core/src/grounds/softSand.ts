import { assumption, commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Soft sand, desert. The figures of those on two wheels are assumptions. */
export const softSand = {
  code: 'softSand',
  kinds: ['car', 'quad', 'motorcycle', 'bicycle'],
  notFor: ['roadBike', 'cityBike'],
  traits: ['sand', 'loose', 'deep', 'hills'],
  onReferenceRig: { start: 16, low: 15, high: 16, source: commonPractice },
  ofClass: { start: 0.65, low: 0.5, high: 0.65, source: assumption },
  makerSteps: 3,
  bicycle: {
    start: -4,
    low: -9,
    high: -3,
    source: assumption,
    soft: true,
    fatShare: { start: 0.6, low: 0.45, high: 0.65 },
  },
  speedGuideKmh: { low: 30, high: 30 },
} as const satisfies Ground;
