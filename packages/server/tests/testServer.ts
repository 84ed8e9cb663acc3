import { randomUUID } from 'node:crypto';

import {
  PLAIN_AXLE,
  type Airing,
  type LoadCaseBody,
  type LogEvent,
  type ComparisonBody,
  type Outing,
  type ProofTest,
  type RouteBody,
  type Setup,
  type Rig,
  type RigAxle,
} from '@dunlinmoss/contract';
import type { Express } from 'express';
import type { Pool } from 'mysql2/promise';
import request from 'supertest';

import { createApp } from '../src/app';
import { readConfig, type Config } from '../src/config';
import { beginEpoch } from '../src/db/epoch';
import { migrate } from '../src/db/migrate';
import { createPool } from '../src/db/pool';
import { createLogger } from '../src/logger';

export interface TestServer {
  readonly config: Config;
  readonly pool: Pool;
  readonly app: Express;
  /** The same server for another person. */
  readonly as: (ownerId: string, proxies?: number) => Express;
}

/**
 * A server over the tests' database, for an owner of its own, so that test files don't meet.
 *
 * @param database another one, for what is done to all of it
 */
export async function testServer(database?: string): Promise<TestServer> {
  const read = readConfig({ ...process.env, DUNLINMOSS_OWNER: randomUUID() });
  const config = { ...read, database: { ...read.database, ...(database !== undefined && { database }) } };
  await migrate(config.database);
  const pool = createPool(config.database);
  await beginEpoch(pool);
  const log = createLogger(process.env.DUNLINMOSS_LOG ?? 'silent');
  const as = (ownerId: string, proxies = 0): Express =>
    createApp({ pool, log, ownerId, hosts: ['gatepost.test'], webRoot: null, proxies });
  await pool.query('INSERT INTO owners (id) VALUES (?)', [config.ownerId]);
  return { config, pool, as, app: as(config.ownerId) };
}

/** Sends a table of readings and gives everything that it is told, a value a line. */
export async function sendTable(
  app: Express,
  path: string,
  body: string | Buffer,
  headers: Readonly<Record<string, string>> = {},
): Promise<LogEvent[]> {
  const answer = await request(app)
    .post(`/api/v1${path}`)
    .set({ ...headers, 'content-type': 'text/csv' })
    .send(body)
    .buffer(true)
    .parse((response, done) => {
      let text = '';
      response.on('data', (chunk) => (text += chunk));
      response.on('end', () => done(null, text));
    })
    .expect(200);
  return String(answer.body)
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as LogEvent);
}

export const anAxle = (position: RigAxle['position'], change: Partial<RigAxle> = {}): RigAxle => ({
  ...PLAIN_AXLE,
  position,
  behindMm: position === 'front' ? 0 : 2790,
  trackMm: 1570,
  tireMarking: '265/65R17 112T',
  roadKpa: 240,
  ...change,
});

export const aCase = (change: Partial<LoadCaseBody> = {}): LoadCaseBody => ({
  id: randomUUID(),
  name: 'Touring',
  method: 'scales',
  weighed: [
    { position: 'front', part: 'axle', loadKg: 1160 },
    { position: 'rear', part: 'left', loadKg: 690 },
    { position: 'rear', part: 'right', loadKg: 705 },
  ],
  wholeKg: 2555,
  unladen: [],
  items: [],
  posture: null,
  split: null,
  level: null,
  ...change,
});

export function aRig(change: Partial<Rig> = {}): Rig {
  const loadCases = change.loadCases ?? [aCase()];
  return {
    id: randomUUID(),
    revision: 0,
    family: 'fourWheel',
    name: 'Curlew',
    hitchMm: null,
    topSpeedKmh: null,
    loadCaseId: loadCases[0]?.id ?? null,
    school: null,
    beadFloorKpa: null,
    roadLoadCaseId: null,
    softOnPurposeAt: null,
    keeperId: null,
    demo: false,
    axles: [anAxle('front'), anAxle('rear')],
    loadCases,
    ...change,
  };
}

export const anOuting = (rigId: string, change: Partial<Outing> = {}): Outing => ({
  id: randomUUID(),
  revision: 0,
  rigId,
  loadCaseId: null,
  groundCode: 'softSand',
  modifiers: ['heat', 'farFromAir'],
  speedKmh: 25,
  tankLevel: null,
  stuckRung: 0,
  title: 'Samphire Flat',
  startedAt: '2026-05-02T07:10:00.000Z',
  state: 'planned',
  pressures: [],
  pressuresAt: null,
  decision: null,
  ...change,
});

