import { pressureForLoadKpa } from '../capacity/loadCurve';
import { FARM_SPEED_SOURCE } from '../capacity/farmSpeed';
import { curveSteps } from '../limits/curveSteps';
import type { End } from '../modifiers/modifier';
import type { AxleContext } from '../plan/axleContext';
import type { School, Wanted } from './school';

/** The firm end does without the bonus for being slow, as when pulling hard. */
const conditions = ({ axle, speedKmh, highTorque }: AxleContext, end: End) => ({
  speedKmh,
  dual: axle.wheels === 4,
  highTorque: highTorque || end === 'high',
});

/**
 * The load-and-speed table: the least that carries today's load at this speed, by the rows of the tire's own data
 * sheet, the lines of its sidewall or its load index.
 */
export const loadSpeedTable = {
  code: 'loadSpeedTable',
  kinds: ['farm', 'quad'],
  source: FARM_SPEED_SOURCE,
  wants: (context, end): Wanted => {
    const { axle, wheelLoadKg } = context;
    if (!axle.curve) return 'whatTheTireCarries';
    return pressureForLoadKpa(axle.curve, wheelLoadKg, conditions(context, end)) ?? 'lessLoad';
  },
  steps: (context, end, wantedKpa) => curveSteps(context, conditions(context, end), wantedKpa, 'wantedKpa'),
} as const satisfies School;
