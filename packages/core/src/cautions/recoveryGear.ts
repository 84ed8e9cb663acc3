import { commonPractice } from '../sources/source';
import type { Caution } from './caution';

/** Recovery gear kills when misused. */
export const recoveryGear = {
  code: 'recoveryGear',
  severity: 'danger',
  source: commonPractice,
  applies: ({ family, ground }) => family.kind !== 'bicycle' && ground.deliberate === true,
} as const satisfies Caution;
