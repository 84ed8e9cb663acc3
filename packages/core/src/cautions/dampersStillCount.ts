import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** Pressure is no substitute for worn dampers. */
export const dampersStillCount = {
  code: 'dampersStillCount',
  severity: 'care',
  source: commonPractice,
  applies: onGround('corrugated'),
} as const satisfies Caution;
