import { joined } from './joined';
import { joinedKpa, type Air } from './mixing';
import type { WheelRef } from './wheel';

/** A wheel as it was read. */
export interface ReadWheel extends WheelRef {
  readonly pressureKpa: number;
}

/** What to do about an axle whose wheels are apart. */
export interface Levelling {
  /** How far the firmest is above the softest, kPa. */
  readonly apartKpa: number;
  /** Whether a gauge of this step can tell them apart. */
  readonly apart: boolean;
  readonly touch: readonly (WheelRef & {
    readonly fromKpa: number;
    readonly toKpa: number;
    readonly way: 'out' | 'in';
  })[];
}

/**
 * Left and right of an axle level again: letting out of the firmer where the target allows it, because that needs no
 * pump; putting in where a wheel is below the target. Wheels nearer to it than the gauge's step are left alone.
 *
 * @param stepKpa the gauge's step: a difference below it is none
 */
export function levelling(wheels: readonly ReadWheel[], targetKpa: number, stepKpa: number): Levelling {
  const all = wheels.map(({ pressureKpa }) => pressureKpa);
  const apartKpa = Math.max(...all) - Math.min(...all);
  const DUST = 1e-6;
  return {
    apartKpa,
    apart: apartKpa > stepKpa + DUST,
    touch: wheels
      .filter(({ pressureKpa }) => Math.abs(pressureKpa - targetKpa) > stepKpa / 2 + DUST)
      .map(({ position, wheel, pressureKpa }) => ({
        position,
        wheel,
        fromKpa: pressureKpa,
        toKpa: targetKpa,
        way: pressureKpa > targetKpa ? 'out' : 'in',
      })),
  };
}

/** What two tires joined by a hose come to, and how long that takes. */
export interface HoseJoin {
  readonly levelKpa: number;
  /** Until they are within the gauge's step of each other; null where that is more than anybody waits. */
  readonly seconds: number | null;
}

/** A hose with a chuck on each end that presses the pins of both valves, L/s. Assumption: two valves one after the other. */
export const HOSE_CONDUCTANCE_L_PER_S = 0.2;

/** Longest that anybody waits for two tires, s. */
const MOST_S = 7200;

/** Two tires joined by a hose: exact for the pressure they come to, integrated for the time. */
export function hoseJoin(
  a: Air,
  b: Air,
  outsideKpaAbs: number,
  stepKpa: number,
  conductanceLPerS = HOSE_CONDUCTANCE_L_PER_S,
): HoseJoin {
  const { seconds, end } = joined({
    vessels: [a, b],
    hoses: [{ from: 0, to: 1, conductanceLPerS, shutAtKpa: null }],
    outsideKpaAbs,
    done: ([one, other]) => Math.abs(one! - other!) <= stepKpa,
    mostS: MOST_S,
  });
  return { levelKpa: joinedKpa([a, b]), seconds: end === 'done' ? seconds : null };
}
