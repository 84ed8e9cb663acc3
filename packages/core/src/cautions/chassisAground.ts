import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** Where the underside rests on the ground, less air lowers it further. */
export const chassisAground = {
  code: 'chassisAground',
  severity: 'danger',
  source: commonPractice,
  applies: (context) => context.family.kind !== 'bicycle' && onGround('deep')(context),
} as const satisfies Caution;
