import { pressureForLoadKpa } from '../capacity/loadCurve';
import { curveSteps } from '../limits/curveSteps';
import type { AxleContext } from '../plan/axleContext';
import { commonPractice } from '../source';
import type { School } from './school';

const conditions = ({ axle, roadSpeedKmh }: AxleContext) => ({ speedKmh: roadSpeedKmh, dual: axle.wheels === 4 });

/** One pressure for road and field: what today's load takes at road speed, never changed. */
export const onePressure = {
  code: 'onePressure',
  kinds: ['farm'],
  source: commonPractice,
  wants: (context) => {
    const { axle, wheelLoadKg } = context;
    if (!axle.curve) return 'whatTheTireCarries';
    return pressureForLoadKpa(axle.curve, wheelLoadKg, conditions(context)) ?? 'lessLoad';
  },
  steps: (context, _end, wantedKpa) => curveSteps(context, conditions(context), wantedKpa, 'wantedKpa'),
} as const satisfies School;
