import { defineRoutine, GAUGE, judgement } from './routine';

/** Two sides of one driven axle at different pressures: which slips first. */
export const split = defineRoutine({
  code: 'split',
  kinds: ['car', 'quad', 'farm'],
  minutes: 10,
  oneWheel: false,
  setup: {},
  run: {
    pressureKpa: GAUGE,
    otherKpa: GAUGE,
    slippedFirst: { type: 'choice', options: ['left', 'right', 'together', 'neither'] },
  },
  judge: (runs, _, { family }) => {
    const softerIsLeft = (run: (typeof runs)[number]): boolean => run.pressureKpa < run.otherKpa;
    const told = runs.filter(
      ({ pressureKpa, otherKpa, slippedFirst }) =>
        pressureKpa !== otherKpa && (slippedFirst === 'left' || slippedFirst === 'right'),
    );
    const softerHeld = told.filter((run) => (run.slippedFirst === 'left') !== softerIsLeft(run));
    const words = runs.map((run) =>
      run.pressureKpa === run.otherKpa
        ? 'alike'
        : run.slippedFirst === 'together' || run.slippedFirst === 'neither'
          ? run.slippedFirst
          : (run.slippedFirst === 'left') !== softerIsLeft(run)
            ? 'softerHeld'
            : 'firmerHeld',
    );
    const newest = runs.at(-1);
    if (!newest) return judgement({ verdict: 'noRuns', move: 'again' });
    const pair = [newest.pressureKpa, newest.otherKpa].sort((a, b) => a - b) as [number, number];
    const figures = { told: told.length, softerHeld: softerHeld.length };
    // With the sides changed over, a side that only stands on better ground shows itself.
    const contradictions = runs.flatMap((a, i) =>
      runs.flatMap((b, j): (readonly [number, number])[] =>
        j > i && words[i] === 'softerHeld' && words[j] === 'firmerHeld' && softerIsLeft(a) === softerIsLeft(b)
          ? [[i, j]]
          : [],
      ),
    );
    const common = { runs: words, figures, contradictions };
    if (told.length === 0 && words.includes('neither')) {
      return judgement({ verdict: 'neitherSlips', move: 'again', ...common });
    }
    if (told.length < 2) return judgement({ verdict: 'changeSides', move: 'again', ...common });
    // Rule of succession on which of the two holds better. Exact.
    const share = softerHeld.length / told.length;
    const sure = (Math.max(softerHeld.length, told.length - softerHeld.length) + 1) / (told.length + 2);
    if (share > 0.5) {
      return judgement({
        verdict: 'softerHolds',
        move: 'softer',
        stepKpa: family.trialStepKpa,
        tryKpa: pair[0],
        sure,
        ...common,
      });
    }
    if (share < 0.5)
      return judgement({
        verdict: 'firmerHolds',
        move: 'firmer',
        stepKpa: family.trialStepKpa,
        tryKpa: pair[1],
        sure,
        ...common,
      });
    return judgement({ verdict: 'noDifference', move: 'keep', sure: 0.5, ...common });
  },
});
