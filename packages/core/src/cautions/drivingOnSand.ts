import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** How sand is driven on. */
export const drivingOnSand = {
  code: 'drivingOnSand',
  severity: 'care',
  source: commonPractice,
  applies: (context) => context.family.kind === 'car' && onGround('sand')(context),
} as const satisfies Caution;
