import { createOde } from './ode';
import { flowShare } from './orifice';

/** Something with air in it: a tire, a tank. Gauge pressure. */
export interface Vessel {
  readonly volumeL: number;
  readonly pressureKpa: number;
}

/** A hose between two vessels. */
export interface Hose {
  readonly from: number;
  readonly to: number;
  /** Liters of the air at its upstream end, a second, while choked. */
  readonly conductanceLPerS: number;
  /** Shut once the vessel at its end has so much, kPa; null stays open. */
  readonly shutAtKpa: number | null;
}

export interface JoinedInput {
  readonly vessels: readonly Vessel[];
  readonly hoses: readonly Hose[];
  /** Air put into the first vessel against its pressure, as liters of the air outside, a minute. */
  readonly supplyLPerMin?: (kpa: number) => number;
  readonly outsideKpaAbs: number;
  /** Ends when this is so. */
  readonly done: (pressuresKpa: readonly number[]) => boolean;
  /** Gives up after so long, s. */
  readonly mostS: number;
}

export interface Joined {
  readonly seconds: number;
  readonly pressuresKpa: readonly number[];
  readonly done: boolean;
}

/** Closer than this two vessels count as all but level, kPa: far below what a gauge shows. */
const NEARLY_LEVEL_KPA = 0.5;

/**
 * Vessels joined by hoses, air flowing from the firmer to the softer as through a hole, until the end that is asked for.
 * No closed form exists once both ends change: integrated with an adaptive Runge–Kutta method of fifth order to one part
 * in a million. The air keeps its warmth.
 */
export function joined({ vessels, hoses, supplyLPerMin, outsideKpaAbs, done, mostS }: JoinedInput): Joined {
  const slopes = (rates: number[], pressures: readonly number[]): void => {
    rates.fill(0);
    for (const { from, to, conductanceLPerS, shutAtKpa } of hoses) {
      const ahead = pressures[from]! > pressures[to]!;
      const [high, low] = ahead ? [from, to] : [to, from];
      // A hose with a valve at its end lets nothing back.
      if (shutAtKpa !== null && (!ahead || pressures[to]! >= shutAtKpa)) continue;
      const highKpaAbs = pressures[high]! + outsideKpaAbs;
      const lowKpaAbs = pressures[low]! + outsideKpaAbs;
      const share = flowShare(lowKpaAbs / highKpaAbs);
      // A hole has no end to its slope where both sides are level; the last bit goes in a straight line instead.
      const near = Math.min(1, (highKpaAbs - lowKpaAbs) / NEARLY_LEVEL_KPA);
      const flow = conductanceLPerS * highKpaAbs * share * Math.sqrt(near);
      rates[high]! -= flow / vessels[high]!.volumeL;
      rates[low]! += flow / vessels[low]!.volumeL;
    }
    if (supplyLPerMin) rates[0]! += (supplyLPerMin(pressures[0]!) * outsideKpaAbs) / 60 / vessels[0]!.volumeL;
  };
  const ode = createOde(
    vessels.map(({ pressureKpa }) => pressureKpa),
    slopes,
  );
  while (!done(ode.values) && ode.step(mostS));
  return { seconds: ode.seconds, pressuresKpa: [...ode.values], done: done(ode.values) };
}
