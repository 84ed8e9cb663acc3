import { judgement, type Judgement, type TestedOn } from './routine';

/**
 * Judges runs that each say something by themselves: by the worst at the newest pressure, not by the average. `steps`
 * tells for each word how many steps to go, up or down, gravest first.
 */
export function worst<Run extends { readonly pressureKpa: number }, Word extends string>(
  runs: readonly Run[],
  { family }: TestedOn,
  wordOf: (run: Run) => Word,
  steps: Readonly<Record<Word, number>>,
): Judgement {
  const words = runs.map(wordOf);
  const newest = runs.at(-1);
  if (!newest) return judgement({ verdict: 'noRuns', move: 'again' });
  const now = words.filter((_, index) => runs[index]!.pressureKpa === newest.pressureKpa);
  const verdict = (Object.keys(steps) as Word[]).find((word) => now.includes(word))!;
  const by = steps[verdict];
  if (by === 0) {
    return judgement({ verdict, move: 'keep', tryKpa: newest.pressureKpa, runs: words });
  }
  const stepKpa = Math.abs(by) * family.trialStepKpa;
  const tryKpa = Math.max(0, newest.pressureKpa + Math.sign(by) * stepKpa);
  // A softer one that was well where a firmer one hurt, or the other way about: not the same ground or speed.
  const contradictions = runs.flatMap((low, i) =>
    runs.flatMap((high, j): (readonly [number, number])[] =>
      low.pressureKpa < high.pressureKpa && steps[words[i]!] < 0 && steps[words[j]!] > 0 ? [[i, j]] : [],
    ),
  );
  return judgement({ verdict, move: by > 0 ? 'firmer' : 'softer', stepKpa, tryKpa, runs: words, contradictions });
}
