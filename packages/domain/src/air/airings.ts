import type { Airing, AiringRow, AiringRunBody, AirToolRow } from '@dunlinmoss/contract';
import {
  airPressureKpaAbs,
  compareTexts,
  correctedKpa,
  fillSeconds,
  inToolOf,
  outToolOf,
  rateFrom,
  runProblem,
  sameWheel,
  type AirToolCode,
  type AiringRun,
  type Pump,
  type Rate,
  type RunProblem,
  type TimedDrop,
  type WheelRef,
} from '@dunlinmoss/core';

const seconds = (iso: string): number => Date.parse(iso) / 1000;

/** A run as the core looks at it: true pressures. */
export const coreRun = (run: AiringRunBody, offsetKpa: number): AiringRun => ({
  position: run.position,
  wheel: run.wheel,
  startedS: seconds(run.startedAt),
  endedS: run.endedAt === null ? null : seconds(run.endedAt),
  beforeKpa: correctedKpa(run.beforeKpa, offsetKpa),
  afterKpa: run.afterKpa === null ? null : correctedKpa(run.afterKpa, offsetKpa),
  timed: run.timed,
});

export const coreRuns = ({ runs, gauge }: Pick<Airing, 'runs' | 'gauge'>): AiringRun[] =>
  runs.map((run) => coreRun(run, gauge?.offsetKpa ?? 0));

/** The runs of an airing that tell nothing of a rate, with why. */
export const runProblems = (
  airing: Pick<Airing, 'runs' | 'gauge' | 'way'>,
): { run: AiringRun; problem: RunProblem }[] => {
  const runs = coreRuns(airing);
  return runs.flatMap((run) => {
    const problem = runProblem(run, runs, airing.way);
    return problem && problem.code !== 'readingAlone' ? [{ run, problem }] : [];
  });
};

const volumeIn = ({ wheels }: Pick<Airing, 'wheels'>, place: WheelRef): number | undefined =>
  wheels.find((wheel) => sameWheel(wheel, place))?.volumeL;

/** How well a gauge is read, kPa: half a psi to either side. Assumption. */
const READING_KPA = 2;

/** Every drop that was timed in some airings, finished and read. */
export const dropsOf = (airings: readonly Airing[]): TimedDrop[] =>
  airings.flatMap((airing) => {
    if (airing.way !== 'out') return [];
    const runs = coreRuns(airing);
    return runs.flatMap((run): TimedDrop[] => {
      const { endedS, afterKpa, startedS, beforeKpa } = run;
      const volumeL = volumeIn(airing, run);
      if (endedS === null || afterKpa === null || volumeL === undefined || runProblem(run, runs, 'out')) return [];
      const drop = { volumeL, beforeKpa, afterKpa, seconds: endedS - startedS };
      return [{ ...drop, outsideKpaAbs: airPressureKpaAbs(airing.altitudeM), readingKpa: READING_KPA }];
    });
  });

/** A kind of tool, and which of the person's own where it is one. */
export interface ToolUsed {
  readonly kind: AirToolCode;
  readonly tool: AirToolRow | undefined;
}

const usedIn =
  ({ kind, tool }: ToolUsed) =>
  (airing: Airing): boolean =>
    tool ? airing.toolId === tool.id : airing.toolKind === kind;

/** How fast a tool lets air out, by everything that was timed with it. */
export const outRate = (used: ToolUsed, airings: readonly Airing[]): Rate =>
  rateFrom(outToolOf(used.kind)?.conductanceLPerS ?? 1, dropsOf(airings.filter(usedIn(used))));

/** A pump as its own label says, or its kind. */
export function pumpOf({ kind, tool }: ToolUsed): Pump {
  const usual = inToolOf(kind)!.pump;
  return {
    flow: tool && tool.flow.length > 0 ? (tool.flow as unknown as Pump['flow']) : usual.flow,
    duty: tool?.duty ?? usual.duty,
    budget: tool?.budget ?? usual.budget,
  };
}

