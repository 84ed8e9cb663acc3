import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** Sidewall, placard, law and a qualified fitter overrule this program. */
export const overruled = {
  code: 'overruled',
  severity: 'care',
  source: commonPractice,
  applies: () => true,
} as const satisfies Caution;
