import { FARM_SPEED_SOURCE } from '../capacity/farmSpeed';
import { pressureForLoadKpa } from '../capacity/loadCurve';
import { carryingConditions } from '../limits/loadAtSpeed';
import { curveSteps } from '../limits/curveSteps';
import type { Figure } from '../grounds/figure';
import type { AxleContext } from '../axle/axleContext';
import type { PlanAxle } from '../axle/planAxle';
import type { MissingInput, School, Target } from './school';

/** The firm end does without the bonus for being slow, as when pulling hard. */
function conditions(context: AxleContext, end: Figure) {
  const carrying = carryingConditions(context);
  return { ...carrying, highTorque: carrying.highTorque || end === 'high' };
}

/** The one thing that is missing where a tire's curve is not known: the pressure beside its load, or its load too. */
export const needOfCurve = ({ tire }: Pick<PlanAxle, 'tire'>): MissingInput =>
  tire.service ? 'pressureBesideLoad' : 'whatTheTireCarries';

/**
 * The load-and-speed table: the least that carries today's load at this speed, by the rows of the tire's own data
 * sheet, the lines of its sidewall or its load index where stars or load range tell at which pressure.
 */
export const loadSpeedTable = {
  code: 'loadSpeedTable',
  kinds: ['farm', 'quad'],
  source: FARM_SPEED_SOURCE,
  counted: false,
  targetKpa: (context, end): Target => {
    const { axle, family, wheelLoadKg } = context;
    const { curve } = axle;
    // An index alone says nothing of a quad's tire.
    const unread = !curve || curve.from === 'road' || (family.kind === 'quad' && curve.from === 'index');
    if (unread) return needOfCurve(axle);
    return pressureForLoadKpa(curve, wheelLoadKg, conditions(context, end)) ?? 'lessLoad';
  },
  trace: (context, end, targetKpa) => curveSteps(context, conditions(context, end), targetKpa, 'targetKpa'),
} as const satisfies School;
