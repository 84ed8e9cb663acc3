import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** The person needs more speed than this ground and these tires are good for. */
export const fasterThanGuide = {
  code: 'fasterThanGuide',
  severity: 'danger',
  source: commonPractice,
  applies: ({ speedKmh, guideKmh }) => speedKmh !== null && guideKmh !== null && speedKmh > guideKmh,
} as const satisfies Caution;
