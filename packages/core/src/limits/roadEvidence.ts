import type { AxleContext } from '../axle/axleContext';
import { familyExponent } from '../capacity/familyExponent';
import { isTrailer } from '../loads/geometry';
import { assumption, chosen } from '../sources/source';
import type { Limit } from './limit';

/**
 * On pavement a farm machine is never sent out softer than its driver runs it there: under the load that the road pressure is
 * for; lighter, by p = p_road·(W/W_road)^(1/n). Assumption.
 */
function roadKpaToday({ axle, wheelLoadKg }: AxleContext): number | null {
  const { roadKpa, roadLoadKg, tire } = axle;
  if (roadKpa === null || roadLoadKg === undefined || wheelLoadKg >= roadLoadKg) return roadKpa;
  return roadKpa * (wheelLoadKg / roadLoadKg) ** (1 / familyExponent(tire));
}

/** What a farm machine is driven with on the road. */
export const roadPressure = {
  code: 'roadPressure',
  withoutLoad: true,
  source: chosen,
  pressureKpa: (context) =>
    context.family.kind === 'farm' && context.ground.paved === true ? roadKpaToday(context) : null,
  trace: ({ axle, wheelLoadKg }, pressureKpa) => [
    {
      code: 'roadEvidence',
      inputs: {
        roadKpa: axle.roadKpa!,
        wheelLoadKg,
        ...(axle.roadLoadKg !== undefined && { markedLoadKg: axle.roadLoadKg, exponent: familyExponent(axle.tire) }),
      },
      result: { name: 'roadKpa', value: pressureKpa },
      source: chosen,
    },
  ],
} as const satisfies Limit;

/** Wheels of farm trailers go no lower without their data sheet, kPa. Assumption. */
const ROLLING_KPA = 80;

/** Tires that only roll are not let down as far as a drive tire, unless their own data sheet says so. */
export const freeRolling = {
  code: 'freeRolling',
  withoutLoad: true,
  source: assumption,
  pressureKpa: ({ family, axle }) =>
    family.kind === 'farm' && isTrailer(axle.position) && axle.curve?.from !== 'rows' ? ROLLING_KPA : null,
  trace: (_, pressureKpa) => [
    { code: 'freeRolling', inputs: {}, result: { name: 'lowestKpa', value: pressureKpa }, source: assumption },
  ],
} as const satisfies Limit;
