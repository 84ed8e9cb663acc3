import { commonPractice } from '../sources/source';
import { lowered, type Caution } from './caution';

/** Soft tires at speed overheat and fail. */
export const speedAndHeat = {
  code: 'speedAndHeat',
  severity: 'danger',
  source: commonPractice,
  applies: (context) => context.family.speedGuide && context.guideKmh !== null && lowered(context),
} as const satisfies Caution;
