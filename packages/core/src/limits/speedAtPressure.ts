import { isAssumed } from '../capacity/loadCurve';
import type { AxleContext } from '../axle/axleContext';
import { handlingNeedKpa } from './handling';
import { bendNeedKpa } from './heatAndSpeed';
import { curveNeedKpa } from './loadAtSpeed';
import { ALL_BACK_KMH, BELOW_ROAD_KMH, WALKING_KMH } from './speedPairs';

/** What no gauge shows must not cost a step of speed, kPa. */
const DUST_KPA = 0.01;
/** Halving ends here, km/h. */
const NEAR_KMH = 0.04;

type SpeedNeed = (context: AxleContext, speedKmh: number, paved: boolean) => number | null;

/** What asks for air at a speed, the quickest to tell first. A reference pressure that was merely assumed sets no speed. */
const NEEDS: readonly SpeedNeed[] = [
  handlingNeedKpa,
  bendNeedKpa,
  (context, speedKmh) =>
    context.axle.curve && !isAssumed(context.axle.curve) ? curveNeedKpa(context, speedKmh) : null,
];

/**
 * The pressure that a speed asks of a wheel, kPa: the most of what its sidewall's bend, its handling and its load curve
 * ask for. Rises with speed. Null where nothing is known that asks for any.
 *
 * @param paved on pavement a soft tire gets no cooler, and holds a line less well
 */
export function pressureForSpeedKpa(context: AxleContext, speedKmh: number, paved: boolean): number | null {
  const needs = NEEDS.flatMap((need) => need(context, speedKmh, paved) ?? []);
  return needs.length === 0 ? null : Math.max(...needs);
}

/**
 * The fastest that a wheel may go at a pressure, km/h: `pressureForSpeedKpa` turned round. Walking pace where nothing
 * faster is allowed; null where nothing holds it back, as at its road pressure.
 *
 * @example the reference rig at 20 psi on pavement: 40
 */
export function speedForPressureKmh(context: AxleContext, pressureKpa: number, paved: boolean): number | null {
  // One need that asks for more is answer enough: this is asked a dozen times for every wheel.
  const allows = (speedKmh: number): boolean =>
    NEEDS.every((need) => (need(context, speedKmh, paved) ?? 0) <= pressureKpa + DUST_KPA);
  const { roadKpa } = context.axle;
  const soft = paved && roadKpa !== null && pressureKpa < roadKpa - DUST_KPA;
  const fastest = soft ? BELOW_ROAD_KMH : ALL_BACK_KMH;
  if (allows(fastest)) return soft ? BELOW_ROAD_KMH : null;
  if (!allows(WALKING_KMH)) return WALKING_KMH;
  let [slow, fast] = [WALKING_KMH, fastest];
  while (fast - slow > NEAR_KMH) {
    const middle = (slow + fast) / 2;
    if (allows(middle)) slow = middle;
    else fast = middle;
  }
  return slow;
}
