import { levelsOf } from './levels';
import { GAUGE, judgement, type Judgement } from './routine';

/** What the axle has that the pressure is not of, where the two differ. */
export const OTHER_AXLE = { ...GAUGE, optional: true } as const;

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
export function otherAxleOf(
  runs: readonly { readonly pressureKpa: number; readonly otherAxleKpa: number | null }[],
  pressureKpa: number,
): number | null {
  const others = runs.flatMap(({ pressureKpa: kpa, otherAxleKpa }) =>
    typeof otherAxleKpa === 'number' && Math.abs(kpa - pressureKpa) <= OF_LEVEL_KPA ? [otherAxleKpa] : [],
  );
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
