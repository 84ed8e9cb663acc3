import type { Evidence } from '../calibrate/observation';
import { deflectionMm } from '../contact/deflection';
import { levelsOf } from './levels';
import { defineRoutine, GAUGE, judgement } from './routine';

/** How well two heights of a rim are read against each other, mm. Assumption. */
const DEVIATION_MM = 1.5;

/** Height of the rim's edge above the ground, wheel hanging and wheel loaded: how far the tire really settles. */
export const standingHeight = defineRoutine({
  code: 'standingHeight',
  kinds: ['car', 'quad', 'motorcycle', 'bicycle', 'farm'],
  minutes: 6,
  oneWheel: true,
  setup: { hangingMm: { type: 'number', unit: 'mm', min: 10, max: 1000 } },
  run: { pressureKpa: GAUGE, loadedMm: { type: 'number', unit: 'mm', min: 5, max: 1000 } },
  levelUnit: 'mm',
  judge: (runs, { hangingMm }, { build, wheelLoadKg }) => {
    const words = runs.map(({ loadedMm }) => (loadedMm < hangingMm ? 'settled' : 'higher'));
    const settled = runs.filter(({ loadedMm }) => loadedMm < hangingMm);
    const levels = levelsOf(
      settled.map(({ pressureKpa, loadedMm }) => ({ kpa: pressureKpa, value: hangingMm - loadedMm })),
    );
    if (levels.length === 0) return judgement({ verdict: 'noRuns', move: 'again', runs: words });
    if (wheelLoadKg === null) return judgement({ verdict: 'loadMissing', move: 'again', levels, runs: words });
    const ratios = levels.map(({ pressureKpa, mean }) => mean / deflectionMm(build, wheelLoadKg, pressureKpa));
    const ratio = ratios.reduce((sum, value) => sum + value, 0) / ratios.length;
    const verdict = ratio < 0.85 ? 'stiffer' : ratio > 1.15 ? 'softer' : 'asExpected';
    return judgement({ verdict, move: 'keep', levels, runs: words, figures: { ratio } });
  },
  evidence: (runs, { hangingMm }, { wheelLoadKg }) =>
    wheelLoadKg === null
      ? []
      : runs.flatMap(({ pressureKpa, loadedMm }, run): Evidence[] => {
          const valueMm = hangingMm - loadedMm;
          if (valueMm <= 0) return [];
          return [
            { of: 'settles', pressureKpa, loadKg: wheelLoadKg, valueMm, deviationMm: DEVIATION_MM, offset: null, run },
          ];
        }),
});
