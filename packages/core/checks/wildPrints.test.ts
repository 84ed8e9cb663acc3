import { measurePrint, type PrintMeasure, type PrintProblem, type PrintQuestion } from '../src/print/measurePrint';
import type { Result } from '../src/result/result';
import { knownPrint, photograph, type Camera, type KnownPrint } from '../src/testing/syntheticPrint';
import { boot, concrete, farmLugs, gravel, mudTread, shadowEdge, smear } from '../src/testing/wildPrints';

/*
 * Prints as they are photographed out of doors: lugs, smears, a boot, stones, the edge of a shadow, two prints, chalk on
 * concrete. Each is measured right, or refused with a reason, or says that it left something out: never wrong in silence.
 */

const CAMERA: Camera = {
  width: 450,
  height: 600,
  corners: [
    [60, 52],
    [394, 38],
    [420, 562],
    [34, 544],
  ],
  sheetMm: [297, 420],
  paper: 225,
  ink: [42, 40, 46],
  falloff: 0.25,
  shadow: 0.2,
  noise: 5,
  blur: 1,
  seed: 1,
};
const QUESTION: PrintQuestion = {
  reference: { kind: 'sheet', corners: CAMERA.corners, widthMm: 297, heightMm: 420 },
  mark: 'dark',
  drawn: 'tread',
  rolls: 'upright',
};
const PLAIN = knownPrint({
  lengthMm: 190,
  widthMm: 150,
  cornerMm: 24,
  along: 3,
  across: 5,
  grooveMm: 8,
  centre: [150, 210],
});

interface Wild {
  readonly name: string;
  readonly prints: readonly KnownPrint[];
  readonly camera?: Partial<Camera>;
  readonly asked?: Partial<PrintQuestion>;
}
const SEEDS = [1, 2];
const each = (of: (seed: number) => Wild): Wild[] =>
  SEEDS.map((seed) => ({ ...of(seed), name: `${of(seed).name}, ${seed}` }));
const at = (y: number): KnownPrint =>
  knownPrint({ lengthMm: 130, widthMm: 150, cornerMm: 20, along: 3, across: 3, grooveMm: 8, centre: [150, y] });

const WILD: readonly Wild[] = [
  ...each((seed) => ({ name: 'a mud tread', prints: [mudTread(seed)] })),
  ...each((seed) => ({ name: 'a farm tire’s lugs', prints: [farmLugs(seed)] })),
  ...each((seed) => ({ name: 'a faint smear', prints: [PLAIN], camera: { surface: smear(seed, 0.72) } })),
  ...each((seed) => ({ name: 'a dark smear', prints: [PLAIN], camera: { surface: smear(seed, 0.4) } })),
  ...each((seed) => ({ name: 'a boot beside it', prints: [PLAIN], camera: { surface: boot(266 + seed * 2) } })),
  ...each((seed) => ({ name: 'gravel on the sheet', prints: [PLAIN], camera: { surface: gravel(seed, 40) } })),
  ...each((seed) => ({
    name: 'the edge of a light shadow',
    prints: [PLAIN],
    camera: { surface: shadowEdge(seed, 0.3) },
  })),
  ...each((seed) => ({
    name: 'the edge of a deep shadow',
    prints: [PLAIN],
    camera: { surface: shadowEdge(seed, 0.6) },
  })),
  ...each((seed) => ({ name: 'two prints', prints: [at(110), at(300 + seed)] })),
  ...each((seed) => ({
    name: 'chalk on concrete',
    prints: [PLAIN],
    camera: { surface: concrete(seed), paper: 120, ink: [215, 212, 205] },
    asked: { mark: 'light' },
  })),
];

function measured({ prints, camera, asked }: Wild): Result<PrintMeasure, PrintProblem> {
  const run = measurePrint(photograph(prints, { ...CAMERA, ...camera }), { ...QUESTION, ...asked });
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}

/** What is said of each kind, so that nothing is refused that should be measured. */
const MEASURED = /^(a mud tread|a faint smear|the edge of a light shadow|chalk on concrete)/;

/** The bounds of prints on clean paper with lugs apart. */
const WITHIN = 0.05;

describe('prints in the wild', () => {
  it.each(WILD.map((wild) => [wild.name, wild] as const))('%s: right, refused, or says what it left out', (_, wild) => {
    const result = measured(wild);
    if (!result.ok) {
      expect(wild.name).not.toMatch(MEASURED);
      expect(result.problem.code).toMatch(/^(cutByFrame|twoPrints|tooFaint|tooDark|nothingFound)$/);
      return;
    }
    const [truth] = wild.prints as [KnownPrint];
    const { lengthMm, widthMm, grossMm2, leftOutShare, isOdd } = result.value;
    const off = Math.max(
      ...[lengthMm / truth.lengthMm, widthMm / truth.widthMm, grossMm2 / truth.grossMm2].map((ratio) =>
        Math.abs(ratio - 1),
      ),
    );
    if (MEASURED.test(wild.name)) expect(isOdd).toBe(false);
    if (leftOutShare === 0 && !isOdd) expect(off).toBeLessThan(WITHIN);
  });
});
