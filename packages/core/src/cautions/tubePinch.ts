import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** A tube is pinched before a rim is struck. */
export const tubePinch = {
  code: 'tubePinch',
  severity: 'care',
  source: commonPractice,
  applies: ({ family, axles }) => family.kind === 'bicycle' && axles.some(({ axle }) => axle.tube),
} as const satisfies Caution;
