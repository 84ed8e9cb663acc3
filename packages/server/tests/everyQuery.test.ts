import { randomUUID } from 'node:crypto';

import { RESOURCE_NAMES, RESOURCES } from '@dunlinmoss/contract';
import type { Express } from 'express';
import type { Pool, RowDataPacket } from 'mysql2/promise';
import { pino } from 'pino';
import request from 'supertest';

import { createApp } from '../src/app';
import { aComparison, aDayRoute, anAiring, anOuting, aRig, aTest, testServer, type TestServer } from './testServer';

/*
 * What lists and windows ask the database goes along an index, however many rows of others there are.
 */

interface Asked {
  readonly sql: string;
  readonly values: unknown;
}

/** The same pool, that writes down what it is asked. */
function listened<Target extends object>(target: Target, asked: Asked[]): Target {
  return new Proxy(target, {
    get(of, key) {
      const value = Reflect.get(of, key) as unknown;
      if (typeof value !== 'function') return value;
      if (key === 'query' || key === 'execute') {
        return (sql: string, values: unknown) => {
          asked.push({ sql, values });
          return value.call(of, sql, values);
        };
      }
      if (key === 'getConnection') return async () => listened(await value.call(of), asked);
      return value.bind(of);
    },
  });
}

const COPIES = 400;
const START = Date.parse('2026-11-01T06:00:00.000Z');

let server: TestServer;
let app: Express;
let rigId: string;
const asked: Asked[] = [];

/** One of each kind in a space, and so many copies of it. */
async function filled(ownerId: string): Promise<string> {
  const own = server.as(ownerId);
  const rig = aRig();
  const gauge = { id: randomUUID(), revision: 0, name: 'Dial', fromKpa: 0, fullScaleKpa: 400 };
  const rows = {
    rigs: rig,
    outings: anOuting(rig.id),
    tests: aTest(rig.id),
    airings: anAiring(rig.id),
    routes: aDayRoute(rig.id),
    comparisons: aComparison(rig.id),
    gauges: { ...gauge, gradePercent: null, comparisons: [] },
    tools: {
      ...{ id: randomUUID(), revision: 0, name: 'Pump', kind: 'coreDeflator', wheelsAtOnce: 1, flow: [], duty: null },
      ...{ budget: null, setKpa: null, valves: [], note: '' },
    },
    readings: {
      ...{ id: randomUUID(), revision: 0, rigId: rig.id, outingId: null, readAt: new Date(START).toISOString() },
      ...{ occasion: 'afterAnHour', gauge: null, airTempC: null, tireTempC: null, altitudeM: 0, justDriven: false },
      wheels: [{ position: 'front', wheel: 'left', shownKpa: 255 }],
    },
  } satisfies Record<(typeof RESOURCE_NAMES)[number], { readonly id: string; readonly [field: string]: unknown }>;
  for (const [name, row] of Object.entries(rows)) {
    const { path } = RESOURCES[name as keyof typeof rows];
    const saved = await request(own).put(`/api/v1/${path}/${row.id}`).send(row);
    expect([name, saved.status, saved.body.code]).toEqual([name, 200, undefined]);
  }
  await request(own)
    .post(`/api/v1/rigs/${rig.id}/log`)
    .send({
      rows: Array.from({ length: 500 }, (_, index) => ({
        position: index % 2 === 0 ? 'front' : 'rear',
        wheel: 'left',
        readAt: new Date(START + index * 600_000).toISOString(),
        pressureKpa: 110,
        tempC: null,
      })),
    })
    .expect(200);
  const [tables] = await server.pool.query<RowDataPacket[]>(
    "SELECT table_name AS name, GROUP_CONCAT(column_name) AS fields FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name IN (SELECT table_name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = 'deleted_at') AND extra NOT LIKE '%GENERATED%' GROUP BY table_name",
  );
  for (const { name, fields } of tables) {
    const values = String(fields)
      .split(',')
      .map((field) => (field === 'id' ? 'UUID()' : field));
    await server.pool.query(
      `INSERT INTO ${name} (${fields}) SELECT ${values.join()} FROM ${name} JOIN seq_1_to_${COPIES} WHERE owner_id = ?`,
      [ownerId],
    );
    await server.pool.query(`ANALYZE TABLE ${name}`);
  }
  return rig.id;
}

