import { compareLevels, levelsOf, SURE } from './levels';
import { judgement, type Fields, type Judgement, type Routine, type ValuesOf } from './routine';

/** How many runs at each pressure make a comparison. Common practice, no source. */
export const LEAST_RUNS = 3;

/**
 * Judges a test that gives one number a run: which pressure did best, and whether the difference is one. A difference
 * smaller than the spread is no difference.
 */
export function judgeMeasured<Setup extends Fields, Run extends Fields>(
  score: NonNullable<Routine<Setup, Run>['score']>,
  runs: readonly ValuesOf<Run>[],
  setup: ValuesOf<Setup>,
  least = LEAST_RUNS,
): Judgement {
  const levels = levelsOf(
    runs.flatMap((run) => {
      const scored = score.of(run, setup);
      return scored ? [scored] : [];
    }),
  );
  const comparison = compareLevels(levels, score.better);
  if (!comparison?.next) return judgement({ verdict: 'onePressure', move: 'again', levels });
  const { best, next, sure } = comparison;
  const figures = { best: best.mean, next: next!.mean, nextKpa: next!.pressureKpa };
  if (best.values.length < least || next!.values.length < least) {
    return judgement({ verdict: 'moreRuns', move: 'again', tryKpa: best.pressureKpa, sure, levels, figures });
  }
  if (sure === null || sure < SURE) {
    return judgement({ verdict: 'noDifference', move: 'keep', sure, levels, figures });
  }
  return judgement({ verdict: 'better', move: 'keep', tryKpa: best.pressureKpa, sure, levels, figures });
}
