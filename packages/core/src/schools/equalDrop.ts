import { DROP_SOURCE } from '../contact/bicycleDrop';
import { widthOnRimMm } from '../contact/deflection';
import { assumption, commonPractice } from '../sources/source';
import { adjusted, adjustedSteps } from './adjustments';
import { bicycleStartKpa, bicycleWheelOf, dropLoadKg, pointsSource, tradePointKpa } from '../reference/bicyclePoints';
import type { School } from './school';

/**
 * The trade's starts for one rider, carried to another load and width; on narrow tires a drop of 15 %. What ground, tube,
 * insert, casing and rim ask for is added.
 */
export const equalDrop = {
  code: 'equalDrop',
  kinds: ['bicycle'],
  source: commonPractice,
  frontYields: true,
  withoutLoad: true,
  targetKpa: (context, end) => adjusted(context, end, bicycleStartKpa(context).kpa),
  trace: (context, end, targetKpa) => {
    const tireWidthMm = widthOnRimMm(context.build);
    const { kpa, byDropKpa, byPointsKpa, trailShare } = bicycleStartKpa(context);
    return [
      {
        code: 'tradePoint',
        inputs: { tireWidthMm },
        result: { name: 'classKpa', value: tradePointKpa(tireWidthMm, bicycleWheelOf(context)) },
        source: pointsSource(tireWidthMm),
      },
      {
        code: 'pointByLoad',
        inputs: { classKpa: tradePointKpa(tireWidthMm, bicycleWheelOf(context)), wheelLoadKg: context.wheelLoadKg },
        result: { name: 'pointKpa', value: byPointsKpa },
        source: commonPractice,
      },
      ...(byDropKpa !== null
        ? ([
            {
              code: 'dropPressure',
              inputs: { wheelLoadKg: dropLoadKg(context), tireWidthMm, dropShare: 0.15 },
              result: { name: 'dropKpa', value: byDropKpa },
              source: DROP_SOURCE,
            },
          ] as const)
        : []),
      {
        code: 'dropOrPoint',
        inputs: { pointKpa: byPointsKpa, trailShare, ...(byDropKpa !== null && { dropKpa: byDropKpa }) },
        result: { name: 'baseKpa', value: kpa },
        source: assumption,
      },
      ...adjustedSteps(context, end, kpa, targetKpa),
    ];
  },
} as const satisfies School;
