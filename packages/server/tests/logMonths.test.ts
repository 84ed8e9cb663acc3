import { randomUUID } from 'node:crypto';

import { AXLE_POSITIONS, WHEEL_CODES } from '@dunlinmoss/core';
import type { RowDataPacket } from 'mysql2/promise';
import request from 'supertest';

import { forgetOldReadings, monthsOfLog, readyMonths } from '../src/repositories/logMonths';
import { logWheel, wheelOfLog } from '../src/repositories/logWheel';
import { aRig, testServer, type TestServer } from './testServer';

let server: TestServer;
const api = (path: string) => `/api/v1${path}`;
beforeAll(async () => {
  // Months are taken away for everybody: not those of other tests.
  server = await testServer('dunlinmoss_months');
});
afterAll(() => server.pool.end());

const DAY_MS = 86_400_000;
const MONTH_MS = 30.5 * DAY_MS;
const reading = (agoMs: number, pressureKpa: number) => ({
  position: 'rear',
  wheel: 'right',
  readAt: new Date(Date.now() - agoMs).toISOString(),
  pressureKpa,
  tempC: -3.26,
});
async function rigWith(ownerId: string, rows: readonly object[]): Promise<string> {
  const rig = aRig();
  const app = server.as(ownerId);
  await request(app)
    .put(api(`/rigs/${rig.id}`))
    .send(rig)
    .expect(200);
  await request(app)
    .post(api(`/rigs/${rig.id}/log`))
    .send({ rows })
    .expect(200);
  return rig.id;
}
async function newSpace(): Promise<string> {
  const id = randomUUID();
  await server.pool.query('INSERT INTO owners (id) VALUES (?)', [id]);
  return id;
}
const rawOf = async (rigId: string): Promise<number> => {
  const [[row]] = await server.pool.query<RowDataPacket[]>(
    'SELECT COUNT(*) AS n FROM rig_log l JOIN log_rigs r ON r.no = l.rig WHERE r.rig_id = ?',
    [rigId],
  );
  return Number(row!.n);
};

describe('logWheel', () => {
  it('numbers every wheel there can be by itself, as the migration did from the lists of the table', async () => {
    const all = AXLE_POSITIONS.flatMap((position) => WHEEL_CODES.map((wheel) => ({ position, wheel })));
    const numbers = all.map(({ position, wheel }) => logWheel(position, wheel));
    expect(new Set(numbers).size).toBe(all.length);
    expect(numbers.map(wheelOfLog)).toEqual(all);
    const [[summary]] = await server.pool.query<RowDataPacket[]>(
      "SELECT GROUP_CONCAT(column_type ORDER BY column_name SEPARATOR ' ') AS types FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = 'monitor_log_summary' AND column_name IN ('position', 'wheel')",
    );
    const listed = (codes: readonly string[]): string => `enum(${codes.map((code) => `'${code}'`).join(',')})`;
    expect(summary!.types).toBe(`${listed(AXLE_POSITIONS)} ${listed(WHEEL_CODES)}`);
  });
});

describe('a narrow log', () => {
  it('keeps tenths of a kPa and of a degree, and gives back what it keeps', async () => {
    const rigId = await rigWith(server.config.ownerId, [reading(DAY_MS, 123.456), reading(2 * DAY_MS, 0.04)]);
    const { text } = await request(server.app)
      .get(api(`/export/log/${rigId}`))
      .expect(200);
    const lines = text
      .trim()
      .split('\r\n')
      .slice(1)
      .map((line) => line.split(',').slice(1));
    expect(lines).toEqual([
      ['rear', 'right', '0', '-3.3', 'monitor'],
      ['rear', 'right', '123.5', '-3.3', 'monitor'],
    ]);
  });

  it('goes along its key, one wheel in one month, not through all of it', async () => {
    const from = new Date(Date.now() - 3 * DAY_MS);
    const [[plan]] = await server.pool.query<RowDataPacket[]>(
      'EXPLAIN PARTITIONS SELECT * FROM rig_log WHERE rig = ? AND wheel = ? AND read_at BETWEEN ? AND ?',
      [1, 9, from, new Date()],
    );
    expect(plan).toMatchObject({ key: 'PRIMARY', type: 'range' });
    expect(String(plan!.partitions).split(',').length).toBeLessThanOrEqual(2);
  });
});

