import { randomUUID } from 'node:crypto';

import type { AirToolBody, ReadingRound } from '@dunlinmoss/contract';
import request from 'supertest';

import { anAiring, aRig, testServer, type TestServer } from './testServer';

let server: TestServer;
const rig = aRig();
beforeAll(async () => {
  server = await testServer();
  await put('rigs', rig).expect(200);
});
afterAll(() => server.pool.end());

const put = (path: string, body: { id: string }) => request(server.app).put(`/api/v1/${path}/${body.id}`).send(body);
const get = (path: string) => request(server.app).get(`/api/v1/${path}`);

describe('an airing', () => {
  it('is kept with every run and reading, in walking order, and lists by rig and tool', async () => {
    const airing = anAiring(rig.id, { toolId: randomUUID() });
    const saved = await put('airings', airing).expect(200);
    expect(saved.body).toMatchObject({ ...airing, revision: 1 });
    const turned = { ...airing, revision: 1, wheels: [...airing.wheels].reverse() };
    expect((await put('airings', turned).expect(200)).body.wheels[0].wheel).toBe('right');
    const byTool = await get(`airings?rigId=${rig.id}&toolId=${airing.toolId}`).expect(200);
    expect(byTool.body.items.map(({ id }: { id: string }) => id)).toEqual([airing.id]);
    expect((await get(`airings?toolId=${randomUUID()}`)).body.items).toEqual([]);
  });

  it('of two phones at once gives the second one what the first has saved, and takes both in once they are put together', async () => {
    const airing = anAiring(rig.id);
    await put('airings', airing).expect(200);
    const mine = { ...airing, revision: 1, runs: [...airing.runs].slice(0, 1) };
    await put('airings', mine).expect(200);
    const theirs = {
      ...airing,
      revision: 1,
      wheels: airing.wheels.map((wheel) => ({ ...wheel, settled: 'skipped' as const })),
    };
    const stale = await put('airings', theirs).expect(409);
    expect(stale.body.present).toMatchObject({ revision: 2 });
    expect(stale.body.present.runs).toHaveLength(1);
    await put('airings', { ...theirs, revision: 2 } as never).expect(200);
  });

  it.each([
    [
      'a wheel twice',
      (a: ReturnType<typeof anAiring>) => ({ ...a, wheels: [a.wheels[0]!, a.wheels[0]!] }),
      'wheelTwice',
    ],
    ['a run of no wheel', (a: ReturnType<typeof anAiring>) => ({ ...a, wheels: [a.wheels[0]!] }), 'noSuchWheel'],
    ['a run twice', (a: ReturnType<typeof anAiring>) => ({ ...a, runs: [a.runs[0]!, a.runs[0]!] }), 'runTwice'],
  ])('is refused with %s', async (_, change, code) => {
    const refused = await put('airings', change(anAiring(rig.id))).expect(400);
    expect(refused.body.fields[0].code).toBe(code);
  });
});

describe('a round of readings', () => {
  it('is kept with wheel, time, temperature and gauge', async () => {
    const round: ReadingRound = {
      id: randomUUID(),
      revision: 0,
      rigId: rig.id,
      outingId: null,
      readAt: '2026-11-20T09:00:00.000Z',
      occasion: 'afterAnHour',
      gauge: null,
      airTempC: 9.5,
      tireTempC: null,
      altitudeM: 0,
      justDriven: true,
      wheels: [
        { position: 'front', wheel: 'left', shownKpa: 255.1 },
        { position: 'rear', wheel: 'right', shownKpa: 260 },
      ],
    };
    const saved = await put('readings', round).expect(200);
    expect(saved.body).toMatchObject({ ...round, revision: 1 });
    expect((await get(`readings?rigId=${rig.id}`).expect(200)).body.items).toHaveLength(1);
  });
});

describe('a pump', () => {
  it('keeps what its label says', async () => {
    const tool: AirToolBody = {
      id: randomUUID(),
      revision: 0,
      name: 'Clip-on',
      kind: 'batteryClipCompressor',
      setKpa: 124.1,
      valves: ['schrader', 'largeBore'],
      wheelsAtOnce: 1,
      flow: [
        { pressureKpa: 0, litersPerMin: 70 },
        { pressureKpa: 200, litersPerMin: 44.5 },
      ],
      duty: { onMin: 25, restMin: 15 },
      budget: { kind: 'gas', kg: 2 },
      note: '',
    };
    expect((await put('tools', tool).expect(200)).body).toMatchObject({ ...tool, revision: 1 });
    const other = { ...tool, revision: 1, flow: [], duty: null, budget: { kind: 'liters' as const, liters: 240 } };
    expect((await put('tools', other).expect(200)).body).toMatchObject({ ...other, revision: 2 });
    const upside = { ...tool, revision: 2, flow: [...tool.flow].reverse() };
    expect((await put('tools', upside).expect(400)).body.fields[0].code).toBe('flowOrder');
  });
});

describe('everything kept', () => {
  it('carries airings and readings out and in', async () => {
    const { body: file } = await get('export').expect(200);
    expect(file.airings.length).toBeGreaterThan(0);
    expect(file.readings.length).toBeGreaterThan(0);
    const again = await request(server.app).post('/api/v1/import').send(file).expect(200);
    expect(again.body).toMatchObject({ added: 0 });
    const newcomer = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [newcomer]);
    const taken = await request(server.as(newcomer)).post('/api/v1/import').send(file).expect(200);
    expect(taken.body.added).toBe(file.rigs.length + file.tools.length + file.airings.length + file.readings.length);
  });
});
