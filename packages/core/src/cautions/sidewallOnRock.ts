import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** A soft sidewall bulges out to where the stones are. */
export const sidewallOnRock = {
  code: 'sidewallOnRock',
  severity: 'care',
  source: commonPractice,
  applies: (context) => context.family.kind !== 'bicycle' && onGround('sharp')(context),
} as const satisfies Caution;
