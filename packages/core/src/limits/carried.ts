import { capacity, fullPressureKpa, isAssumed } from '../capacity/loadCurve';
import { deflectionShare, isBicycleTire } from '../contact/deflection';
import { placardRules, type AxleContext } from '../axle/axleContext';
import { bendCarriesKg } from './heatAndSpeed';
import { carryingConditions, curveHolds } from './loadAtSpeed';
import { strikeFloorKpa } from './rimStrike';

/**
 * The most that one tire is rated for, at whatever pressure, kg: a farm tire at the speed planned for, any other at its
 * own speed, because no pressure and no slowness make a tire legal that is marked for less. Null where unknown.
 */
export function ratedMostKg(context: AxleContext): number | null {
  const { curve } = context.axle;
  if (!curve || curve.from === 'road') return null;
  const conditions = carryingConditions(context);
  const speedKmh = curve.tire.use === 'farm' || curve.from === 'rows' ? conditions.speedKmh : null;
  const carried = capacity(curve, { ...conditions, speedKmh, pressureKpa: fullPressureKpa(curve) });
  return carried.ok ? carried.loadKg : 0;
}

/**
 * What one wheel carries in this place at a pressure and the speed planned for, kg: the smaller of what its load curve
 * says there and what its bend allows, and never more than its rating. Zero where a data sheet begins above it; null
 * where nothing tells.
 */
export function carriedKg(context: AxleContext, pressureKpa: number): number | null {
  const { build, wheelLoadKg, axle, speedKmh, ground } = context;
  if (isBicycleTire(build)) {
    // A drop goes with load: what stands on it now, times how much further it may drop.
    const atFloor = deflectionShare(build, wheelLoadKg, Math.max(0, strikeFloorKpa(context) ?? 0));
    return (wheelLoadKg * atFloor) / deflectionShare(build, wheelLoadKg, pressureKpa);
  }
  const byCurve = curveHolds(context) && !isAssumed(axle.curve!) ? byCurveKg(context, pressureKpa) : null;
  const byBend =
    placardRules(context) || speedKmh === null
      ? Number.POSITIVE_INFINITY
      : bendCarriesKg(context, pressureKpa, speedKmh, ground.paved === true);
  const least = Math.min(byCurve ?? Number.POSITIVE_INFINITY, byBend, ratedMostKg(context) ?? Number.POSITIVE_INFINITY);
  return Number.isFinite(least) ? least : null;
}

function byCurveKg(context: AxleContext, pressureKpa: number): number {
  const carried = capacity(context.axle.curve!, { ...carryingConditions(context), pressureKpa });
  return carried.ok ? carried.loadKg : 0;
}
