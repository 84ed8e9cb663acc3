import { levelsOf } from './levels';
import { defineRoutine, GAUGE, judgement, type Move } from './routine';

const ZONE = { type: 'choice', options: ['worn', 'partly', 'still'] } as const;
type Zone = (typeof ZONE.options)[number];
const LEFT: Record<Zone, number> = { worn: 0, partly: 0.5, still: 1 };

/** From here on one part of the tread is plainly more worn than another: half a line. Assumption. */
const PLAIN = 0.5;

export type ChalkWord = 'notRolled' | 'oneSided' | 'tooHard' | 'tooSoft' | 'right';

interface Line {
  readonly outerLeft: Zone;
  readonly left: Zone;
  readonly middle: Zone;
  readonly right: Zone;
  readonly outerRight: Zone;
}

/** What one chalk line says, and how plainly: 0 to 1. Gone in the middle is too hard, gone at the edges too soft. Common practice, no source. */
export function readChalk(line: Line): { readonly word: ChalkWord; readonly by: number } {
  const left = (LEFT[line.outerLeft] + LEFT[line.left]) / 2;
  const right = (LEFT[line.outerRight] + LEFT[line.right]) / 2;
  const middle = LEFT[line.middle];
  if (left === 1 && right === 1 && middle === 1) return { word: 'notRolled', by: 0 };
  const side = Math.abs(left - right);
  const edges = (left + right) / 2;
  if (side >= PLAIN && side > Math.abs(edges - middle)) return { word: 'oneSided', by: side };
  if (edges - middle >= PLAIN) return { word: 'tooHard', by: edges - middle };
  if (middle - edges >= PLAIN) return { word: 'tooSoft', by: middle - edges };
  return { word: 'right', by: Math.abs(edges - middle) };
}

const MOVES: Record<ChalkWord, Move> = {
  notRolled: 'again',
  oneSided: 'look',
  tooHard: 'softer',
  tooSoft: 'firmer',
  right: 'keep',
};

/** Of several wheels at one pressure, the one whose mark shows most plainly that something is wrong. */
const GRAVITY: readonly ChalkWord[] = ['tooSoft', 'tooHard', 'oneSided', 'right', 'notRolled'];

/** A thick line across the tread, rolled straight on hard ground: where it rubs off, the tread bears. */
export const chalk = defineRoutine({
  code: 'chalk',
  kinds: ['car', 'quad', 'motorcycle', 'bicycle', 'farm'],
  minutes: 5,
  oneWheel: false,
  setup: {},
  run: {
    wheel: { type: 'wheel' },
    pressureKpa: GAUGE,
    outerLeft: ZONE,
    left: ZONE,
    middle: ZONE,
    right: ZONE,
    outerRight: ZONE,
  },
  score: {
    better: 'less',
    unit: 'times',
    of: (run) => {
      const { word, by } = readChalk(run);
      return word === 'notRolled' ? null : { kpa: run.pressureKpa, value: by };
    },
  },
  judge: (runs, _, { family }) => {
    const read = runs.map((run) => ({ ...readChalk(run), kpa: run.pressureKpa }));
    const words = read.map(({ word }) => word);
    const levels = levelsOf(read.filter(({ word }) => word !== 'notRolled').map(({ kpa, by }) => ({ kpa, value: by })));
    const right = read.find(({ word }) => word === 'right');
    // The last line tells how it stands now.
    const newest = read.filter(({ kpa }) => kpa === read.at(-1)?.kpa);
    const told = GRAVITY.flatMap((word) => newest.filter((each) => each.word === word))[0];
    if (!told) return judgement({ verdict: 'notRolled', move: 'again' });
    const steps = told.by >= 1 ? 2 : 1;
    const stepKpa = told.word === 'tooHard' || told.word === 'tooSoft' ? steps * family.trialStepKpa : null;
    const tryKpa = stepKpa === null ? (right?.kpa ?? null) : told.kpa + (told.word === 'tooHard' ? -stepKpa : stepKpa);
    return judgement({ verdict: told.word, move: MOVES[told.word], stepKpa, tryKpa, levels, runs: words });
  },
});
