import { defineRoutine, GAUGE } from './routine';
import { worst } from './worst';

const TIMES = { type: 'number', unit: 'times', min: 0, max: 99, whole: true } as const;

/** One fast turn and one square hit: judged by the worst of the ride, not the average. */
export const turnAndHit = defineRoutine({
  code: 'turnAndHit',
  kinds: ['bicycle', 'motorcycle'],
  minutes: 10,
  oneWheel: false,
  setup: {},
  run: {
    pressureKpa: GAUGE,
    turn: { type: 'choice', options: ['holds', 'squirms', 'folds'] },
    roots: { type: 'choice', options: ['takes', 'pings'] },
    rimStrikes: TIMES,
    burps: TIMES,
  },
  // Folding is what the same floor is for.
  rim: ({ pressureKpa, rimStrikes, turn }) => ({
    pressureKpa,
    struck: rimStrikes > 0 || turn === 'folds',
    ridden: true,
  }),
  judge: (runs, _, on) =>
    worst(
      runs,
      on,
      ({ turn, roots, rimStrikes, burps }) =>
        rimStrikes > 0
          ? 'rimStrike'
          : burps > 0
            ? 'burp'
            : turn === 'folds'
              ? 'folds'
              : turn === 'squirms'
                ? 'squirms'
                : roots === 'pings'
                  ? 'pings'
                  : 'right',
      { rimStrike: 1, burp: 1, folds: 1, squirms: 0.5, pings: -1, right: 0 },
    ),
});
