import { commonPractice } from '../sources/source';
import { onGround, type Caution } from './caution';

/** Hotter sand is softer. */
export const hotSandIsSofter = {
  code: 'hotSandIsSofter',
  severity: 'care',
  source: commonPractice,
  applies: (context) => context.family.kind !== 'bicycle' && onGround('sand', 'loose')(context),
} as const satisfies Caution;
