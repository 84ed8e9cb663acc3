import { pressureForLoadKpa } from '../capacity/loadCurve';
import { isBicycleTire } from '../contact/deflection';
import { WALKING_KMH } from '../limits/heatAndSpeed';
import type { PlanAxle } from '../plan/plan';
import { equalDeflectionKpa } from '../schools/equalDeflection';
import { REFERENCE_ROAD_KPA } from '../schools/referenceRig';
import { commonPractice, type Source } from '../source';
import { carcassFactor } from '../tires/loadRange';
import type { TireUse } from '../tires/tire';
import { psi } from '../units/units';

/**
 * Below its road pressure nothing goes faster than this on pavement, km/h, whatever its sidewall bends. Assumption.
 */
export const BELOW_ROAD_KMH = 80;

/**
 * The speed that the trade drives at each pressure of its table on the reference rig, slow first. Common practice, no
 * source; straight lines between are our assumption. On pavement a soft tire gets no cooler than on sand.
 */
export const SPEED_BY_PRESSURE: readonly (readonly [kmh: number, kpa: number])[] = [
  [WALKING_KMH, psi(6)],
  [20, psi(12)],
  [30, psi(16)],
  [40, psi(20)],
  [BELOW_ROAD_KMH, psi(28)],
];
export const ROAD_NEED_SOURCE: Source = commonPractice;

/**
 * Up to this speed the tires of cars, trucks and motorcycles may carry more than their curve says, and the bend of the
 * sidewall is what counts; those of farm and quad may not. Assumption, as off the road (see `loadAtSpeed`).
 */
const SLOW_KMH = 40;
const HOLDS_SLOW: ReadonlySet<TireUse> = new Set(['farm', 'quad']);

/** The pressure of the trade for a speed, on the reference rig, kPa. */
function referenceForSpeedKpa(speedKmh: number): number {
  const after = SPEED_BY_PRESSURE.findIndex(([kmh]) => kmh >= speedKmh);
  if (after === -1) return REFERENCE_ROAD_KPA;
  if (after === 0) return SPEED_BY_PRESSURE[0]![1];
  const [[slow, soft], [fast, firm]] = [SPEED_BY_PRESSURE[after - 1]!, SPEED_BY_PRESSURE[after]!];
  return soft + ((firm - soft) * (speedKmh - slow)) / (fast - slow);
}

type RoadAxle = Pick<
  PlanAxle,
  'tire' | 'loadRange' | 'leftLoadKg' | 'rightLoadKg' | 'roadKpa' | 'curve' | 'wheels' | 'widthMm'
>;

/**
 * What a wheel needs on pavement at a speed, kPa cold: so much that it carries its load by its curve, and that its sidewall
 * bends no further than that of the reference rig does at the trade's pressure for this speed. Never more than its road pressure, which is trusted. Null where there is no
 * road pressure to go by.
 */
export function roadNeedKpa(axle: RoadAxle, speedKmh: number): number | null {
  const { roadKpa, curve, tire } = axle;
  if (roadKpa === null) return null;
  if (speedKmh > BELOW_ROAD_KMH) return roadKpa;
  const loadKg = Math.max(axle.leftLoadKg, axle.rightLoadKg);
  const build = {
    tire,
    carcass: carcassFactor(axle.loadRange),
    ...(axle.widthMm !== null && { widthMm: axle.widthMm }),
  };
  const byCurve =
    curve === null || (speedKmh <= SLOW_KMH && !HOLDS_SLOW.has(tire.use))
      ? 0
      : (pressureForLoadKpa(curve, loadKg, { speedKmh, dual: axle.wheels === 4 }) ?? Number.POSITIVE_INFINITY);
  const byBend =
    isBicycleTire(build) || tire.use === 'farm' ? 0 : equalDeflectionKpa(build, loadKg, referenceForSpeedKpa(speedKmh));
  return Math.min(roadKpa, Math.max(byCurve, byBend, 0));
}

/** What no gauge shows must not cost a step of speed, kPa. */
const DUST_KPA = 0.1;
/** Speeds are told in steps of this, km/h. */
const SPEED_STEP = 5;

/**
 * The fastest that a rig may go on pavement with what is in its tires, km/h, in steps of 5; null where all have their
 * road pressure, and there is nothing to hold it back. Walking pace where nothing faster carries.
 *
 * @param pressuresKpa cold, one for each axle: the softest wheel of it
 */
export function limpSpeedKmh(
  axles: readonly RoadAxle[],
  pressuresKpa: readonly number[],
  stepKpa: number,
): number | null {
  const softer = axles.filter(({ roadKpa }, index) => roadKpa !== null && pressuresKpa[index]! < roadKpa - stepKpa / 2);
  if (softer.length === 0) return null;
  for (let speed = BELOW_ROAD_KMH; speed > WALKING_KMH; speed -= SPEED_STEP) {
    const carries = axles.every((axle, index) => (roadNeedKpa(axle, speed) ?? 0) <= pressuresKpa[index]! + DUST_KPA);
    if (carries) return speed;
  }
  return WALKING_KMH;
}
