import { widthOnRimMm } from '../contact/deflection';
import { commonPractice } from '../sources/source';
import { inch, psi, toCanonical } from '../units/units';
import { adjusted, adjustedSteps } from './adjustments';
import type { School } from './school';

/** A fifth of the rider's weight in pounds, as psi. Common practice, no source: a beginner's start, reads high. */
const SHARE = 0.2;
/** It knows nothing of the tire: on wide ones it would burst them. Assumption. */
const SILENT_FROM_MM = inch(2.6);
const baseKpa = (riderKg: number): number => psi((SHARE * riderKg) / toCanonical('mass', 'lb', 1));

export const bodyWeight = {
  code: 'bodyWeight',
  kinds: ['bicycle'],
  source: commonPractice,
  counted: false,
  targetKpa: (context, end) => {
    if (widthOnRimMm(context.build) >= SILENT_FROM_MM) return 'narrowerTire';
    return context.riderKg === null ? 'riderWeight' : adjusted(context, end, baseKpa(context.riderKg));
  },
  trace: (context, end, targetKpa) => [
    {
      code: 'bodyWeight',
      inputs: { riderKg: context.riderKg! },
      result: { name: 'baseKpa', value: baseKpa(context.riderKg!) },
      source: commonPractice,
    },
    ...adjustedSteps(context, end, baseKpa(context.riderKg!), targetKpa),
  ],
} as const satisfies School;
