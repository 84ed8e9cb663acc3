import { towing } from '../modifiers/towing';
import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** A trailer makes sand worse. */
export const trailerOnSand = {
  code: 'trailerOnSand',
  severity: 'care',
  source: commonPractice,
  applies: (context) => context.modifiers.includes(towing.code) && onGround('sand')(context),
} as const satisfies Caution;
