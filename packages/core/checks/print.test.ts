import cv from '@techstark/opencv-js';

import { flatten } from '../src/print/flatten';
import { inkOf } from '../src/print/ink';
import { measurePrint, type PrintMeasure, type PrintQuestion } from '../src/print/measurePrint';
import { planeOf } from '../src/print/plane';
import { knownPrint, photograph, type Camera, type PrintShape } from '../src/testing/syntheticPrint';

/*
 * Photos of prints of exactly known area, from a seeded generator: perspective, uneven light, a shadow, blur and noise.
 * And the same shapes measured by a general-purpose image library.
 */

const CAMERA: Camera = {
  width: 750,
  height: 1000,
  corners: [
    [110, 90],
    [650, 55],
    [700, 940],
    [55, 905],
  ],
  sheetMm: [297, 420],
  paper: 225,
  ink: [42, 40, 46],
  falloff: 0.3,
  shadow: 0.3,
  noise: 5,
  blur: 1,
  seed: 1,
};
const question: PrintQuestion = {
  reference: { kind: 'sheet', corners: CAMERA.corners, widthMm: 297, heightMm: 420 },
  mark: 'dark',
  drawn: 'tread',
  rolls: 'upright',
};
const SHAPES: readonly (readonly [string, PrintShape, Partial<Camera>])[] = [
  [
    'a wagon’s at road pressure',
    { lengthMm: 150, widthMm: 190, cornerMm: 24, along: 4, across: 4, grooveMm: 7, centre: [150, 205] },
    {},
  ],
  [
    'a wagon’s on sand, turned, in a deep shadow',
    { lengthMm: 235, widthMm: 195, cornerMm: 30, along: 3, across: 6, grooveMm: 8, centre: [146, 214], turnedDeg: 4 },
    { shadow: 0.5, falloff: 0.4, seed: 2 },
  ],
  [
    'a tall narrow one, blurred and grainy',
    { lengthMm: 220, widthMm: 110, cornerMm: 20, along: 2, across: 7, grooveMm: 6, centre: [150, 210], turnedDeg: -5 },
    { blur: 2, noise: 9, seed: 3 },
  ],
  [
    'a slick one, in red paint',
    { lengthMm: 180, widthMm: 120, cornerMm: 40, along: 0, across: 0, grooveMm: 0, centre: [160, 200] },
    { ink: [185, 40, 35], seed: 4 },
  ],
];

function measure(shape: PrintShape, change: Partial<Camera>): PrintMeasure {
  const run = measurePrint(photograph([knownPrint(shape)], { ...CAMERA, ...change }), question);
  for (;;) {
    const step = run.next();
    if (!step.done) continue;
    if (!step.value.ok) throw new Error(step.value.problem.code);
    return step.value.value;
  }
}
const off = (value: number, truth: number): number => Math.abs(value / truth - 1);

describe('prints of exactly known area', () => {
  it.each(SHAPES)('%s', (_, shape, change) => {
    const truth = knownPrint(shape);
    const found = measure(shape, change);
    expect(off(found.lengthMm, truth.lengthMm)).toBeLessThan(0.015);
    expect(off(found.widthMm, truth.widthMm)).toBeLessThan(0.015);
    expect(off(found.grossMm2, truth.grossMm2)).toBeLessThan(0.02);
    expect(off(found.netMm2!, truth.netMm2)).toBeLessThan(0.04);
  });
});

describe('the same by an image library', () => {
  beforeAll(async () => {
    if (!cv.Mat) await new Promise<void>((ready) => (cv.onRuntimeInitialized = ready));
  }, 60_000);

  it('finds the same contour area, hull, and ink', () => {
    const [, shape] = SHAPES[1]!;
    const photo = photograph([knownPrint(shape)], CAMERA);
    const plane = planeOf(question.reference, photo);
    if (!plane.ok) throw new Error(plane.problem.code);
    const flat = flatten(photo, plane.value, 'dark');
    const ink = inkOf(flat);
    if (!ink.ok) throw new Error(ink.problem.code);
    const ours = measure(shape, {});
    // Their ellipse as wide as our disc, their contours, their areas.
    const radius = Math.round(9 / flat.mmPerPx);
    const source = cv.matFromArray(
      flat.height,
      flat.width,
      cv.CV_8UC1,
      Array.from(ink.value.data, (value) => 255 * value),
    );
    const kernel = cv.getStructuringElement(cv.MORPH_ELLIPSE, new cv.Size(2 * radius + 1, 2 * radius + 1));
    const closed = new cv.Mat();
    cv.morphologyEx(source, closed, cv.MORPH_CLOSE, kernel);
    const contours = new cv.MatVector();
    cv.findContours(closed, contours, new cv.Mat(), cv.RETR_EXTERNAL, cv.CHAIN_APPROX_NONE);
    let largest = contours.get(0);
    for (let index = 1; index < contours.size(); index += 1) {
      if (cv.contourArea(contours.get(index)) > cv.contourArea(largest)) largest = contours.get(index);
    }
    const hull = new cv.Mat();
    cv.convexHull(largest, hull);
    const mm2 = flat.mmPerPx ** 2;
    // Theirs runs through the middles of the outer pixels, half a pixel inside of ours all round.
    const rim = (cv.arcLength(largest, true) / 2) * mm2;
    expect(off(cv.contourArea(largest) * mm2 + rim, ours.grossMm2)).toBeLessThan(0.01);
    expect(off(cv.contourArea(hull) * mm2 + rim, ours.hullMm2)).toBeLessThan(0.01);
    expect(off(cv.countNonZero(source) * mm2, ours.netMm2!)).toBeLessThan(0.01);
  });
});
