import type { Kind } from '../families/family';
import { levelsOf } from './levels';
import { GAUGE, judgement, type Judgement } from './routine';

/** Rigs with a wheel on either side of an axle. */
const SIDE_BY_SIDE: readonly Kind[] = ['car', 'quad', 'farm'];

/** What the other wheels had, where they differ from the one that the pressure is of. */
export const OTHER_WHEELS = {
  mateKpa: { ...GAUGE, kinds: SIDE_BY_SIDE, optional: true },
  otherAxleKpa: { ...GAUGE, optional: true },
  otherMateKpa: { ...GAUGE, kinds: SIDE_BY_SIDE, optional: true },
} as const;

/** The pressures of one attempt, as far as they were written down. Rows of before there were such fields lack them. */
export interface WheelsAtAttempt {
  readonly pressureKpa: number;
  readonly mateKpa?: number | null;
  readonly otherAxleKpa?: number | null;
  readonly otherMateKpa?: number | null;
}

/** An axle has what its two wheels have in the mean; one that was not written down has what its mate has. */
export const axleKpa = ({ pressureKpa, mateKpa }: WheelsAtAttempt): number =>
  (pressureKpa + (mateKpa ?? pressureKpa)) / 2;

/** One attempt that gets there or does not. */
export interface Attempt {
  readonly pressureKpa: number;
  readonly went: boolean;
  readonly nearly: boolean;
  readonly dugIn: boolean;
  /** What it says by itself. */
  readonly word: string;
}

/** The firmest pressure that went every time, kPa; null where attempts contradict each other or none did. */
export const firmestThatWent = ({ levels, contradictions }: Judgement): number | null =>
  contradictions.length > 0 ? null : (levels.find(({ mean }) => mean === 1)?.pressureKpa ?? null);

/** A reading lies this close to its level, kPa: they were put together as one. Assumption: half a psi. */
const OF_LEVEL_KPA = 3.5;

/** What the other axle had in the attempts at a pressure: the mean of what was written down; null where nothing was. */
export function otherAxleOf(runs: readonly WheelsAtAttempt[], pressureKpa: number): number | null {
  const others = runs.flatMap((run) => {
    const first = run.otherAxleKpa ?? run.otherMateKpa;
    if (first == null || Math.abs(axleKpa(run) - pressureKpa) > OF_LEVEL_KPA) return [];
    return [(first + (run.otherMateKpa ?? first)) / 2];
  });
  return others.length === 0 ? null : others.reduce((sum, kpa) => sum + kpa, 0) / others.length;
}

/** Attempts that get there or not: the firmest pressure that does is sought, for it works tire and engine least. */
export function judgeFirmest(runs: readonly Attempt[], step: number): Judgement {
  const levels = levelsOf(runs.map(({ pressureKpa, went }) => ({ kpa: pressureKpa, value: went ? 1 : 0 })));
  // Softer and stopped where firmer went up: one of the two was not the same attempt.
  const contradictions = runs.flatMap((softer, i) =>
    runs.flatMap((firmer, j): (readonly [number, number])[] =>
      !softer.went && firmer.went && softer.pressureKpa <= firmer.pressureKpa ? [[i, j]] : [],
    ),
  );
  const words = runs.map(({ word }) => word);
  const passes = levels.filter(({ mean }) => mean === 1);
  const firmest = passes[0];
  const above = levels.filter(({ mean, pressureKpa }) => mean < 1 && pressureKpa > (firmest?.pressureKpa ?? -1)).at(-1);
  const common = { levels, runs: words, contradictions };
  if (levels.length === 0) return judgement({ verdict: 'noRuns', move: 'again', ...common });
  if (!firmest) {
    const softest = levels.at(-1)!.pressureKpa;
    // One that nearly got there wants one step, not two.
    const steps = runs.some(({ nearly, pressureKpa }) => nearly && pressureKpa === softest) ? 1 : 2;
    const dugIn = runs.some(({ dugIn: dug }) => dug);
    return judgement({
      verdict: dugIn ? 'dugIn' : 'nonePasses',
      move: 'softer',
      stepKpa: steps * step,
      tryKpa: Math.max(0, softest - steps * step),
      ...common,
    });
  }
  // Laplace's rule of succession: chance that the next attempt goes up as well. Exact.
  const sure = (firmest.values.length + 1) / (firmest.values.length + 2);
  const gap = above ? above.pressureKpa - firmest.pressureKpa : null;
  if (contradictions.length > 0) {
    return judgement({ verdict: 'contradicts', move: 'again', tryKpa: firmest.pressureKpa, sure, ...common });
  }
  if (gap === null)
    return judgement({
      verdict: 'allPass',
      move: 'firmer',
      stepKpa: 2 * step,
      tryKpa: firmest.pressureKpa + 2 * step,
      sure,
      ...common,
    });
  if (gap > 1.5 * step) {
    const halves = Math.round(gap / 2 / step) * step;
    return judgement({
      verdict: 'between',
      move: 'firmer',
      stepKpa: halves,
      tryKpa: firmest.pressureKpa + halves,
      sure,
      ...common,
    });
  }
  return judgement({ verdict: 'found', move: 'keep', tryKpa: firmest.pressureKpa, sure, ...common });
}
