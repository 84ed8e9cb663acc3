import type { Airing, AiringRunBody, AiringWheel, OutingRow } from '@dunlinmoss/contract';
import { sameWheel, wheelKey, type WheelRef } from '@dunlinmoss/core';

import { progressOf, type WheelProgress } from './predict';

/** What is tapped or read while air goes out or in. Times are ISO; pressures are as the gauge shows them, kPa. */
export type AiringStep =
  | {
      readonly step: 'open';
      readonly at: string;
      readonly wheels: readonly { readonly wheel: WheelRef; readonly beforeKpa: number }[];
    }
  /** `timed` says of a run whether its time is this clock's own. */
  | {
      readonly step: 'close';
      readonly at: string;
      readonly wheels: readonly WheelRef[];
      readonly timed: (run: AiringRunBody) => boolean;
    }
  /** Wheels on one set of hoses have the same: they are read together. */
  | { readonly step: 'read'; readonly wheels: readonly WheelRef[]; readonly afterKpa: number }
  /** Read with nothing opened; accepted with it where nothing is to do there. */
  | {
      readonly step: 'readAlone';
      readonly at: string;
      readonly wheel: WheelRef;
      readonly shownKpa: number;
      readonly accepted?: true;
    }
  | {
      readonly step: 'settle';
      readonly at: string;
      readonly wheel: WheelRef;
      readonly settled: 'accepted' | 'skipped';
    }
  | { readonly step: 'end'; readonly at: string };

const isOne = (wheels: readonly WheelRef[], place: WheelRef): boolean =>
  wheels.some((wheel) => sameWheel(wheel, place));

const settledAs = (airing: Airing, place: WheelRef, settled: AiringWheel['settled']): Airing['wheels'] =>
  airing.wheels.map((wheel) => (sameWheel(wheel, place) ? { ...wheel, settled } : wheel));

/** A run cut off in the middle: its time tells nothing. */
const cutOff = (run: AiringRunBody, at: string): AiringRunBody =>
  run.endedAt === null ? { ...run, endedAt: at > run.startedAt ? at : run.startedAt, timed: false } : run;

/** An airing after one more step. Nothing that was read is ever lost by one. */
export function airingAfter(airing: Airing, step: AiringStep): Airing {
  switch (step.step) {
    case 'open': {
      const runs = step.wheels.map(({ wheel: { position, wheel }, beforeKpa }): AiringRunBody => ({
        position,
        wheel,
        startedAt: step.at,
        endedAt: null,
        beforeKpa,
        afterKpa: null,
        timed: true,
      }));
      return {
        ...airing,
        runs: [...airing.runs, ...runs],
        wheels: airing.wheels.map((wheel) => (isOne(runs, wheel) ? { ...wheel, settled: null } : wheel)),
      };
    }
    case 'close':
      return {
        ...airing,
        runs: airing.runs.map((run) =>
          run.endedAt === null && isOne(step.wheels, run)
            ? {
                ...run,
                endedAt: step.at > run.startedAt ? step.at : run.startedAt,
                timed: run.timed && step.timed(run),
              }
            : run,
        ),
      };
    case 'read': {
      let { runs } = airing;
      for (const wheel of step.wheels) {
        const last = runs.findLastIndex((run) => sameWheel(run, wheel));
        if (last >= 0) runs = runs.with(last, { ...runs[last]!, afterKpa: step.afterKpa });
      }
      return { ...airing, runs };
    }
    case 'readAlone': {
      const { position, wheel } = step.wheel;
      const last = airing.runs.findLast((run) => sameWheel(run, step.wheel));
      const beforeKpa = last ? (last.afterKpa ?? last.beforeKpa) : step.shownKpa;
      const run = { position, wheel, startedAt: step.at, endedAt: step.at, beforeKpa };
      return {
        ...airing,
        runs: [...airing.runs, { ...run, afterKpa: step.shownKpa, timed: false }],
        ...(step.accepted && { wheels: settledAs(airing, step.wheel, 'accepted') }),
      };
    }
    case 'settle':
      return {
        ...airing,
        wheels: settledAs(airing, step.wheel, step.settled),
        // Skipped while it runs: it is closed as well.
        ...(step.settled === 'skipped' && {
          runs: airing.runs.map((run) => (sameWheel(run, step.wheel) ? cutOff(run, step.at) : run)),
        }),
      };
    case 'end':
      return { ...airing, endedAt: step.at, runs: airing.runs.map((run) => cutOff(run, step.at)) };
  }
}

/** The wheels that are waiting for a reading, together where hoses join them. */
export const toReadWith = (airing: Airing, wheel: WheelRef, together: boolean, stepKpa: number): WheelRef[] => [
  wheel,
  ...(together
    ? progressOf(airing, stepKpa)
        .filter((each) => each.state === 'toRead' && wheelKey(each.wheel) !== wheelKey(wheel))
        .map((each) => each.wheel)
    : []),
];

/** The wheels that hoses join to one, itself first: not begun or to go on, to the same number, as many as there are hoses. */
export const startsWith = (
  progress: readonly WheelProgress[],
  at: AiringWheel,
  stepKpa: number,
  hoses: number,
): WheelProgress[] =>
  progress
    .filter(
      ({ state, wheel }) =>
        (state === 'waiting' || state === 'more') && Math.abs(wheel.targetKpa - at.targetKpa) < stepKpa / 2,
    )
    .sort((a, b) => Number(sameWheel(b.wheel, at)) - Number(sameWheel(a.wheel, at)))
    .slice(0, hoses);

/**
 * What each axle has after an airing, cold, kPa: the mean of what was met or read on it; what it had before where nothing
 * was done.
 */
export function pressuresAfter(
  progress: readonly WheelProgress[],
  before: OutingRow['pressures'],
  onGauge: (kpa: number) => number,
): OutingRow['pressures'] {
  const positions = [...new Set(progress.map(({ wheel }) => wheel.position))];
  return positions.flatMap((position) => {
    const done = progress.filter(({ wheel, state }) => wheel.position === position && state === 'done');
    const old = before.find((each) => each.position === position);
    if (done.length === 0) return old ? [old] : [];
    // A reading off its warm target is as far off the cold one.
    const coldOf = ({ wheel, readKpa }: WheelProgress): number =>
      wheel.coldKpa + ((readKpa ?? wheel.targetKpa) - wheel.targetKpa);
    const mean = done.reduce((sum, each) => sum + coldOf(each), 0) / done.length;
    return [{ position, pressureKpa: onGauge(mean) }];
  });
}