beforeAll(async () => {
  // Tables are filled and looked through whole: not those of other tests.
  server = await testServer('dunlinmoss_queries');
  app = createApp({
    pool: listened(server.pool as Pool, asked),
    log: pino({ level: 'silent' }),
    ownerId: server.config.ownerId,
    hosts: [],
    webRoot: null,
  });
  for (let other = 0; other < 3; other++) {
    const ownerId = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [ownerId]);
    await filled(ownerId);
  }
  rigId = await filled(server.config.ownerId);
  for (const table of ['rig_log', 'monitor_log_summary', 'log_rigs', 'row_history']) {
    await server.pool.query(`ANALYZE TABLE ${table}`);
  }
});
afterAll(() => server.pool.end());

/** Tables of so few rows that the database rightly reads them through. */
const FEW_ROWS = 20;

/** What of a query goes through a table without an index. */
async function unindexedOf({ sql, values }: Asked): Promise<string[]> {
  const [plan] = await server.pool.query<RowDataPacket[]>(`EXPLAIN ${sql}`, values as string[]);
  return plan.flatMap(({ table, type, key, rows }) => {
    // What a query has made itself, and what it knows without looking, has no index.
    if (table === null || String(table).startsWith('<') || Number(rows) <= FEW_ROWS) return [];
    return type === 'ALL' || key === null ? [`${table} ${type} ${rows} of ${sql.slice(0, 200)}`] : [];
  });
}

async function unindexed(address: string): Promise<string[]> {
  asked.length = 0;
  const { status, body } = await request(app).get(`/api/v1${address}`);
  expect([address, status, body.code]).toEqual([address, 200, undefined]);
  const selects = asked.filter(({ sql }) => /^\s*(SELECT|\(SELECT|WITH)/i.test(sql));
  expect(selects.length).toBeGreaterThan(0);
  return (await Promise.all(selects.map(unindexedOf))).flat();
}

describe('what is asked of the database goes along an index', () => {
  it.each(RESOURCE_NAMES)('the list of %s, its next page, what is archived, one of a rig', async (name) => {
    const { path } = RESOURCES[name];
    const list = `/${path}?limit=20`;
    expect(await unindexed(list)).toEqual([]);
    const { body } = await request(app).get(`/api/v1${list}`).expect(200);
    if (body.next) expect(await unindexed(`${list}&after=${encodeURIComponent(body.next)}`)).toEqual([]);
    expect(await unindexed(`${list}&archived=true`)).toEqual([]);
    const [first] = body.items;
    expect(await unindexed(`/${path}/${first.id}`)).toEqual([]);
    expect(await unindexed(`/${path}/${first.id}/history`)).toEqual([]);
    if ('rigId' in first) expect(await unindexed(`${list}&rigId=${first.rigId}`)).toEqual([]);
  });

  it('is told where a query does not', async () => {
    expect(await unindexedOf({ sql: "SELECT id FROM outings WHERE title = 'Cairn'", values: [] })).toHaveLength(1);
    expect(await unindexedOf({ sql: 'SELECT rig FROM rig_log WHERE tenths_kpa > ?', values: [1] })).toHaveLength(1);
  });

  it('what changed, from the beginning and since', async () => {
    expect(await unindexed('/changes')).toEqual([]);
    const { body } = await request(app).get('/api/v1/changes').expect(200);
    expect(await unindexed(`/changes?after=${encodeURIComponent(body.next)}`)).toEqual([]);
  });

  it.each([
    ['all of a log', ''],
    ['an hour of it', `?from=${new Date(START).toISOString()}&to=${new Date(START + 3_600_000).toISOString()}`],
    [
      'weeks of it, from its summary',
      `?stretches=10&from=${new Date(START).toISOString()}&to=${new Date(START + 86_400_000 * 20).toISOString()}`,
    ],
  ])('%s', async (_, query) => {
    expect(await unindexed(`/rigs/${rigId}/log${query}`)).toEqual([]);
  });

  it('a plan, the next step and a card', async () => {
    expect(await unindexed(`/rigs/${rigId}/plan?ground=softSand`)).toEqual([]);
    expect(await unindexed(`/rigs/${rigId}/next-step`)).toEqual([]);
    expect(await unindexed(`/rigs/${rigId}/card`)).toEqual([]);
  });
});
