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

/** Why the end that was asked for was not met. */
export type JoinedEnd =
  | 'done'
  /** Not within the time, or nothing moves any more. */
  | 'tooLong'
  /** A vessel so small against its hoses that the computation would take too many steps. */
  | 'tooManySteps';

export interface Joined {
  readonly seconds: number;
  readonly pressuresKpa: readonly number[];
  readonly end: JoinedEnd;
}

/** About a tenth of a second of computing; a truck's tank and four tires take a few thousand. */
const MOST_STEPS = 20_000;
/** After so many steps it is looked whether anything still moves. */
const LOOK_AGAIN = 1_000;
/** What is left of the time brings less than this, kPa: it stands still. */
const STILL_KPA = 0.1;

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
  let end: JoinedEnd | null = null;
  let before = { seconds: 0, values: [...ode.values] };
  for (let steps = 0; end === null; steps += 1) {
    if (done(ode.values)) end = 'done';
    else if (steps === MOST_STEPS) end = 'tooManySteps';
    else if (steps > 0 && steps % LOOK_AGAIN === 0) {
      const leftOver = (mostS - ode.seconds) / (ode.seconds - before.seconds);
      const moved = Math.max(...ode.values.map((kpa, index) => Math.abs(kpa - before.values[index]!)));
      if (moved * leftOver < STILL_KPA) end = 'tooLong';
      before = { seconds: ode.seconds, values: [...ode.values] };
    }
    if (end === null && !ode.step(mostS)) end = done(ode.values) ? 'done' : 'tooLong';
  }
  return { seconds: ode.seconds, pressuresKpa: [...ode.values], end };
}
