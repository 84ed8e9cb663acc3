import { commonPractice } from '../sources/source';
import { lowered, type Caution } from './caution';

/** A soft tire can leave its rim in a sharp turn. */
export const gentleTurns = {
  code: 'gentleTurns',
  severity: 'danger',
  source: commonPractice,
  applies: (context) => context.family.kind !== 'bicycle' && context.family.kind !== 'farm' && lowered(context),
} as const satisfies Caution;
