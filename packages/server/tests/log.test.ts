import { randomUUID } from 'node:crypto';

import type { LogEvent, LogRow, DownsampledLog } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';
import request from 'supertest';

import { anAiring, aRig, sendTable, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const START = Date.parse('2026-11-20T06:00:00.000Z');
const at = (minute: number): string => new Date(START + minute * 60_000).toISOString();
const row = (minute: number, pressureKpa: number, change: Partial<LogRow> = {}): LogRow => ({
  position: 'front',
  wheel: 'left',
  readAt: at(minute),
  pressureKpa,
  tempC: 12,
  ...change,
});

async function newRig(): Promise<string> {
  const rig = aRig();
  await request(server.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
  return rig.id;
}
const logOf = async (rigId: string, query = ''): Promise<DownsampledLog> =>
  (await request(server.app).get(`/api/v1/rigs/${rigId}/log${query}`).expect(200)).body;
const send = (rigId: string, text: string): Promise<LogEvent[]> => sendTable(server.app, `/import/log/${rigId}`, text);

describe('the log of a rig', () => {
  it('takes a batch in, and the same batch twice is one', async () => {
    const rigId = await newRig();
    const rows = [row(0, 110), row(1, 111), row(1, 120, { wheel: 'right' })];
    const post = () => request(server.app).post(`/api/v1/rigs/${rigId}/log`).send({ rows });
    expect((await post().expect(200)).body).toEqual({ added: 3, alreadyThere: 0 });
    expect((await post().expect(200)).body).toEqual({ added: 0, alreadyThere: 3 });
    expect((await logOf(rigId)).readings).toBe(3);
  });

  it('is thinned without losing a peak', async () => {
    const rigId = await newRig();
    const rows = Array.from({ length: 400 }, (_, minute) =>
      row(minute, minute === 217 ? 180 : minute === 218 ? 60 : 110),
    );
    await request(server.app).post(`/api/v1/rigs/${rigId}/log`).send({ rows }).expect(200);
    const log = await logOf(rigId, '?stretches=10');
    const [wheel] = log.wheels;
    expect(wheel!.stretches).toHaveLength(10);
    expect(Math.max(...wheel!.stretches.map(({ mostKpa }) => mostKpa))).toBe(180);
    expect(Math.min(...wheel!.stretches.map(({ leastKpa }) => leastKpa))).toBe(60);
    const part = await logOf(rigId, `?stretches=5&from=${at(0)}&to=${at(100)}`);
    expect(part.readings).toBe(101);
  });

  it('tells of a long window what its readings tell, added in any order, twice, and with some deleted again', async () => {
    const rigId = await newRig();
    const post = (rows: readonly LogRow[]) =>
      request(server.app).post(`/api/v1/rigs/${rigId}/log`).send({ rows }).expect(200);
    // Five days, seldom and often, out of order; a peak and a dip of one reading each.
    const minutes = Array.from({ length: 480 }, (_, index) => (index * 7919) % 7200);
    const kpaAt = (minute: number): number =>
      minute === minutes[77] ? 190 : minute === minutes[301] ? 40 : 100 + (minute % 13);
    const rows = minutes.map((minute) =>
      row(minute, kpaAt(minute), { tempC: minute % 5 === 0 ? null : 10 + (minute % 7) }),
    );
    await post(rows);
    await post([...rows].reverse());
    const told = async (query = ''): Promise<unknown> => {
      const log = await logOf(rigId, `?stretches=4${query}`);
      const [wheel] = log.wheels;
      return {
        readings: log.readings,
        most: Math.max(...wheel!.stretches.map(({ mostKpa }) => mostKpa)),
        least: Math.min(...wheel!.stretches.map(({ leastKpa }) => leastKpa)),
      };
    };
    const expected = (kept: readonly number[]): unknown => ({
      readings: kept.length,
      most: Math.max(...kept.map(kpaAt)),
      least: Math.min(...kept.map(kpaAt)),
    });
    expect(await told()).toEqual(expected(minutes));
    const [first, last] = [1003, 6217];
    const inWindow = minutes.filter((minute) => minute >= first && minute <= last);
    expect(await told(`&from=${at(first)}&to=${at(last)}`)).toEqual(expected(inWindow));

    const gone = minutes.filter((minute) => minute >= 2000 && minute <= 2500);
    const deleted = await request(server.app)
      .delete(`/api/v1/rigs/${rigId}/log?from=${at(2000)}&to=${at(2500)}`)
      .expect(200);
    expect(deleted.body).toEqual({ removed: gone.length });
    expect(await told()).toEqual(expected(minutes.filter((minute) => minute < 2000 || minute > 2500)));
  });

  it('refuses readings of wheels that the rig lacks and at the edge of time, each by its place', async () => {
    const rigId = await newRig();
    const rows = [
      row(0, 110),
      row(1, 110, { position: 'trailer' }),
      row(2, 110, { readAt: '0001-01-01T00:00:00.000Z' }),
    ];
    const post = (some: readonly LogRow[]) =>
      request(server.app).post(`/api/v1/rigs/${rigId}/log`).send({ rows: some });
    const paths = async (some: readonly LogRow[]): Promise<unknown> =>
      (await post(some).expect(400)).body.fields.map(({ path, code }: { path: string; code: string }) => [path, code]);
    expect(await paths(rows.slice(0, 2))).toEqual([['/rows/1/wheel', 'noSuchWheel']]);
    expect(await paths([rows[0]!, rows[2]!])).toEqual([['/rows/1/readAt', 'logTime']]);
    expect((await logOf(rigId)).readings).toBe(0);
  });

  it('of nobody, or of nothing, is told so', async () => {
    await request(server.app).get(`/api/v1/rigs/${randomUUID()}/log`).expect(404);
    expect(await logOf(await newRig())).toMatchObject({ readings: 0, wheels: [] });
  });
});

describe('a log as a table', () => {
  const HEAD = 'time,axle,wheel,pressure_kpa,temp_c';

  it('comes in, in any order of columns and in psi, and goes out again', async () => {
    const rigId = await newRig();
    const told = await send(
      rigId,
      `wheel,axle,pressure_psi,time\r\nleft,front,16,${at(0)}\nright,rear,20,2026-11-20T07:00:00+01:00\n`,
    );
    expect(told.at(-1)).toEqual({ done: { added: 2, alreadyThere: 0, from: at(0), to: at(0) } });
    const table = await request(server.app).get(`/api/v1/export/log/${rigId}`).expect(200);
    expect(table.text.trim().split('\r\n')).toEqual([
      'time,axle,wheel,pressure_kpa,temp_c,from',
      // Tenths of a kPa are kept: 0.015 psi.
      `${at(0)},front,left,${psi(16).toFixed(1)},,file`,
      `${at(0)},rear,right,${psi(20).toFixed(1)},,file`,
    ]);
    const again = await send(rigId, table.text);
    expect(again.at(-1)).toMatchObject({ done: { added: 0, alreadyThere: 2 } });
  });

  it('carries what was read by hand as it truly was, and leaves it alone on the way in', async () => {
    const rigId = await newRig();
    const airing = anAiring(rigId);
    await request(server.app).put(`/api/v1/airings/${airing.id}`).send(airing).expect(200);
    const table = (await request(server.app).get(`/api/v1/export/log/${rigId}`).expect(200)).text;
    expect(table.trim().split('\r\n').slice(1)).toEqual([
      '2026-11-20T07:00:10.000Z,front,left,244.5,11,gauge',
      '2026-11-20T07:00:55.000Z,front,left,108.5,11,gauge',
      '2026-11-20T07:01:30.000Z,front,right,242.5,11,gauge',
    ]);
    expect((await send(rigId, table)).at(-1)).toMatchObject({ problem: { code: 'noLines' } });
    expect((await logOf(rigId)).readings).toBe(0);
  });

  it('with lines that can’t be read is told line by line, and nothing of it is taken in', async () => {
    const rigId = await newRig();
    const told = await send(
      rigId,
      [
        HEAD,
        `${at(0)},front,left,110,`,
        `20 Nov,front,left,110,`,
        `2026-11-20 06:00,front,left,110,`,
        `${at(1)},middle,left,110,`,
        `${at(1)},front,upper,110,`,
        `${at(1)},front,left,soft,`,
        `${at(1)},front,left,99999,`,
        `${at(1)},front,left,110,400`,
        `${at(1)}`,
      ].join('\n'),
    );
    expect(told.at(-1)).toMatchObject({ problem: { code: 'linesRefused', refused: 8 } });
    const { lines } = (told.at(-1) as { problem: { lines: { line: number; problem: string }[] } }).problem;
    expect(lines.map(({ line, problem }) => [line, problem])).toEqual([
      [3, 'time'],
      [4, 'time'],
      [5, 'axle'],
      [6, 'wheel'],
      [7, 'pressure'],
      [8, 'pressure'],
      [9, 'temp'],
      [10, 'columns'],
    ]);
    expect((await logOf(rigId)).readings).toBe(0);
  });

  it.each([
    ['no header of ours', 'a,b,c\n1,2,3\n', 'headerUnread'],
    ['no line', `${HEAD}\n`, 'noLines'],
    ['nothing', '', 'noLines'],
  ])('with %s is told so', async (_, text, code) => {
    expect((await send(await newRig(), text)).at(-1)).toMatchObject({ problem: { code } });
  });

  it('of a bad line far down keeps nothing of what came before it', async () => {
    const rigId = await newRig();
    const lines = Array.from(
      { length: 12_000 },
      (_, second) => `${new Date(START + second * 1000).toISOString()},front,left,110,12`,
    );
    const told = await send(rigId, [HEAD, ...lines, 'no'].join('\n'));
    expect(told.some((event) => 'progress' in event)).toBe(true);
    expect(told.at(-1)).toMatchObject({ problem: { code: 'linesRefused', refused: 1 } });
    expect((await logOf(rigId)).readings).toBe(0);
  });
});
