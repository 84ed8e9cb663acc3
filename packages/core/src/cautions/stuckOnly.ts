import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** Below the floor: one attempt. */
export const stuckOnly = {
  code: 'stuckOnly',
  severity: 'danger',
  source: commonPractice,
  applies: onGround('stuck'),
} as const satisfies Caution;
