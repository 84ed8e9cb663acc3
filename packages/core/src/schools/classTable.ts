import type { End } from '../modifiers/modifier';
import type { AxleContext } from '../plan/axleContext';
import { commonPractice } from '../source';
import { adjusted, adjustedSteps } from './adjustments';
import type { School } from './school';

const baseKpa = ({ family, ground }: AxleContext, end: End): number =>
  family.classPressure!.lowKpa * ground.ofClass![end];

/**
 * The class table: what riders of this class of motorcycle start with on dirt roads (common practice, no source); on
 * softer ground a share of it, which is our assumption.
 */
export const classTable = {
  code: 'classTable',
  kinds: ['motorcycle'],
  source: commonPractice,
  wants: (context, end) => adjusted(context, end, baseKpa(context, end)),
  steps: (context, end, wantedKpa) => [
    {
      code: 'classShare',
      inputs: { classKpa: context.family.classPressure!.lowKpa, groundShare: context.ground.ofClass![end] },
      result: { name: 'baseKpa', value: baseKpa(context, end) },
      source: context.ground.ofClass!.source,
    },
    ...adjustedSteps(context, end, baseKpa(context, end), wantedKpa),
  ],
} as const satisfies School;
