import { DROP_SOURCE, pressureForDropKpa } from '../contact/bicycleDrop';
import { widthOnRimMm } from '../contact/deflection';
import type { AxleContext } from '../plan/axleContext';
import { adjusted, adjustedSteps } from './adjustments';
import type { School } from './school';

const SHARE = 0.15;
const baseKpa = ({ build, wheelLoadKg }: AxleContext): number =>
  pressureForDropKpa(widthOnRimMm(build), wheelLoadKg, SHARE);

/** A drop of 15 % on both wheels, by the drop measurements. */
export const fifteenDrop = {
  code: 'fifteenDrop',
  kinds: ['bicycle'],
  source: DROP_SOURCE,
  wants: (context, end) => adjusted(context, end, baseKpa(context)),
  steps: (context, end, wantedKpa) => [
    {
      code: 'dropPressure',
      inputs: { wheelLoadKg: context.wheelLoadKg, tireWidthMm: widthOnRimMm(context.build), dropShare: SHARE },
      result: { name: 'baseKpa', value: baseKpa(context) },
      source: DROP_SOURCE,
    },
    ...adjustedSteps(context, end, baseKpa(context), wantedKpa),
  ],
} as const satisfies School;
