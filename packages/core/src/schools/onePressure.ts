import { pressureForLoadKpa } from '../capacity/loadCurve';
import { curveSteps } from '../limits/curveSteps';
import { isTrailer } from '../loads/geometry';
import type { AxleContext } from '../axle/axleContext';
import { commonPractice } from '../sources/source';
import { needOfCurve } from './loadSpeedTable';
import type { School } from './school';

const conditions = ({ axle, roadSpeedKmh }: AxleContext) => ({
  speedKmh: roadSpeedKmh,
  dual: axle.wheels === 4,
  rolling: isTrailer(axle.position),
});

/** One pressure for road and field: what today's load takes at road speed, never changed. */
export const onePressure = {
  code: 'onePressure',
  kinds: ['farm'],
  source: commonPractice,
  counted: false,
  targetKpa: (context) => {
    const { axle, wheelLoadKg } = context;
    if (!axle.curve) return needOfCurve(axle);
    return pressureForLoadKpa(axle.curve, wheelLoadKg, conditions(context)) ?? 'lessLoad';
  },
  trace: (context, _end, targetKpa) => curveSteps(context, conditions(context), targetKpa, 'targetKpa'),
} as const satisfies School;
