import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** Recovery gear kills when misused. */
export const recoveryGear = {
  code: 'recoveryGear',
  severity: 'danger',
  source: commonPractice,
  applies: onGround('stuck'),
} as const satisfies Caution;
