import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** What climbs best folds in a fast turn. */
export const foldsInTurn = {
  code: 'foldsInTurn',
  severity: 'danger',
  source: commonPractice,
  applies: onGround('lowRear'),
} as const satisfies Caution;
