import { coach, REACH, type TrialAdvice, type TrialRun } from './coach';
import { levelsOf, spreadOf } from './levels';
import { defineRoutine, GAUGE, judgement, type ValuesOf } from './routine';

const RATING = { type: 'number', unit: 'rating', min: 1, max: 10, optional: true } as const;
const WEIGHT = { type: 'number', unit: 'times', min: 0, max: 5, whole: true } as const;

/** What a run is rated by, each with its weight. */
export const CRITERIA = ['climbs', 'turns', 'rolls', 'comfort', 'worstHit'] as const;

/** How far two ratings of one pressure lie apart. Assumption. */
const RATED_APART = 0.9;

const setup = {
  startKpa: { ...GAUGE, gauge: false },
  stepKpa: { type: 'number', unit: 'kpa', min: 1, max: 200 },
  lowestKpa: { ...GAUGE, gauge: false },
  highestKpa: { ...GAUGE, gauge: false, optional: true },
  by: { type: 'choice', options: ['ratings', 'more', 'less'] },
  blind: { type: 'choice', options: ['open', 'blind'] },
  seed: { type: 'number', unit: 'times', min: 0, max: 1e6, whole: true },
  climbs: WEIGHT,
  turns: WEIGHT,
  rolls: WEIGHT,
  comfort: WEIGHT,
  worstHit: WEIGHT,
} as const;
const run = {
  pressureKpa: { ...GAUGE, gauge: false },
  climbs: RATING,
  turns: RATING,
  rolls: RATING,
  comfort: RATING,
  worstHit: RATING,
  measured: { type: 'number', unit: 'times', min: -1e6, max: 1e6, optional: true },
  /** The measured test that the run was taken from. */
  testId: { type: 'id', optional: true },
} as const;

export type BracketSetup = ValuesOf<typeof setup>;
export type BracketRun = ValuesOf<typeof run>;

/** Score of a run, more being better: the mean of its ratings by their weights, or the measured value. Null where none was entered. */
export function scoreOf(of: BracketRun, by: BracketSetup): number | null {
  if (by.by !== 'ratings') return of.measured === null ? null : by.by === 'more' ? of.measured : -of.measured;
  const rated = CRITERIA.flatMap((name) =>
    of[name] === null || by[name] === 0 ? [] : [{ value: of[name], weight: by[name] }],
  );
  const whole = rated.reduce((sum, { weight }) => sum + weight, 0);
  return whole === 0 ? null : rated.reduce((sum, { value, weight }) => sum + value * weight, 0) / whole;
}

const stepOf = (kpa: number, { startKpa, stepKpa }: BracketSetup): number => Math.round((kpa - startKpa) / stepKpa);
export const pressureAt = (step: number, { startKpa, stepKpa }: BracketSetup): number => startKpa + step * stepKpa;

/** What the coach says of a trial so far. */
export function trialAdvice(runs: readonly BracketRun[], by: BracketSetup): TrialAdvice {
  const scored = runs.flatMap((each): TrialRun[] => {
    const value = scoreOf(each, by);
    return value === null ? [] : [{ step: stepOf(each.pressureKpa, by), value }];
  });
  const lowest = Math.min(0, Math.max(-REACH, Math.ceil((by.lowestKpa - by.startKpa) / by.stepKpa - 1e-9)));
  const highest = Math.max(
    0,
    Math.min(REACH, by.highestKpa === null ? REACH : Math.floor((by.highestKpa - by.startKpa) / by.stepKpa + 1e-9)),
  );
  const levels = levelsOf(scored.map(({ step, value }) => ({ kpa: pressureAt(step, by), value })));
  // A thing that is measured spreads as its repeats do; until there are some, as a third of all.
  const all = spreadOf([{ pressureKpa: 0, values: scored.map(({ value }) => value), mean: mean(scored) }]);
  const measured = spreadOf(levels)?.deviation ?? (all?.deviation ?? 1) / 3;
  return coach(scored, {
    lowest,
    highest,
    deviation: by.by === 'ratings' ? RATED_APART : measured || 1e-9,
    seed: by.seed,
  });
}

const mean = (runs: readonly TrialRun[]): number =>
  runs.reduce((sum, { value }) => sum + value, 0) / Math.max(1, runs.length);

/** From the start value down and up by steps, in no order that could fool: keep what feels and measures best. */
export const bracket = defineRoutine({
  code: 'bracket',
  kinds: ['car', 'quad', 'motorcycle', 'bicycle'],
  minutes: 40,
  oneWheel: false,
  setup,
  run,
  score: {
    better: 'more',
    unit: 'times',
    of: (each, by) => {
      const value = scoreOf(each, by);
      return value === null ? null : { kpa: each.pressureKpa, value };
    },
  },
  proves: {
    by: 'trial',
    rolls: false,
    pressureKpa: ({ verdict, tryKpa }) => (verdict === 'sure' || verdict === 'enough' ? tryKpa : null),
  },
  judge: (runs, by) => {
    const levels = levelsOf(
      runs.flatMap((each) => {
        const value = scoreOf(each, by);
        return value === null ? [] : [{ kpa: each.pressureKpa, value }];
      }),
    );
    const advice = trialAdvice(runs, by);
    if (advice.best === null)
      return judgement({ verdict: 'noRuns', move: 'again', tryKpa: pressureAt(advice.next!, by) });
    const bestKpa = pressureAt(advice.best, by);
    const common = { levels, sure: advice.support, figures: { bestKpa, runs: runs.length } };
    if (advice.next !== null)
      return judgement({ verdict: 'goOn', move: 'again', tryKpa: pressureAt(advice.next, by), ...common });
    const move = advice.best < 0 ? 'softer' : advice.best > 0 ? 'firmer' : 'keep';
    return judgement({ verdict: advice.because, move, tryKpa: bestKpa, ...common });
  },
});