describe('readyMonths', () => {
  it('makes the months to come, once, and what lies beyond them moves along', async () => {
    const far = new Date('2028-02-10T08:00:00Z');
    const [[before]] = await server.pool.query<RowDataPacket[]>('SELECT COUNT(*) AS n FROM rig_log');
    const made = await readyMonths(server.pool, far);
    expect(made).toEqual(['p202801', 'p202802', 'p202803', 'p202804', 'p202805']);
    expect(await readyMonths(server.pool, far)).toEqual([]);
    expect((await monthsOfLog(server.pool)).at(-1)).toEqual({
      name: 'p202805',
      before: new Date('2028-06-01T00:00:00Z'),
    });
    const [[after]] = await server.pool.query<RowDataPacket[]>('SELECT COUNT(*) AS n FROM rig_log');
    expect(after).toEqual(before);
  });
});

describe('how long readings are kept', () => {
  it('is for good until a space says otherwise, in whole months from 1 to 120', async () => {
    const space = await newSpace();
    const app = server.as(space);
    expect((await request(app).get(api('/log-keeping')).expect(200)).body).toEqual({ months: null });
    for (const months of [0, 121, 1.5, '13', undefined]) {
      await request(app).put(api('/log-keeping')).send({ months }).expect(400);
    }
    expect((await request(app).put(api('/log-keeping')).send({ months: 13 }).expect(200)).body).toEqual({ months: 13 });
    expect((await request(app).get(api('/log-keeping')).expect(200)).body).toEqual({ months: 13 });
    expect((await request(server.app).get(api('/log-keeping')).expect(200)).body).toEqual({ months: null });
  });

  it('forgets readings of that space alone; what they added up to stays, and is drawn', async () => {
    const [short, good] = [await newSpace(), await newSpace()];
    const rows = [reading(20 * MONTH_MS, 95.5), reading(20 * MONTH_MS - 60_000, 210.2), reading(DAY_MS, 150)];
    const [forgets, keeps] = [await rigWith(short, rows), await rigWith(good, rows)];
    await request(server.as(short)).put(api('/log-keeping')).send({ months: 13 }).expect(200);
    const { rows: removed } = await forgetOldReadings(server.pool);
    expect(removed).toBe(2);
    expect([await rawOf(forgets), await rawOf(keeps)]).toEqual([1, 3]);
    const { body } = await request(server.as(short))
      .get(api(`/rigs/${forgets}/log?stretches=50`))
      .expect(200);
    expect(body.readings).toBe(3);
    const [wheel] = body.wheels;
    expect(Math.max(...wheel.stretches.map(({ mostKpa }: { mostKpa: number }) => mostKpa))).toBe(210.2);
    expect(Math.min(...wheel.stretches.map(({ leastKpa }: { leastKpa: number }) => leastKpa))).toBe(95.5);
    // An hour of back then, drawn as finely as there is anything.
    const around = new Date(Date.now() - 20 * MONTH_MS).getTime();
    const [from, to] = [-1, 1].map((hours) => new Date(around + hours * 3_600_000).toISOString());
    const then = await request(server.as(short))
      .get(api(`/rigs/${forgets}/log?stretches=400&from=${from}&to=${to}`))
      .expect(200);
    expect(then.body.readings).toBe(2);
  });

  it('takes in nothing that is older, and makes nothing of its summary anew', async () => {
    const space = await newSpace();
    const rigId = await rigWith(space, [reading(20 * MONTH_MS, 95.5), reading(DAY_MS, 150)]);
    await request(server.as(space)).put(api('/log-keeping')).send({ months: 13 }).expect(200);
    await forgetOldReadings(server.pool);
    const { body } = await request(server.as(space))
      .post(api(`/rigs/${rigId}/log`))
      .send({ rows: [reading(20 * MONTH_MS + 30_000, 300), reading(2 * DAY_MS, 151)] })
      .expect(200);
    expect(body).toEqual({ added: 1, alreadyThere: 1 });
    const log = await request(server.as(space))
      .get(api(`/rigs/${rigId}/log?stretches=50`))
      .expect(200);
    expect(log.body.readings).toBe(3);
    const [wheel] = log.body.wheels;
    expect(wheel.stretches.map(({ mostKpa }: { mostKpa: number }) => mostKpa)).toEqual([95.5, 151]);
  });
});

