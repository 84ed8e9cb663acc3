import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** A plow puts pressure back in front. */
export const plowLoad = {
  code: 'plowLoad',
  severity: 'care',
  source: commonPractice,
  applies: onGround('pushing'),
} as const satisfies Caution;
