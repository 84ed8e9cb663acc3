import { pressureForLoadKpa } from '../capacity/loadCurve';
import { placardRules, type AxleContext } from '../plan/axleContext';
import { marked } from '../source';
import type { TireUse } from '../tires/tire';
import { curveSteps } from './curveSteps';
import type { Limit } from './limit';

/**
 * Tires whose load curve holds off the road too. Those of cars and motorcycles may carry more than their rating while
 * they are slow; there the bend of the sidewall is what counts (`heatAndSpeed`).
 */
const HOLDS_OFF_ROAD: ReadonlySet<TireUse> = new Set(['farm', 'quad']);

/** Which of a tire's load curve holds in this place. */
export const curveHolds = (context: AxleContext): boolean =>
  context.axle.curve !== null && (placardRules(context) || HOLDS_OFF_ROAD.has(context.build.tire.use));

export const carryingConditions = ({ axle, speedKmh, highTorque }: AxleContext) => ({
  speedKmh,
  dual: axle.wheels === 4,
  highTorque,
});

/** Never below what today's load needs at this speed, by the best that is known of the tire. */
export const loadAtSpeed = {
  code: 'loadAtSpeed',
  source: marked,
  pressureKpa: (context) => {
    if (!curveHolds(context)) return null;
    const { axle, wheelLoadKg } = context;
    return pressureForLoadKpa(axle.curve!, wheelLoadKg, carryingConditions(context)) ?? Number.POSITIVE_INFINITY;
  },
  steps: (context, pressureKpa) => curveSteps(context, carryingConditions(context), pressureKpa, 'loadFloorKpa'),
} as const satisfies Limit;
