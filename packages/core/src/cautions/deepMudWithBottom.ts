import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** A tall narrow tire may do better firm, to cut down to the bottom. */
export const deepMudWithBottom = {
  code: 'deepMudWithBottom',
  severity: 'care',
  source: commonPractice,
  applies: (context) => context.family.kind !== 'bicycle' && onGround('mud')(context),
} as const satisfies Caution;
