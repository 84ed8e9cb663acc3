import { commonPractice, type Source } from '../sources/source';

/** Share of rider and bicycle on the front wheel, by how the rider sits. Common practice, no source. */
export const POSTURES = {
  timeTrial: 0.5,
  road: 0.45,
  gravel: 0.4,
  mountain: 0.375,
} as const;

export type Posture = keyof typeof POSTURES;
export const POSTURE_CODES = Object.keys(POSTURES) as [Posture, ...Posture[]];
export const POSTURE_SOURCE: Source = commonPractice;
