import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** Below the floor: one attempt. */
export const stuckOnly = {
  code: 'stuckOnly',
  severity: 'danger',
  source: commonPractice,
  applies: ({ ground }) => ground.deliberate === true,
} as const satisfies Caution;
