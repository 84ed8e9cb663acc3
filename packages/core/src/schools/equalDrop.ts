import { DROP_SOURCE } from '../contact/bicycleDrop';
import { pressureForShareKpa, widthOnRimMm } from '../contact/deflection';
import type { AxleContext } from '../plan/axleContext';
import { commonPractice } from '../source';
import { adjusted, adjustedSteps } from './adjustments';
import { POINTS_SOURCE, tradeDropShare } from './bicyclePoints';
import type { School } from './school';

const target = ({ build, axle }: AxleContext): number =>
  tradeDropShare(widthOnRimMm(build), axle.position === 'front' ? 'front' : 'rear');
const baseKpa = (context: AxleContext): number =>
  pressureForShareKpa(context.build, context.wheelLoadKg, target(context));

/**
 * Equal drop: the trade's starts are told for one rider; another rider, another width, the same drop. What ground,
 * tube, insert, casing and rim ask for is added.
 */
export const equalDrop = {
  code: 'equalDrop',
  kinds: ['bicycle'],
  source: commonPractice,
  wants: (context, end) => adjusted(context, end, baseKpa(context)),
  steps: (context, end, wantedKpa) => [
    {
      code: 'tradeDrop',
      inputs: { tireWidthMm: widthOnRimMm(context.build) },
      result: { name: 'dropShare', value: target(context) },
      source: POINTS_SOURCE,
    },
    {
      code: 'dropPressure',
      inputs: {
        wheelLoadKg: context.wheelLoadKg,
        tireWidthMm: widthOnRimMm(context.build),
        dropShare: target(context),
      },
      result: { name: 'baseKpa', value: baseKpa(context) },
      source: DROP_SOURCE,
    },
    ...adjustedSteps(context, end, baseKpa(context), wantedKpa),
  ],
} as const satisfies School;
