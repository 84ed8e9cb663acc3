import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { randomUUID } from 'node:crypto';

import { contactPatch, ownTire, psi, REFERENCE_RIG, type Observation } from '@dunlinmoss/core';
import { measurePrint, type PrintQuestion } from '@dunlinmoss/core/print';
import { encode } from 'jpeg-js';
import mysql from 'mysql2/promise';

import { flatten } from '../../packages/core/src/print/flatten';
import { planeOf } from '../../packages/core/src/print/plane';
import { knownPrint, photograph, type Camera } from '../../packages/core/src/testing/syntheticPrint';

/*
 * A print in a photo of 12 megapixels measured by the core and, step by step, by a general-purpose image library; the
 * estimate of a tire's constants from 5 and from 500 readings; and the list of tests at 100 and at 100,000 rows.
 */

const [address, photoFile] = process.argv.slice(2) as [string, string];
const ROUNDS = 3;
const median = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
const p95 = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)]!;
const ms = (work: () => unknown): number => {
  const begun = performance.now();
  work();
  return performance.now() - begun;
};

// A photo of 12 megapixels: one of a tenth, each pixel nine and a bit times.
const small: Camera = {
  width: 1000,
  height: 1333,
  corners: [
    [140, 133],
    [880, 93],
    [940, 1240],
    [80, 1200],
  ],
  sheetMm: [297, 420],
  paper: 225,
  ink: [44, 42, 48],
  falloff: 0.3,
  shadow: 0.3,
  noise: 5,
  blur: 1,
  seed: 7,
};
const TIMES = 3;
const drawn = photograph(
  [knownPrint({ lengthMm: 230, widthMm: 190, cornerMm: 28, along: 3, across: 5, grooveMm: 8, centre: [150, 212] })],
  small,
);
const photo = {
  width: TIMES * small.width,
  height: TIMES * small.height,
  data: new Uint8ClampedArray(4 * TIMES * TIMES * small.width * small.height),
};
for (let y = 0; y < photo.height; y += 1) {
  for (let x = 0; x < photo.width; x += 1) {
    const from = 4 * (Math.floor(y / TIMES) * small.width + Math.floor(x / TIMES));
    photo.data.set(drawn.data.subarray(from, from + 4), 4 * (y * photo.width + x));
  }
}
const corners = small.corners.map(([x, y]) => [TIMES * x, TIMES * y] as const);
const question: PrintQuestion = {
  reference: { kind: 'sheet', corners, widthMm: 297, heightMm: 420 },
  mark: 'dark',
  drawn: 'tread',
  rolls: 'upright',
};
writeFileSync(photoFile, encode({ ...photo, data: Buffer.from(photo.data.buffer) }, 88).data);

function ours(): void {
  const run = measurePrint(photo, question);
  while (!run.next().done);
}

const cv = createRequire(__filename)('@techstark/opencv-js');

/** The same steps: perspective, least of three colours, light taken out, threshold, gaps closed, contour, box. */
function theirs(): void {
  const plane = planeOf(question.reference, photo);
  if (!plane.ok) throw new Error(plane.problem.code);
  const { mmPerPx, width, height } = FLAT;
  const to = ([u, v]: readonly [number, number]): number[] => [
    (u * 297 - plane.value.leftMm) / mmPerPx,
    (v * 420 - plane.value.topMm) / mmPerPx,
  ];
  const source = cv.matFromImageData({ data: photo.data, width: photo.width, height: photo.height });
  const map = cv.getPerspectiveTransform(
    cv.matFromArray(4, 1, cv.CV_32FC2, corners.flat()),
    cv.matFromArray(
      4,
      1,
      cv.CV_32FC2,
      (
        [
          [0, 0],
          [1, 0],
          [1, 1],
          [0, 1],
        ] as const
      ).flatMap(to),
    ),
  );
  const mats = [source, map];
  const mat = () => {
    const each = new cv.Mat();
    mats.push(each);
    return each;
  };
  const flat = mat();
  cv.warpPerspective(source, flat, map, new cv.Size(width, height), cv.INTER_AREA);
  const channels = new cv.MatVector();
  cv.split(flat, channels);
  const least = mat();
  cv.min(channels.get(0), channels.get(1), least);
  cv.min(least, channels.get(2), least);
  const paper = mat();
  cv.morphologyEx(least, paper, cv.MORPH_DILATE, cv.Mat.ones(25, 25, cv.CV_8U));
  cv.GaussianBlur(paper, paper, new cv.Size(0, 0), 40);
  const even = mat();
  cv.divide(least, paper, even, 200);
  const ink = mat();
  cv.threshold(even, ink, 0, 255, cv.THRESH_BINARY_INV + cv.THRESH_OTSU);
  const radius = Math.round(9 / mmPerPx);
  const closed = mat();
  cv.morphologyEx(
    ink,
    closed,
    cv.MORPH_CLOSE,
    cv.getStructuringElement(cv.MORPH_ELLIPSE, new cv.Size(2 * radius + 1, 2 * radius + 1)),
  );
  const contours = new cv.MatVector();
  cv.findContours(closed, contours, mat(), cv.RETR_EXTERNAL, cv.CHAIN_APPROX_NONE);
  for (let index = 0; index < contours.size(); index += 1) cv.minAreaRect(contours.get(index));
  cv.countNonZero(ink);
  for (const each of mats) each.delete();
}
const flatPlane = planeOf(question.reference, photo);
if (!flatPlane.ok) throw new Error(flatPlane.problem.code);
const FLAT = flatten(photo, flatPlane.value, 'dark');

