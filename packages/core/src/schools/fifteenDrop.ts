import { DROP_SOURCE } from '../contact/bicycleDrop';
import { pressureForShareKpa, widthOnRimMm } from '../contact/deflection';
import type { AxleContext } from '../plan/axleContext';
import { adjusted, adjustedSteps } from './adjustments';
import type { School } from './school';

const SHARE = 0.15;
const baseKpa = ({ build, wheelLoadKg }: AxleContext): number => pressureForShareKpa(build, wheelLoadKg, SHARE);

/** A drop of 15 % on both wheels, by the drop measurements. */
export const fifteenDrop = {
  code: 'fifteenDrop',
  kinds: ['bicycle'],
  source: DROP_SOURCE,
  wants: (context, end) => adjusted(context, end, baseKpa(context)),
  steps: (context, end, wantedKpa) => [
    {
      code: 'dropPressure',
      inputs: {
        wheelLoadKg: context.wheelLoadKg,
        tireWidthMm: widthOnRimMm(context.build),
        dropShare: SHARE,
        ...(context.build.dropFactor !== undefined && { dropFactor: context.build.dropFactor }),
      },
      result: { name: 'baseKpa', value: baseKpa(context) },
      source: DROP_SOURCE,
    },
    ...adjustedSteps(context, end, baseKpa(context), wantedKpa),
  ],
} as const satisfies School;
