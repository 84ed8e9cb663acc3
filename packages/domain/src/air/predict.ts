import type { Airing, AiringWheel } from '@dunlinmoss/contract';
import {
  airPressureKpaAbs,
  fillSeconds,
  openSeconds,
  outToolOf,
  pressureAfterSeconds,
  pressureWhileOpenKpa,
  wheelState,
  sameWheel,
  type AiringRun,
  type Pump,
  type WheelRef,
  type WheelState,
} from '@dunlinmoss/core';

import { coreRuns, wheelsAtOnceOf, outRate, pumpOf, pumpRate, type ToolUsed } from './airings';

/** How an airing goes: how long a wheel takes, and what it has meanwhile. True gauge pressures. */
export interface Prediction {
  readonly seconds: (wheel: Pick<AiringWheel, 'volumeL'>, fromKpa: number, toKpa: number) => number;
  readonly expectedKpa: (
    wheel: Pick<AiringWheel, 'volumeL'>,
    fromKpa: number,
    toKpa: number,
    seconds: number,
  ) => number;
  /** Standard error over the time. */
  readonly relativeError: number;
  readonly timed: number;
}

/** How well a pump's label tells its flow. Assumption. */
const LABEL_ERROR = 0.3;

/** The prediction of an airing, by all that was timed with its tool, this airing included. */
export function predictionOf(
  { way, altitudeM, wheels }: Pick<Airing, 'way' | 'altitudeM' | 'wheels'>,
  used: ToolUsed,
  airings: readonly Airing[],
): Prediction {
  const outside = airPressureKpaAbs(altitudeM);
  if (way === 'out') {
    const rate = outRate(used, airings);
    const tool = outToolOf(used.kind)!;
    return {
      seconds: ({ volumeL }, fromKpa, toKpa) =>
        openSeconds(tool, rate.conductanceLPerS, { volumeL, fromKpa, toKpa }, outside),
      expectedKpa: ({ volumeL }, fromKpa, toKpa, seconds) =>
        pressureWhileOpenKpa(tool, rate.conductanceLPerS, { volumeL, fromKpa, toKpa }, seconds, outside),
      relativeError: rate.relativeError,
      timed: rate.timed,
    };
  }
  const own = pumpRate(used, airings);
  const flow = pumpOf(used).flow.map((point) => ({
    ...point,
    litersPerMin: point.litersPerMin * own.rate,
  })) as unknown as Pump['flow'];
  // Wheels that go to the same number share the pump's air as far as it has hoses.
  const joinedL = (volumeL: number, toKpa: number): number =>
    volumeL * Math.max(1, Math.min(wheelsAtOnceOf(used), wheels.filter(({ targetKpa }) => targetKpa === toKpa).length));
  return {
    seconds: ({ volumeL }, fromKpa, toKpa) => fillSeconds(flow, joinedL(volumeL, toKpa), fromKpa, toKpa, outside),
    expectedKpa: ({ volumeL }, fromKpa, toKpa, seconds) =>
      pressureAfterSeconds(flow, joinedL(volumeL, toKpa), fromKpa, seconds, outside),
    relativeError: own.timed === 0 ? LABEL_ERROR : Math.max(0.05, LABEL_ERROR / (1 + 4 * own.timed)),
    timed: own.timed,
  };
}

/** A wheel of an airing, with all that was tapped and read on it. */
export interface WheelProgress {
  readonly wheel: AiringWheel;
  readonly runs: readonly AiringRun[];
  readonly state: WheelState;
  /** What it has now, as the gauge shows it, where that was read. */
  readonly readKpa: number | null;
  readonly running: AiringRun | undefined;
}

/** Where each wheel of an airing stands. */
export function progressOf(airing: Airing, stepKpa: number): WheelProgress[] {
  const all = coreRuns(airing);
  return airing.wheels.map((wheel) => {
    const runs = all.filter((run) => sameWheel(run, wheel));
    const last = runs.at(-1);
    return {
      wheel,
      runs,
      state: wheelState(runs, wheel.targetKpa, stepKpa, airing.way, wheel.settled),
      readKpa: last ? (last.afterKpa ?? last.beforeKpa) : null,
      running: last?.endedS === null ? last : undefined,
    };
  });
}

/** The wheel to go to: one that must be read, else one under way, else the next that waits; none when all is done. */
export function nextWheel(progress: readonly WheelProgress[]): WheelRef | undefined {
  const first = (...states: readonly WheelState[]) => progress.find(({ state }) => states.includes(state))?.wheel;
  return first('toRead') ?? first('running') ?? first('overshot', 'more') ?? first('waiting');
}

/** Nothing is left to do on any wheel. */
export const allSettled = (progress: readonly WheelProgress[]): boolean =>
  progress.every(({ state }) => state === 'done' || state === 'skipped');
