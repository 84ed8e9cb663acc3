import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** NHS on a sidewall: not for highway service, so no speed on pavement is promised. */
export const notForHighway = {
  code: 'notForHighway',
  severity: 'danger',
  source: commonPractice,
  applies: ({ ground, axles }) => ground.paved === true && axles.some(({ axle }) => axle.tire.notHighway === true),
} as const satisfies Caution;
