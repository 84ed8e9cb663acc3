import { alongRows } from '../numerics/alongRows';
import { placardRules, type AxleContext } from '../axle/axleContext';
import { assumption } from '../sources/source';
import { towardsRoad, needHereKpa } from './heatAndSpeed';
import type { Limit } from './limit';
import type { Kind } from '../families/family';
import { BELOW_ROAD, BELOW_ROAD_KMH, HANDLING } from './speedPairs';

/** Kinds whose light wheels hardly bend: what of the road pressure is in them sets their speed on pavement. Assumption. */
const BY_SHARE: readonly Kind[] = ['quad', 'motorcycle'];

/**
 * What a sidewall needs to hold a line at a speed, however lightly it is loaded, kPa: by the trade's pairs on cars and vans;
 * on quads and motorcycles, on pavement alone, as much of the road pressure as of the speed. Null where nothing is known.
 */
export function handlingNeedKpa(context: AxleContext, speedKmh: number, paved: boolean): number | null {
  const { roadKpa } = context.axle;
  if (BY_SHARE.includes(context.family.kind)) {
    return paved && roadKpa !== null ? BELOW_ROAD * roadKpa * Math.min(1, speedKmh / BELOW_ROAD_KMH) : null;
  }
  if (context.family.kind !== 'car') return null;
  const asked = alongRows(HANDLING[paved ? 'paved' : 'loose'], speedKmh);
  const most = BELOW_ROAD * (roadKpa ?? Number.POSITIVE_INFINITY);
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
      : needHereKpa(context, (kmh, paved) => handlingNeedKpa(context, kmh, paved)),
  trace: (context, pressureKpa) => [
    {
      code: 'handlingFloor',
      inputs: {
        speedKmh: context.speedKmh!,
        ...(context.axle.roadKpa !== null && { highestKpa: BELOW_ROAD * context.axle.roadKpa }),
      },
      result: { name: 'handlingFloorKpa', value: pressureKpa },
      source: assumption,
    },
  ],
} as const satisfies Limit;
