import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** Bicycle tires lose air by themselves. */
export const lookEveryRide = {
  code: 'lookEveryRide',
  severity: 'care',
  source: commonPractice,
  applies: ({ family }) => family.kind === 'bicycle',
} as const satisfies Caution;
