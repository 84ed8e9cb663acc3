import { capacity, fullPressureKpa } from '../capacity/loadCurve';
import { deflectionShare, isBicycleTire } from '../contact/deflection';
import { placardRules, type AxleContext } from '../plan/axleContext';
import { flexShareOf } from './heatAndSpeed';
import { carryingConditions, curveHolds } from './loadAtSpeed';
import { strikeShareOf } from './rimStrike';

/**
 * The most that one tire is rated for at the speed planned for, at whatever pressure, kg: no pressure, slow or fast,
 * makes a tire legal that is marked for less. Null where nothing tells.
 */
export function ratedMostKg(context: AxleContext): number | null {
  const { curve } = context.axle;
  if (!curve) return null;
  const carried = capacity(curve, { ...carryingConditions(context), pressureKpa: fullPressureKpa(curve) });
  return carried.ok ? carried.loadKg : 0;
}

/**
 * What one wheel carries in this place at a pressure and the speed planned for, kg: by the tire's load curve where that
 * holds, else by how far it may bend or drop, which goes with load, but never more than its rating. Zero where a data
 * sheet begins above it; null on the road where nothing tells what the tire carries.
 */
export function carriedKg(context: AxleContext, pressureKpa: number): number | null {
  const { build, wheelLoadKg, axle } = context;
  if (curveHolds(context)) {
    const carried = capacity(axle.curve!, { ...carryingConditions(context), pressureKpa });
    return carried.ok ? carried.loadKg : 0;
  }
  if (placardRules(context)) return null;
  const most = isBicycleTire(build) ? strikeShareOf(context) : flexShareOf(context);
  const byShape = (wheelLoadKg * most) / deflectionShare(build, wheelLoadKg, pressureKpa);
  return Math.min(byShape, ratedMostKg(context) ?? Number.POSITIVE_INFINITY);
}
