import { isAssumed, pressureForLoadKpa } from '../capacity/loadCurve';
import type { AxleContext } from '../axle/axleContext';
import { isTrailer } from '../loads/geometry';
import { assumption, marked } from '../sources/source';
import { curveSteps } from './curveSteps';
import type { Limit } from './limit';

/**
 * Whether a tire's load curve says how low it may go. A quad's does only where a load line or a data sheet was read; a
 * bicycle's rim is struck long before. When stuck, at walking pace, it does not apply on cars and motorcycles.
 */
export function curveHolds({ axle, build, family, stuck }: AxleContext): boolean {
  const { curve } = axle;
  if (!curve || family.kind === 'bicycle') return false;
  if (build.tire.use === 'quad' || family.kind === 'quad') return curve.from !== 'index';
  return !stuck;
}

export const carryingConditions = ({ axle, speedKmh, highTorque }: AxleContext) => ({
  speedKmh,
  dual: axle.wheels === 4,
  highTorque,
  rolling: isTrailer(axle.position),
});

/**
 * What the load curve asks for at a speed, kPa; infinite where no pressure suffices, null where it has nothing to say. One
 * that hangs on an assumed pressure never asks for more than the road pressure.
 */
export function curveNeedKpa(context: AxleContext, speedKmh: number | null): number | null {
  if (!curveHolds(context)) return null;
  const { axle, wheelLoadKg } = context;
  const curve = axle.curve!;
  const conditions = { ...carryingConditions(context), speedKmh };
  const need = pressureForLoadKpa(curve, wheelLoadKg, conditions) ?? Number.POSITIVE_INFINITY;
  if (!isAssumed(curve)) return need;
  return axle.roadKpa === null ? null : Math.min(need, axle.roadKpa);
}

/** Never below what today's load needs at this speed, by the best that is known of the tire. */
export const loadAtSpeed = {
  code: 'loadAtSpeed',
  source: marked,
  sourceOf: ({ axle }: AxleContext) => (axle.curve!.from === 'road' || isAssumed(axle.curve!) ? assumption : marked),
  pressureKpa: (context) => curveNeedKpa(context, context.speedKmh),
  trace: (context, pressureKpa) => curveSteps(context, carryingConditions(context), pressureKpa, 'loadFloorKpa'),
} as const satisfies Limit;
