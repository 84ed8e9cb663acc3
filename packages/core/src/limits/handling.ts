import { alongRows } from '../numerics/alongRows';
import { placardRules, type AxleContext } from '../axle/axleContext';
import { assumption } from '../sources/source';
import { towardsRoad, worstOf } from './heatAndSpeed';
import type { Limit } from './limit';
import { BELOW_ROAD, HANDLING } from './speedPairs';

/** What a sidewall needs to hold a line at a speed, however lightly it is loaded, kPa; null for all but cars and vans. */
export function handlingNeedKpa(context: AxleContext, speedKmh: number, paved: boolean): number | null {
  if (context.family.kind !== 'car') return null;
  const asked = alongRows(HANDLING[paved ? 'paved' : 'loose'], speedKmh);
  const most = BELOW_ROAD * (context.axle.roadKpa ?? Number.POSITIVE_INFINITY);
  return towardsRoad(context, Math.min(asked, most), speedKmh, paved);
}

/** A sidewall with little air does not hold a line, however lightly the wheel is loaded. */
export const handling = {
  code: 'handling',
  withoutLoad: true,
  source: assumption,
  pressureKpa: (context) =>
    placardRules(context) || context.stuck
      ? null
      : (worstOf(context, (kmh, paved) => handlingNeedKpa(context, kmh, paved))?.pressureKpa ?? null),
  trace: (context, pressureKpa) => [
    {
      code: 'handlingFloor',
      inputs: {
        speedKmh: worstOf(context, (kmh, paved) => handlingNeedKpa(context, kmh, paved))!.speedKmh!,
        ...(context.axle.roadKpa !== null && { highestKpa: BELOW_ROAD * context.axle.roadKpa }),
      },
      result: { name: 'handlingFloorKpa', value: pressureKpa },
      source: assumption,
    },
  ],
} as const satisfies Limit;
