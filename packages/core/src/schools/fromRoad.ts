import { pressureForLoadKpa, type CarryingConditions } from '../capacity/loadCurve';
import { carryingConditions } from '../limits/loadAtSpeed';
import { curveSteps } from '../limits/curveSteps';
import type { Figure } from '../grounds/figure';
import type { AxleContext } from '../axle/axleContext';
import { assumption } from '../sources/source';
import { needOfCurve } from './loadSpeedTable';
import type { School, Target } from './school';

/** The firm bonus to begin with, the soft one at the low end, none at the high end. */
function conditions(context: AxleContext, end: Figure): Omit<CarryingConditions, 'pressureKpa'> {
  const carrying = carryingConditions(context);
  return { ...carrying, highTorque: carrying.highTorque || end === 'high', end: end === 'low' ? 'soft' : 'firm' };
}

/**
 * From the road pressure: what it is driven with on the road carries its load there, and the field follows by ratio of
 * load and speed. For farm tires whose rating nobody read; an axle that was read goes by its own table all the same.
 */
export const fromRoad = {
  code: 'fromRoad',
  kinds: ['farm'],
  source: assumption,
  withoutLoad: true,
  targetKpa: (context, end): Target => {
    const { axle, wheelLoadKg } = context;
    if (!axle.curve) return context.unweighed ? 'roadPressure' : needOfCurve(axle);
    return pressureForLoadKpa(axle.curve, wheelLoadKg, conditions(context, end)) ?? 'lessLoad';
  },
  trace: (context, end, targetKpa) => curveSteps(context, conditions(context, end), targetKpa, 'targetKpa'),
} as const satisfies School;
