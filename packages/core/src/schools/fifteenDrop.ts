import { DROP_SOURCE } from '../contact/bicycleDrop';
import { widthOnRimMm } from '../contact/deflection';
import { adjusted, adjustedSteps } from './adjustments';
import { byDropKpa, dropLoadKg } from '../reference/bicyclePoints';
import type { School } from './school';

/** A drop of 15 % on both wheels, by the drop measurements. */
export const fifteenDrop = {
  code: 'fifteenDrop',
  kinds: ['bicycle'],
  source: DROP_SOURCE,
  counted: false,
  targetKpa: (context, end) => adjusted(context, end, byDropKpa(context)),
  trace: (context, end, targetKpa) => [
    {
      code: 'dropPressure',
      inputs: {
        wheelLoadKg: dropLoadKg(context),
        tireWidthMm: widthOnRimMm(context.build),
        dropShare: 0.15,
        ...(context.build.dropFactor !== undefined && { dropFactor: context.build.dropFactor }),
      },
      result: { name: 'baseKpa', value: byDropKpa(context) },
      source: DROP_SOURCE,
    },
    ...adjustedSteps(context, end, byDropKpa(context), targetKpa),
  ],
} as const satisfies School;
