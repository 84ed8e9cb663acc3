import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** On snow, when the front pushes wide, lift off. */
export const pushesWide = {
  code: 'pushesWide',
  severity: 'care',
  source: commonPractice,
  applies: (context) => context.family.kind === 'quad' && onGround('snow')(context),
} as const satisfies Caution;
