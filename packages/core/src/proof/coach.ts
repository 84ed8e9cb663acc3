import { randomGamma, randomLcg, randomNormal } from 'd3-random';

import { choleskyOf, inverseOf, times } from '../numerics/solve';

/** One run of a trial: so many steps above (firmer) or below the start, and what came out, more being better. */
export interface TrialRun {
  readonly step: number;
  readonly value: number;
}

export interface TrialRules {
  /** The steps that may be tried: not below the floor, not past the sidewall. */
  readonly lowest: number;
  readonly highest: number;
  /** How far two runs at one pressure lie apart, as far as anybody knows beforehand. */
  readonly deviation: number;
  readonly seed: number;
}

export interface TrialAdvice {
  /** The step that looks best now; null before there is anything to go by. */
  readonly best: number | null;
  /** Chance that the true best lies within one step of it, 0 to 1. */
  readonly support: number;
  /** Chance for each step to be the best, in the order of steps. */
  readonly chances: readonly { readonly step: number; readonly chance: number }[];
  /** What to ride next; null where another run would not change the choice. */
  readonly next: number | null;
  /** Why it stops, or that it goes on. */
  readonly because: 'goOn' | 'sure' | 'enough';
}

/** Steps to either side of the start that are in reach. */
export const REACH = 3;
/** Another run would hardly change a choice that is this sure. Assumption. */
export const SURE_ENOUGH = 0.93;
/** Nobody rides longer than this for one number. Assumption. */
export const MOST_RUNS = 14;
const LEAST_RUNS = 5;
const DRAWS = 600;
/** How strongly pressure may act over two steps, in deviations of one run. Assumption. */
const SLOPE = 4;
/** How firmly the deviation is believed beforehand, in runs. Assumption. */
const BELIEF = 3;

/**
 * The trial coach: what to ride next and when to stop. Results over pressure are taken as a hill, a curve of the second
 * degree with noise (Bayes, normal and inverse gamma prior; exact), and so many hills are drawn that fit what was ridden:
 * how often each step is the top of one is its chance. The next run is the top of one hill drawn by chance, which tries
 * likely steps more often and in no order that warming up could fool.
 *
 * The first three runs take in the whole reach: the start and two steps to either side, in random order.
 */
export function coach(runs: readonly TrialRun[], rules: TrialRules): TrialAdvice {
  const { lowest, highest, seed } = rules;
  const steps = Array.from({ length: highest - lowest + 1 }, (_, index) => lowest + index);
  const source = randomLcg(mixed(seed, runs.length));
  const opening = openingOf(rules).filter((step) => !runs.some((run) => run.step === step));
  if (opening.length > 0) {
    const best = runs.length > 0 ? [...runs].sort((a, b) => b.value - a.value)[0]!.step : null;
    return { best, support: 0, chances: [], next: opening[0]!, because: 'goOn' };
  }
  const { tops, middle } = hills(runs, steps, rules.deviation, source);
  const chances = steps.map((step) => ({ step, chance: tops.filter((top) => top === step).length / tops.length }));
  // A best is one that was ridden, or lies between two that were.
  const ridden = runs.map(({ step }) => step);
  const between = steps.filter((step) => step >= Math.min(...ridden) && step <= Math.max(...ridden));
  const best = between.reduce((a, b) => (middle(b) > middle(a) ? b : a));
  const support = chances.reduce((sum, { step, chance }) => sum + (Math.abs(step - best) <= 1 ? chance : 0), 0);
  const sure = runs.length >= LEAST_RUNS && support >= SURE_ENOUGH;
  const enough = runs.length >= MOST_RUNS;
  return {
    best,
    support,
    chances,
    next: sure || enough ? null : tops[Math.floor(source() * tops.length)]!,
    because: sure ? 'sure' : enough ? 'enough' : 'goOn',
  };
}

/** Start and two steps to either side as far as they are in reach, in an order of the seed's. */
function openingOf({ lowest, highest, seed }: TrialRules): number[] {
  const source = randomLcg(mixed(seed, 0));
  return [...new Set([-2, 0, 2].map((step) => Math.min(Math.max(step, lowest), highest)))]
    .map((step) => ({ step, by: source() }))
    .sort((a, b) => a.by - b.by)
    .map(({ step }) => step);
}

/** A seed of its own for each run: neighbours must not look alike. */
const mixed = (seed: number, run: number): number => ((Math.imul(seed + run * 7919, 2654435761) >>> 0) % 1e6) / 1e6;

/** The tops of hills that fit, and the most likely hill. */
function hills(runs: readonly TrialRun[], steps: readonly number[], deviation: number, source: () => number) {
  const mean = runs.reduce((sum, { value }) => sum + value, 0) / runs.length;
  const row = (step: number): number[] => [1, step / 2, (step / 2) ** 2];
  const loose = [1e4, SLOPE ** 2, SLOPE ** 2];
  const rows = runs.map(({ step }) => row(step));
  const ys = runs.map(({ value }) => value - mean);
  const precision = loose.map((variance, i) =>
    loose.map((_, j) => rows.reduce((sum, x) => sum + x[i]! * x[j]!, 0) + (i === j ? 1 / variance : 0)),
  );
  const spread = inverseOf(precision);
  const towards = loose.map((_, i) => rows.reduce((sum, x, k) => sum + x[i]! * ys[k]!, 0));
  const centre = times(spread, towards);
  const left = ys.reduce((sum, y) => sum + y * y, 0) - centre.reduce((sum, value, i) => sum + value * towards[i]!, 0);
  const shape = (BELIEF + runs.length) / 2;
  const scale = (BELIEF * deviation ** 2 + Math.max(0, left)) / 2;
  const root = choleskyOf(spread);
  const normal = randomNormal.source(source)(0, 1);
  const gamma = randomGamma.source(source)(shape, 1);
  const height = (hill: readonly number[], step: number): number =>
    row(step).reduce((sum, x, i) => sum + x * hill[i]!, 0);
  const topOf = (hill: readonly number[]): number =>
    steps.reduce((a, b) => (height(hill, b) > height(hill, a) ? b : a));
  const tops = Array.from({ length: DRAWS }, () => {
    const noise = Math.sqrt(scale / gamma());
    const z = [normal(), normal(), normal()];
    return topOf(centre.map((value, i) => value + noise * times(root, z)[i]!));
  });
  return { tops, middle: (step: number): number => height(centre, step) };
}
