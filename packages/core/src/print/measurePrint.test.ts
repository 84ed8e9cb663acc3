import { knownPrint, photograph, type Camera, type PrintShape } from '../testing/syntheticPrint';
import { inkWithin, measurePrint, type PrintMeasure, type PrintProblem, type PrintQuestion } from './measurePrint';
import { outlineFigures } from './outline';
import type { Result } from '../result/result';
import type { Photo } from './flatten';

const SHAPE: PrintShape = {
  lengthMm: 210,
  widthMm: 170,
  cornerMm: 28,
  along: 3,
  across: 5,
  grooveMm: 8,
  centre: [150, 210],
  turnedDeg: 3,
};
const CAMERA: Camera = {
  width: 600,
  height: 800,
  corners: [
    [90, 70],
    [520, 45],
    [560, 750],
    [45, 725],
  ],
  sheetMm: [297, 420],
  paper: 225,
  ink: [40, 38, 45],
  falloff: 0.35,
  shadow: 0.4,
  noise: 6,
  blur: 1,
  seed: 3,
};
const question = (change: Partial<PrintQuestion> = {}, camera: Camera = CAMERA): PrintQuestion => ({
  reference: { kind: 'sheet', corners: camera.corners, widthMm: camera.sheetMm[0], heightMm: camera.sheetMm[1] },
  mark: 'dark',
  drawn: 'tread',
  rolls: 'upright',
  ...change,
});
function measure(photo: Photo, asked: PrintQuestion): Result<PrintMeasure, PrintProblem> {
  const run = measurePrint(photo, asked);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
const of = (photo: Photo, asked: PrintQuestion = question()): PrintMeasure => {
  const result = measure(photo, asked);
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
};
const problem = (photo: Photo, asked: PrintQuestion = question()): string | undefined => {
  const result = measure(photo, asked);
  return result.ok ? undefined : result.problem.code;
};

const print = knownPrint(SHAPE);
const photo = photograph([print], CAMERA);

describe('measurePrint', () => {
  it('says what it is at', () => {
    expect([...measurePrint(photo, question())]).toEqual(['flatten', 'ink', 'outline', 'measure']);
  });

  it('tells length from width by the way the wheel rolls', () => {
    const [upright, across] = [of(photo), of(photo, question({ rolls: 'across' }))];
    expect(across.lengthMm).toBeCloseTo(upright.widthMm, 9);
    expect(upright.lengthMm).toBeGreaterThan(upright.widthMm);
  });

  it('has no net area of an outline that was only drawn', () => {
    expect(of(photo, question({ drawn: 'line' })).netMm2).toBeNull();
  });

  it('reads chalk on dark ground as well, and paint of any colour', () => {
    const inverted = { ...photo, data: photo.data.map((value, at) => (at % 4 === 3 ? value : 255 - value)) };
    const light = of(inverted, question({ mark: 'light' }));
    expect(light.grossMm2 / print.grossMm2).toBeCloseTo(1, 1);
    const red = of(photograph([print], { ...CAMERA, ink: [190, 30, 30] }));
    expect(red.netMm2! / print.netMm2).toBeCloseTo(1, 1);
  });

  it('needs no perspective to be taken out where a tape lies in a photo from straight above', () => {
    const flat: Camera = {
      ...CAMERA,
      corners: [
        [20, 20],
        [580, 20],
        [580, 20 + (560 * 420) / 297],
        [20, 20 + (560 * 420) / 297],
      ],
      height: 832,
    };
    const asked = question({
      reference: {
        kind: 'tape',
        ends: [
          [20, 20],
          [580, 20],
        ],
        lengthMm: 297,
      },
    });
    // What is not on the sheet is dark here too: only the sheet is given.
    const whole = photograph([print], flat);
    const cropped = crop(whole, 24, 24, 552, 784);
    expect(of(cropped, asked).lengthMm / print.lengthMm).toBeCloseTo(1, 1);
  });

  it('bridges what stands between the lugs of this tread, and not the way to another print', () => {
    const lugs = knownPrint({ ...SHAPE, cornerMm: 10, along: 1, across: 2, grooveMm: 42 });
    const found = of(photograph([lugs], CAMERA));
    expect(found.grossMm2 / lugs.grossMm2).toBeCloseTo(1, 1);
    expect(found.netMm2! / lugs.netMm2).toBeCloseTo(1, 1);
    expect(found.leftOutShare).toBe(0);
  });

  it('never drops a shoulder in silence', () => {
    const tread = knownPrint({ ...SHAPE, widthMm: 60, cornerMm: 10, along: 0, centre: [60, 210], turnedDeg: 0 });
    const shoulder = (x: number) =>
      knownPrint({ ...SHAPE, widthMm: 12, cornerMm: 3, along: 0, across: 0, centre: [x, 210], turnedDeg: 0 });
    // Within reach it belongs to the print; beyond it the print says how much of the ink it leaves out.
    expect(of(photograph([tread, shoulder(150)], CAMERA)).widthMm).toBeGreaterThan(115);
    const far = of(photograph([tread, shoulder(262)], CAMERA));
    expect(far.widthMm).toBeLessThan(70);
    expect(far.leftOutShare).toBeGreaterThan(0.1);
  });

  it('counts ink again within an outline that was mended', () => {
    const found = of(photo);
    expect(inkWithin(found.ink, found.outline) / found.netMm2!).toBeCloseTo(1, 1);
    const half = found.outline.map(([x, y]) => [x, Math.min(y, 210)] as const);
    expect(inkWithin(found.ink, half) / found.netMm2!).toBeCloseTo(0.5, 1);
    expect(outlineFigures(half, 'upright').lengthMm).toBeLessThan(found.lengthMm);
  });

  it.each<[string, () => string | undefined]>([
    [
      'noReference',
      () => problem(photo, question({ reference: { kind: 'sheet', corners: [[0, 0]], widthMm: 297, heightMm: 420 } })),
    ],
    ['noReference', () => problem(photo, question({ reference: { kind: 'tape', ends: [], lengthMm: 100 } }))],
    [
      'crossedCorners',
      () =>
        problem(
          photo,
          question({
            reference: {
              kind: 'sheet',
              corners: [CAMERA.corners[0], CAMERA.corners[2], CAMERA.corners[1], CAMERA.corners[3]],
              widthMm: 297,
              heightMm: 420,
            },
          }),
        ),
    ],
    [
      'referenceTooSmall',
      () =>
        problem(
          photo,
          question({
            reference: {
              kind: 'tape',
              ends: [
                [10, 10],
                [40, 10],
              ],
              lengthMm: 100,
            },
          }),
        ),
    ],
    ['tooDark', () => problem(photograph([print], { ...CAMERA, paper: 30, ink: [4, 4, 4] }))],
    ['tooFaint', () => problem(photograph([], { ...CAMERA, noise: 2 }))],
    ['cutByFrame', () => problem(photograph([knownPrint({ ...SHAPE, centre: [240, 210] })], CAMERA))],
    [
      'twoPrints',
      () =>
        problem(
          photograph(
            [-85, 85].map((off) => knownPrint({ ...SHAPE, lengthMm: 130, centre: [150, 210 + off] })),
            CAMERA,
          ),
        ),
    ],
    [
      'nothingFound',
      () =>
        problem(
          photograph([knownPrint({ ...SHAPE, lengthMm: 10, widthMm: 9, cornerMm: 2, along: 0, across: 0 })], CAMERA),
        ),
    ],
  ])('says %s', (code, asked) => {
    expect(asked()).toBe(code);
  });
});

/** A part of a photo. */
function crop({ width, data }: Photo, left: number, top: number, wide: number, high: number): Photo {
  const part = new Uint8ClampedArray(4 * wide * high);
  for (let row = 0; row < high; row += 1) {
    const from = 4 * ((top + row) * width + left);
    part.set(data.subarray(from, from + 4 * wide), 4 * row * wide);
  }
  return { width: wide, height: high, data: part };
}
