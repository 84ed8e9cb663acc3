import { exact } from '../sources/source';
import { lowered, type Caution } from './caution';

/** A rig stands lower on soft tires. */
export const clearanceLost = {
  code: 'clearanceLost',
  severity: 'care',
  source: exact,
  applies: (context) => context.family.kind !== 'bicycle' && lowered(context),
} as const satisfies Caution;
