import { commonPractice } from '../sources/source';
import { lowered, type Caution } from './caution';

/** Flat across is right, crowned is too hard. */
export const lookAtTread = {
  code: 'lookAtTread',
  severity: 'care',
  source: commonPractice,
  applies: (context) => context.family.kind === 'quad' && lowered(context),
} as const satisfies Caution;
