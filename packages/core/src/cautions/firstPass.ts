import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** Most damage to soil is done in the first pass. */
export const firstPass = {
  code: 'firstPass',
  severity: 'care',
  source: commonPractice,
  applies: onGround('field', 'moist'),
} as const satisfies Caution;