/** How many wheels a tool is on at once: hoses on a pump, deflators in the bag. */
export const wheelsAtOnceOf = ({ kind, tool }: ToolUsed): number =>
  tool?.wheelsAtOnce ?? (inToolOf(kind) ?? outToolOf(kind))?.wheelsAtOnce ?? 1;

export interface PumpRate {
  /** The person's own over the label's. */
  readonly rate: number;
  readonly timed: number;
}

/** A rate this far from the label's is a slip of the thumb, not a pump. Assumption. */
const LIKELY_RATE = { low: 0.1, high: 4 };

/**
 * How fast a pump really is against its label: all it should have run over all it ran. Wheels on several hoses are filled
 * in the same minutes: what went into all of them is held against the time that passed.
 */
export function pumpRate(used: ToolUsed, airings: readonly Airing[]): PumpRate {
  const { flow } = pumpOf(used);
  let [told, ran, timed] = [0, 0, 0];
  for (const airing of airings.filter(usedIn(used))) {
    if (airing.way !== 'in') continue;
    const runs = coreRuns(airing);
    const fills = runs.flatMap((run): Filling[] => {
      const { startedS, endedS, beforeKpa, afterKpa } = run;
      const volumeL = volumeIn(airing, run);
      if (endedS === null || afterKpa === null || volumeL === undefined || runProblem(run, runs, 'in')) return [];
      const labelS = fillSeconds(flow, volumeL, beforeKpa, afterKpa, airPressureKpaAbs(airing.altitudeM));
      return [{ startedS, endedS, labelS, wheels: 1 }];
    });
    for (const { startedS, endedS, labelS, wheels } of sameMinutes(fills)) {
      const own = labelS / (endedS - startedS);
      if (!(own > LIKELY_RATE.low && own < LIKELY_RATE.high)) continue;
      told += labelS;
      ran += endedS - startedS;
      timed += wheels;
    }
  }
  return { rate: timed > 0 ? told / ran : 1, timed };
}

interface Filling {
  readonly startedS: number;
  readonly endedS: number;
  /** How long the label says that it takes. */
  readonly labelS: number;
  readonly wheels: number;
}

/** Fillings that overlap in time as one. */
function sameMinutes(fills: readonly Filling[]): Filling[] {
  const joined: Filling[] = [];
  for (const fill of [...fills].sort((a, b) => a.startedS - b.startedS)) {
    const last = joined.at(-1);
    if (!last || fill.startedS >= last.endedS) joined.push(fill);
    else {
      joined[joined.length - 1] = {
        startedS: last.startedS,
        endedS: Math.max(last.endedS, fill.endedS),
        labelS: last.labelS + fill.labelS,
        wheels: last.wheels + fill.wheels,
      };
    }
  }
  return joined;
}

const runKey = ({ position, wheel, startedAt }: AiringRunBody): string => `${position} ${wheel} ${startedAt}`;

/**
 * Two phones on one airing, put together: every run of both, with whatever either knows more; what was said of a wheel
 * by whoever said something. Nothing is lost; what overlaps is counted once (see `runProblem`).
 */
export function mergeAirings(mine: Airing, theirs: AiringRow): Airing {
  const runs = new Map(theirs.runs.map((run) => [runKey(run), run]));
  for (const run of mine.runs) {
    const other = runs.get(runKey(run));
    runs.set(runKey(run), {
      ...(other ?? run),
      endedAt: run.endedAt ?? other?.endedAt ?? null,
      afterKpa: run.afterKpa ?? other?.afterKpa ?? null,
      timed: run.timed && (other?.timed ?? true),
    });
  }
  return {
    ...mine,
    revision: theirs.revision,
    endedAt: mine.endedAt ?? theirs.endedAt,
    wheels: mine.wheels.map((wheel) => ({
      ...wheel,
      settled: wheel.settled ?? theirs.wheels.find((other) => sameWheel(other, wheel))?.settled ?? null,
    })),
    runs: [...runs.values()].sort((a, b) => compareTexts(a.startedAt, b.startedAt)),
  };
}