export const aTest = (rigId: string, change: Partial<ProofTest> = {}): ProofTest =>
  ({
    id: randomUUID(),
    revision: 0,
    rigId,
    outingId: null,
    performedAt: '2026-05-02T08:00:00.000Z',
    counts: true,
    kind: 'tape',
    details: {
      wheel: 'front left',
      tireMarking: '265/65R17 112T',
      loadRange: 'standard',
      wheelLoadKg: 580,
      widthMm: null,
      gauge: null,
      setup: { method: 'marks', surface: 'firm' },
      runs: [{ pressureKpa: 240, lengthMm: 165 }],
      note: '',
    },
    ...change,
  }) as ProofTest;

/** A route with everything that can be said of it. */
export const aDayRoute = (rigId: string): RouteBody => ({
  id: randomUUID(),
  revision: 0,
  name: 'Over the flat',
  rigId,
  keptAt: '2026-11-20T07:00:00.000Z',
  startsAtMin: 480,
  plan: 'surest',
  bogMin: 45,
  pullOverMin: 2.5,
  central: true,
  prices: { harsh: 1, pressed: 5 / 3, soft: null },
  stretches: (['pavement', 'softSand'] as const).map((groundCode, index) => ({
    id: randomUUID(),
    groundCode,
    lengthM: 1000 / 3 + index,
    climbDeg: 4.5 * index,
    loadCaseId: null,
    endLoadCaseId: null,
    speedKmh: 25,
    sureness: 'doubtful',
    noStopping: index === 1,
    freeAir: index === 0,
    opensAtMin: 500,
    closesAtMin: 700,
    found: index === 1 ? 'softer' : null,
  })),
  track: [
    [8.1, 54.2, 3.5],
    [8.2, 54.3, null],
  ],
  drive: { startedAt: '2026-11-20T08:00:00.000Z', at: 1 },
});

/** Two setups of one rig, the second with everything changed. */
export const aComparison = (rigId: string): ComparisonBody => {
  const first: Setup = {
    rigId,
    loadCaseId: null,
    position: 'rear',
    tireMarking: null,
    loadRange: null,
    measuredWidthMm: null,
    rimInnerMm: null,
    insert: null,
    casing: null,
    pressureKpa: null,
  };
  return {
    id: randomUUID(),
    revision: 0,
    name: 'Wide or narrow',
    keptAt: '2026-11-20T07:00:00.000Z',
    groundCode: 'softSand',
    soil: 'snow',
    depthMm: 100 / 3,
    first,
    second: {
      ...first,
      loadCaseId: randomUUID(),
      tireMarking: '35x12.50R17LT',
      loadRange: 'E',
      measuredWidthMm: 301.7,
      rimInnerMm: 203.2,
      insert: true,
      casing: 'thin',
      pressureKpa: 96.53,
    },
  };
};

/** Air let out of two wheels: one done, one under way. */
export const anAiring = (rigId: string, change: Partial<Airing> = {}): Airing => ({
  id: randomUUID(),
  revision: 0,
  rigId,
  outingId: null,
  way: 'out',
  toolId: null,
  toolKind: 'coreDeflator',
  startedAt: '2026-11-20T07:00:00.000Z',
  endedAt: null,
  gauge: { gaugeId: randomUUID(), offsetKpa: 3.5 },
  coldTempC: 8,
  tireTempC: 11,
  altitudeM: 3,
  justDriven: true,
  wheels: (['left', 'right'] as const).map((wheel) => ({
    position: 'front',
    wheel,
    volumeL: 69.2,
    coldKpa: 110,
    targetKpa: 112,
    settled: null,
  })),
  runs: [
    {
      position: 'front',
      wheel: 'left',
      startedAt: '2026-11-20T07:00:10.000Z',
      endedAt: '2026-11-20T07:00:55.000Z',
      beforeKpa: 248,
      afterKpa: 112,
      timed: true,
    },
    {
      position: 'front',
      wheel: 'right',
      startedAt: '2026-11-20T07:01:30.000Z',
      endedAt: null,
      beforeKpa: 246,
      afterKpa: null,
      timed: true,
    },
  ],
  ...change,
});

const segment = (marker: number, ...bytes: number[]): number[] => [0xff, marker, 0, bytes.length + 2, ...bytes];
const JFIF = segment(0xe0, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, 0, 0, 1, 0, 1, 0, 0);

/** The least that is a JPEG and nothing but a picture; other parts can be put before the picture, and bytes behind it. */
export const aPhoto = (parts: readonly number[] = [], behind: readonly number[] = []): Buffer =>
  Buffer.from([0xff, 0xd8, ...JFIF, ...parts, ...segment(0xda), 0x12, 0xff, 0x00, 0x34, 0xff, 0xd9, ...behind]);
export const jpegPart = segment;
