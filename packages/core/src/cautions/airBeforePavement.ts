import { commonPractice } from '../sources/source';
import { lowered, type Caution } from './caution';

/** Back to road pressure before the road. */
export const airBeforePavement = {
  code: 'airBeforePavement',
  severity: 'danger',
  source: commonPractice,
  applies: (context) => context.family.kind !== 'bicycle' && !context.ground.paved && lowered(context),
} as const satisfies Caution;