describe('forgetOldReadings', () => {
  const NOW = new Date('2026-11-29T00:00:00Z');
  const old = (readAt: string) => ({ position: 'front', wheel: 'left', readAt, pressureKpa: 200, tempC: null });
  const places = async (): Promise<string[]> => (await monthsOfLog(server.pool)).map(({ name }) => name);
  const everybodyKeeps = (months: number | null) => server.pool.query('UPDATE owners SET log_months = ?', [months]);

  it('takes months whole where nobody keeps them, and leaves them while one space does', async () => {
    const rigId = await rigWith(server.config.ownerId, [
      old('2019-05-05T08:00:00.000Z'),
      old('2024-05-05T08:00:00.000Z'),
      old('2025-09-30T23:59:59.000Z'),
      old('2025-10-31T23:59:59.000Z'),
    ]);
    const before = await places();
    expect((await forgetOldReadings(server.pool, NOW)).months).toEqual([]);
    expect(await rawOf(rigId)).toBe(4);
    await everybodyKeeps(13);
    const { months } = await forgetOldReadings(server.pool, NOW);
    expect(months).toEqual(expect.arrayContaining(['p_before', 'p202405', 'p202509']));
    expect(months).not.toContain('p202510');
    expect(await rawOf(rigId)).toBe(1);
    // Their places are left, for whatever comes in late.
    expect(await places()).toEqual(before);
    await everybodyKeeps(null);
  });

  it('takes no place away where there is no log at all', async () => {
    await server.pool.query('DELETE FROM rig_log');
    await server.pool.query('DELETE FROM log_rigs');
    const before = await places();
    expect(await forgetOldReadings(server.pool, NOW)).toEqual({ months: [], rows: 0 });
    expect(await places()).toEqual(before);
  });

  it('finishes what a killed server had begun, and gives back what somebody keeps', async () => {
    const [short, good] = [await newSpace(), await newSpace()];
    const [forgets, keeps] = [
      await rigWith(short, [old('2024-05-05T08:00:00.000Z')]),
      await rigWith(good, [old('2024-05-06T08:00:00.000Z')]),
    ];
    await request(server.as(short)).put(api('/log-keeping')).send({ months: 13 }).expect(200);
    // Cut off right after the month changed places; a space that keeps its readings had come in meanwhile.
    await server.pool.query('CREATE TABLE rig_log_gone LIKE rig_log');
    await server.pool.query('ALTER TABLE rig_log_gone REMOVE PARTITIONING');
    await server.pool.query('ALTER TABLE rig_log EXCHANGE PARTITION p202405 WITH TABLE rig_log_gone');
    expect([await rawOf(forgets), await rawOf(keeps)]).toEqual([0, 0]);
    await forgetOldReadings(server.pool, NOW);
    expect([await rawOf(forgets), await rawOf(keeps)]).toEqual([0, 1]);
    const [left] = await server.pool.query("SHOW TABLES LIKE 'rig_log_gone'");
    expect(left).toEqual([]);
  });
});
