import { PAVEMENT } from '../grounds/registry';
import { BELOW_ROAD_KMH, WALKING_KMH } from '../limits/speedPairs';
import { pressureForSpeedKpa, speedForPressureKmh } from '../limits/speedAtPressure';
import type { AxleContext } from '../axle/axleContext';
import type { PlanInput } from '../plan/plan';
import { contextsOf } from '../plan/planGround';

/** A rig as it comes back onto pavement. */
export const onPavement = ({
  family,
  roadSpeedKmh,
  axles,
  unweighed = false,
}: Pick<PlanInput, 'family' | 'roadSpeedKmh' | 'axles' | 'unweighed'>): AxleContext[] =>
  contextsOf({
    family,
    roadSpeedKmh,
    axles,
    unweighed,
    ground: PAVEMENT,
    school: null,
    modifiers: [],
    speedKmh: null,
    riderKg: null,
    ownFloorKpa: null,
    stuckAccepted: false,
  });

/**
 * What a wheel needs on pavement at a speed, kPa cold: what its bend, its handling and its load curve ask for there. Never
 * more than its road pressure, which is trusted. Null where there is no road pressure to go by.
 */
export function roadNeedKpa(context: AxleContext, speedKmh: number): number | null {
  const { roadKpa } = context.axle;
  if (roadKpa === null) return null;
  if (speedKmh > BELOW_ROAD_KMH) return roadKpa;
  return Math.min(roadKpa, pressureForSpeedKpa(context, speedKmh, true) ?? 0);
}

/** Speeds are rounded down to steps of this, km/h. */
const SPEED_STEP = 5;

/**
 * The fastest that a rig may go on pavement with what is in its tires, km/h, in steps of 5; null where all have their
 * road pressure, and there is nothing to hold it back. Walking pace where nothing faster carries.
 *
 * @param pressuresKpa cold, one for each axle: the softest wheel of it
 */
export function limpSpeedKmh(
  axles: readonly AxleContext[],
  pressuresKpa: readonly number[],
  stepKpa: number,
): number | null {
  const speeds = axles.flatMap((context, index) => {
    const { roadKpa } = context.axle;
    const kpa = pressuresKpa[index]!;
    if (roadKpa === null || kpa >= roadKpa - stepKpa / 2) return [];
    return [Math.min(BELOW_ROAD_KMH, speedForPressureKmh(context, kpa, true) ?? BELOW_ROAD_KMH)];
  });
  if (speeds.length === 0) return null;
  return Math.max(WALKING_KMH, Math.floor((Math.min(...speeds) + ROUNDING) / SPEED_STEP) * SPEED_STEP);
}

/** A speed found by halving must not lose a step for its last place, km/h. */
const ROUNDING = 0.05;