async function main(): Promise<void> {
  if (!cv.Mat) await new Promise<void>((ready) => (cv.onRuntimeInitialized = ready));
  const oursMs = median(Array.from({ length: ROUNDS }, () => ms(ours)));
  const theirsMs = median(Array.from({ length: ROUNDS }, () => ms(theirs)));
  const memoryMb = process.memoryUsage().rss / 1e6;

  const readings = (count: number): Observation[] =>
    Array.from({ length: count }, (_, run) => {
      const pressureKpa = psi(14 + (run % 23));
      const valueMm = contactPatch(REFERENCE_RIG.build, 600, pressureKpa)!.lengthMm + 3 * Math.sin(run);
      return { of: 'length', pressureKpa, loadKg: 600, valueMm, deviationMm: 4, offset: null, test: 't', run };
    });
  const estimateMs = (count: number): number => {
    const some = readings(count);
    ownTire(REFERENCE_RIG.build, some);
    return median(Array.from({ length: 9 }, () => ms(() => ownTire(REFERENCE_RIG.build, some))));
  };

  const OWNER = '01900000-0000-7000-8000-000000000001';
  const connection = await mysql.createConnection({
    host: '127.0.0.1',
    port: Number(process.env.DUNLINMOSS_DB_PORT),
    user: process.env.DUNLINMOSS_DB_USER!,
    password: process.env.DUNLINMOSS_DB_PASSWORD,
    database: process.env.DUNLINMOSS_DB_NAME!,
  });
  const [[rig]] = (await connection.query('SELECT id FROM rigs LIMIT 1')) as unknown as [[{ id: string }]];
  const details = JSON.stringify({
    wheel: 'front left',
    tireMarking: '265/65R17 112T',
    loadRange: 'standard',
    wheelLoadKg: 600,
    widthMm: null,
    gauge: null,
    note: '',
    setup: {},
    runs: [{ pressureKpa: 110, symptom: 'well' }],
  });
  async function fill(count: number): Promise<void> {
    for (let from = 0; from < count; from += 5_000) {
      const rows = Array.from({ length: Math.min(5_000, count - from) }, (_, index) => {
        const at = new Date(Date.UTC(2025, 0, 1) + (from + index) * 60_000);
        return [OWNER, randomUUID(), 1, rig.id, null, 'feel', 1, at, details, at, at, null];
      });
      await connection.query(
        'INSERT INTO proof_tests (owner_id, id, revision, rig_id, outing_id, kind, counts, performed_at, details, created_at, updated_at, deleted_at) VALUES ?',
        [rows],
      );
    }
  }
  async function listMs(): Promise<number> {
    const times: number[] = [];
    for (let read = 0; read < 200; read += 1) {
      const begun = performance.now();
      await (await fetch(`${address}/api/v1/tests?limit=50&rigId=${rig.id}`)).arrayBuffer();
      if (read >= 20) times.push(performance.now() - begun);
    }
    return p95(times);
  }
  await fill(100);
  const fewMs = await listMs();
  await fill(99_900);
  const manyMs = await listMs();
  await connection.end();

  const [fewReadings, manyReadings] = [estimateMs(5), estimateMs(500)];
  process.stdout.write(
    JSON.stringify({
      print: { oursMs, theirsMs, memoryMb },
      estimate: { fewMs: fewReadings, manyMs: manyReadings },
      list: { fewMs, manyMs },
    }),
  );
}

void main();
