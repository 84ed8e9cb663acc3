import type { Evidence } from '../calibrate/observation';
import { STANDARD_GRAVITY } from '../units/units';
import { isBicycleTire } from '../contact/deflection';
import { levelsOf } from './levels';
import { defineRoutine, GAUGE, judgement, type TestedOn } from './routine';

const MM = { type: 'number', unit: 'mm', min: 5, max: 2000 } as const;
const AREA = { type: 'number', unit: 'mm2', min: 50, max: 2_000_000, optional: true } as const;

/** How well a print's length and width are known by each way of measuring, mm. Assumptions. */
const DEVIATION_MM = { photo: 3, squares: 4, ruler: 3 } as const;

/** A print this much shorter than one at a firmer pressure is no print of the same wheel, as a share. Assumption. */
const SHORTER = 0.05;

export interface PrintFigures {
  readonly grossMm2: number;
  readonly netMm2: number | null;
  /** Share of the outline without rubber, 0 to 1. */
  readonly voidShare: number | null;
  /** Load over the outline and over the ink; null where the load or the ink is not known. */
  readonly grossKpa: number | null;
  readonly netKpa: number | null;
}

interface Run {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly grossMm2: number | null;
  readonly netMm2: number | null;
}

/** Areas of one print and what they make of the load on it. By length and width alone the outline is a box, on a bicycle an ellipse. */
export function printFigures(run: Run, { build, wheelLoadKg }: Pick<TestedOn, 'build' | 'wheelLoadKg'>): PrintFigures {
  const box = run.lengthMm * run.widthMm;
  const grossMm2 = run.grossMm2 ?? (isBicycleTire(build) ? (Math.PI / 4) * box : box);
  const over = (areaMm2: number | null): number | null =>
    wheelLoadKg === null || areaMm2 === null ? null : ((wheelLoadKg * STANDARD_GRAVITY) / areaMm2) * 1000;
  const { netMm2 } = run;
  return {
    grossMm2,
    netMm2,
    voidShare: netMm2 === null ? null : Math.max(0, 1 - netMm2 / grossMm2),
    grossKpa: over(grossMm2),
    netKpa: over(netMm2),
  };
}

/** A painted or chalked print on paper or concrete, from a photo or by hand. */
export const print = defineRoutine({
  code: 'print',
  kinds: ['car', 'quad', 'motorcycle', 'bicycle', 'farm'],
  minutes: 15,
  oneWheel: true,
  setup: {},
  run: {
    pressureKpa: GAUGE,
    how: { type: 'choice', options: ['photo', 'squares', 'ruler'] },
    lengthMm: MM,
    widthMm: MM,
    grossMm2: AREA,
    netMm2: AREA,
    outline: { type: 'outline', optional: true },
    photoId: { type: 'id', optional: true },
  },
  levelUnit: 'mm',
  judge: (runs, _, on) => {
    const levels = levelsOf(runs.map(({ pressureKpa, lengthMm }) => ({ kpa: pressureKpa, value: lengthMm })));
    if (levels.length === 0) return judgement({ verdict: 'noRuns', move: 'again' });
    const contradictions = runs.flatMap((soft, i) =>
      runs.flatMap((firm, j): (readonly [number, number])[] =>
        soft.pressureKpa < firm.pressureKpa && soft.lengthMm < firm.lengthMm * (1 - SHORTER) ? [[i, j]] : [],
      ),
    );
    const newest = printFigures(runs.at(-1)!, on);
    const figures = {
      grossMm2: newest.grossMm2,
      ...(newest.voidShare !== null && { voidShare: newest.voidShare }),
      ...(newest.grossKpa !== null && { grossKpa: newest.grossKpa }),
      ...(newest.netKpa !== null && { netKpa: newest.netKpa }),
    };
    const verdict =
      contradictions.length > 0
        ? 'contradicts'
        : on.wheelLoadKg === null
          ? 'loadMissing'
          : levels.length === 1
            ? 'onePrint'
            : 'nested';
    return judgement({ verdict, move: verdict === 'nested' ? 'keep' : 'again', levels, figures, contradictions });
  },
  evidence: (runs, _, { wheelLoadKg }) =>
    wheelLoadKg === null
      ? []
      : runs.flatMap(({ pressureKpa, how, lengthMm, widthMm }, run): Evidence[] => {
          const common = { pressureKpa, loadKg: wheelLoadKg, deviationMm: DEVIATION_MM[how], offset: null, run };
          return [
            { ...common, of: 'length', valueMm: lengthMm },
            { ...common, of: 'width', valueMm: widthMm },
          ];
        }),
});
