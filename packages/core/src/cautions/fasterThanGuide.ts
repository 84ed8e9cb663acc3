import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** The person needs more speed than this ground is good for. */
export const fasterThanGuide = {
  code: 'fasterThanGuide',
  severity: 'danger',
  source: commonPractice,
  applies: ({ speedKmh, groundGuideKmh }) => speedKmh !== null && groundGuideKmh !== null && speedKmh > groundGuideKmh,
} as const satisfies Caution;
