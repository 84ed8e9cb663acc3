import { worst } from './worst';
import { defineRoutine, GAUGE } from './routine';

/** Creep over one rock: how it wraps, how the sidewall bulges, what clearance is left. */
export const obstacle = defineRoutine({
  code: 'obstacle',
  kinds: ['car', 'quad', 'motorcycle'],
  minutes: 8,
  oneWheel: false,
  setup: {},
  run: {
    pressureKpa: GAUGE,
    wrap: { type: 'choice', options: ['none', 'some', 'folds'] },
    bulge: { type: 'choice', options: ['clear', 'near', 'scrapes'] },
    rim: { type: 'choice', options: ['clear', 'touches'] },
    felt: { type: 'choice', options: ['felt', 'notFelt'], optional: true },
    clearanceMm: { type: 'number', unit: 'mm', min: 0, max: 1500, optional: true },
  },
  rim: ({ pressureKpa, rim }) => ({ pressureKpa, struck: rim === 'touches', ridden: false }),
  judge: (runs, _, on) =>
    worst(
      runs,
      on,
      ({ wrap, bulge, rim, felt }) =>
        rim === 'touches'
          ? 'rimTouches'
          : bulge === 'scrapes'
            ? 'sidewallScrapes'
            : wrap === 'folds'
              ? 'folds'
              : bulge === 'near'
                ? 'bulgeNear'
                : wrap === 'none'
                  ? 'hardly'
                  : felt === 'felt'
                    ? 'wrapsAndFelt'
                    : 'right',
      // A bulge that comes near the rock is the last that is any use: no softer.
      { rimTouches: 2, sidewallScrapes: 1, folds: 1, bulgeNear: 0, hardly: -1, wrapsAndFelt: 0, right: 0 },
    ),
});
