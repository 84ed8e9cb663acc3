import { randomUUID } from 'node:crypto';

import type { RigRow } from '@dunlinmoss/contract';
import request from 'supertest';

import { aCase, anAxle, anOuting, aRig, aTest, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const put = (path: string, body: { id: string }) => request(server.app).put(`/api/v1/${path}/${body.id}`).send(body);
const get = (path: string) => request(server.app).get(`/api/v1/${path}`);

describe('saving a row', () => {
  it('keeps a rig as it was sent, and gives it a revision and times', async () => {
    const rig = aRig({ name: 'Greenshank ½ ‘wagon’' });
    const saved = await put('rigs', rig).expect(200);
    expect(saved.body).toEqual({
      ...rig,
      revision: 1,
      createdAt: expect.any(String),
      updatedAt: expect.any(String),
    });
    expect((await get(`rigs/${rig.id}`).expect(200)).body).toEqual(saved.body);
  });

  it('is one row however often the same save arrives, also all at once', async () => {
    const rig = aRig();
    const answers = await Promise.all(Array.from({ length: 6 }, () => put('rigs', rig)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200, 200]);
    expect(new Set(answers.map(({ body }) => body.revision))).toEqual(new Set([1]));
    await put('rigs', { ...rig, revision: 1, name: 'Changed' } as never).expect(200);
    const again = await put('rigs', { ...rig, revision: 1, name: 'Changed' } as never).expect(200);
    expect(again.body.revision).toBe(2);
  });

  it('refuses a stale revision with the row as it is now, and keeps that', async () => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    await put('rigs', { ...rig, revision: 1, name: 'First' } as never).expect(200);
    const stale = await put('rigs', { ...rig, revision: 1, name: 'Second' } as never).expect(409);
    expect(stale.headers['content-type']).toMatch('application/problem+json');
    expect(stale.body).toMatchObject({ code: 'staleRevision', status: 409, present: { name: 'First', revision: 2 } });
    expect((await get(`rigs/${rig.id}`)).body.name).toBe('First');
  });

  it('keeps what was said of the day of an outing, in the order it was said, and how far it is below the floor', async () => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    const outing = anOuting(rig.id, {
      modifiers: ['steep', 'farFromAir', 'heat'],
      speedKmh: 35,
      state: 'lowered',
      tankLevel: null,
      stuckRung: 2,
      pressures: [{ position: 'front', pressureKpa: 41.4 }],
    });
    await put('outings', outing).expect(200);
    // The same save again is the same row, whatever order a table would have them in.
    expect((await put('outings', outing).expect(200)).body.revision).toBe(1);
    expect((await get(`outings/${outing.id}`).expect(200)).body).toMatchObject({
      modifiers: ['steep', 'farFromAir', 'heat'],
      speedKmh: 35,
      tankLevel: null,
      stuckRung: 2,
    });
    const calm = { ...outing, revision: 1, modifiers: [], speedKmh: null, tankLevel: null, stuckRung: 0 };
    expect((await put('outings', calm as never).expect(200)).body).toMatchObject({ modifiers: [], stuckRung: 0 });
  });

  it('takes an outing of which nothing was said, as an older client sends it', async () => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    const { modifiers: _, speedKmh: __, stuckRung: ___, ...older } = anOuting(rig.id);
    const { body } = await put('outings', older).expect(200);
    expect(body).toMatchObject({ modifiers: [], speedKmh: null, tankLevel: null, stuckRung: 0 });
  });

  it.each([
    ['the same twice', { modifiers: ['heat', 'heat'] }, '/modifiers'],
    ['a day nobody knows', { modifiers: ['windy'] }, '/modifiers/0'],
    ['a rung that there is not', { stuckRung: 9 }, '/stuckRung'],
    ['a speed of nothing', { speedKmh: 0 }, '/speedKmh'],
  ])('refuses an outing with %s, and points at it', async (_, change, path) => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    const { body } = await put('outings', { ...anOuting(rig.id), ...change } as never).expect(400);
    expect(body.fields.map((field: { path: string }) => field.path)).toContain(path);
  });

  it('keeps everything a rig can have, in its order', async () => {
    const rig = aRig({
      family: 'tractor',
      hitchMm: 3600,
      topSpeedKmh: 40,
      school: 'stepDown',
      beadFloorKpa: 68.9,
      axles: [
        anAxle('front', { tireMarking: 'VF380/90R46 173D', ratingKg: 7000, minKpa: 60, maxKpa: 320 }),
        anAxle('rear', {
          wheels: 4,
          tireMarking: '480/80R50 159A8/B',
          rows: [
            { pressureKpa: 100, speedKmh: 40, loadKg: 3100 },
            { pressureKpa: 60, speedKmh: 10, loadKg: 3900 },
          ],
          lines: [{ pressureKpa: 240, loadKg: 4375 }],
          present: { rawKpa: 171, gaugeId: randomUUID(), offsetKpa: -4.5 },
        }),
        anAxle('trailer', { driven: false, trackMm: null, tube: true, insert: true, roadKpa: null }),
      ],
      loadCases: [
        aCase({
          name: 'Tank full',
          method: 'moments',
          weighed: [],
          wholeKg: null,
          unladen: [
            { position: 'rear', loadKg: 5200 },
            { position: 'front', loadKg: 3100 },
            { position: 'coupling', loadKg: 400 },
          ],
          items: [
            {
              kind: 'tank',
              name: 'Lime',
              body: 'trailer',
              behindMm: 4100,
              rightMm: null,
              liters: 5000,
              densityKgPerL: 1.1,
              level: 0.75,
            },
            { kind: 'thing', name: 'Weights', body: 'vehicle', behindMm: -900, rightMm: -120, massKg: 600 },
          ],
        }),
        aCase({
          name: 'Ridden',
          method: 'posture',
          posture: { posture: 'gravel', frontShare: 0.41, riderKg: 82, bikeKg: 11.5 },
        }),
      ],
    });
    const saved = await put('rigs', rig).expect(200);
    expect(saved.body).toMatchObject({ ...rig, revision: 1 });
    // Also once more: the same save is still one row.
    expect((await put('rigs', rig).expect(200)).body.revision).toBe(1);
  });

  it('keeps gauges with what they were held against, and tools', async () => {
    const gauge = {
      id: randomUUID(),
      revision: 0,
      name: 'Dial, red case',
      fromKpa: 0,
      fullScaleKpa: 413.7,
      gradePercent: 1.6,
      comparisons: [
        { gaugeKpa: 210, trustedKpa: 203 },
        { gaugeKpa: 120, trustedKpa: 114 },
      ],
    };
    expect((await put('gauges', gauge).expect(200)).body).toMatchObject({ ...gauge, revision: 1 });
    const upsideDown = await put('gauges', { ...gauge, id: randomUUID(), fromKpa: 500 } as never).expect(400);
    expect(upsideDown.body.fields[0]).toMatchObject({ path: '/fullScaleKpa', code: 'scaleUpsideDown' });
    const tool = {
      id: randomUUID(),
      revision: 0,
      name: 'Hoses',
      kind: 'hoseManifold',
      wheelsAtOnce: 4,
      note: 'In the tray',
    };
    expect((await put('tools', tool).expect(200)).body).toMatchObject({ ...tool, revision: 1 });
    expect((await get('tools')).body.items).toHaveLength(1);
  });

  it('keeps an outing with its pressures and decision, and tells its rig by name', async () => {
    const rig = aRig({ name: 'Whimbrel' });
    await put('rigs', rig).expect(200);
    const outing = anOuting(rig.id, {
      state: 'lowered',
      pressures: [
        { position: 'front', pressureKpa: 110.3161165 },
        { position: 'rear', pressureKpa: 124.1 },
      ],
      decision: { code: 'keep', note: 'held on the flat', counts: false },
    });
    const saved = await put('outings', outing).expect(200);
    expect(saved.body).toMatchObject({ ...outing, revision: 1, rigName: 'Whimbrel' });
    const fewer = { ...outing, revision: 1, state: 'closed' as const, pressures: [], decision: null };
    expect((await put('outings', fewer).expect(200)).body).toMatchObject({ pressures: [], decision: null });
  });

  it('keeps a test and finds it by rig and by outing', async () => {
    const rig = aRig();
    const outing = anOuting(rig.id);
    const test = aTest(rig.id, { outingId: outing.id });
    await put('rigs', rig).expect(200);
    await put('outings', outing).expect(200);
    await put('tests', test).expect(200);
    await put('tests', aTest(rig.id)).expect(200);
    expect((await get(`tests?rigId=${rig.id}`)).body.items).toHaveLength(2);
    expect((await get(`tests?outingIds=${randomUUID()},${outing.id}`)).body.items).toMatchObject([
      { id: test.id, details: test.details },
    ]);
  });

  it('refuses a row that points at one that is not there', async () => {
    const refused = await put('outings', anOuting(randomUUID())).expect(400);
    expect(refused.body.code).toBe('missingReference');
  });
});

describe('archiving and bringing back', () => {
  it('hides the row until it is brought back, and can be repeated', async () => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    await request(server.app).delete(`/api/v1/rigs/${rig.id}?revision=7`).expect(409);
    for (const _ of [1, 2]) await request(server.app).delete(`/api/v1/rigs/${rig.id}?revision=1`).expect(204);
    await get(`rigs/${rig.id}`).expect(404);
    const ids = (await get('rigs?limit=100')).body.items.map(({ id }: RigRow) => id);
    expect(ids).not.toContain(rig.id);
    const aside = (await get('rigs?limit=100&archived=true')).body.items.map(({ id }: RigRow) => id);
    expect(aside).toEqual([rig.id]);
    const back = await request(server.app).post(`/api/v1/rigs/${rig.id}/restore`).expect(200);
    expect(back.body).toMatchObject({ name: rig.name, revision: 3 });
    await get(`rigs/${rig.id}`).expect(200);
  });

  it('does not know what never was', async () => {
    await request(server.app).delete(`/api/v1/rigs/${randomUUID()}?revision=1`).expect(404);
    await request(server.app).post(`/api/v1/rigs/${randomUUID()}/restore`).expect(404);
  });
});

describe('lists', () => {
  it('walk through every row once, in order, whatever the page size', async () => {
    const own = await testServer();
    const names = ['Avocet', 'Curlew', 'Curlew', 'Dunlin', 'Knot', 'Ruff', 'Sanderling'];
    for (const name of [...names].reverse()) {
      const rig = aRig({ name });
      await request(own.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
    }
    for (const limit of [1, 3, 7]) {
      const seen: string[] = [];
      let after = '';
      do {
        const { body } = await request(own.app).get(`/api/v1/rigs?limit=${limit}${after}`).expect(200);
        seen.push(...body.items.map(({ name }: RigRow) => name));
        after = body.next === null ? '' : `&after=${body.next}`;
      } while (after !== '');
      expect(seen).toEqual(names);
    }
    await own.pool.end();
  });

  it('find a rig by any part of its name, whatever signs are in it', async () => {
    const own = await testServer();
    for (const name of ['Curlew, wagon', '100% Ruff', 'Little Stint']) {
      const rig = aRig({ name });
      await request(own.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
    }
    const found = async (search: string): Promise<string[]> => {
      const { body } = await request(own.app)
        .get(`/api/v1/rigs?search=${encodeURIComponent(search)}`)
        .expect(200);
      return body.items.map(({ name }: RigRow) => name);
    };
    expect(await found('WAG')).toEqual(['Curlew, wagon']);
    expect(await found('%')).toEqual(['100% Ruff']);
    expect(await found('_')).toEqual([]);
    await own.pool.end();
  });

  it('give outings newest first', async () => {
    const own = await testServer();
    const rig = aRig();
    await request(own.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
    for (const day of ['03', '01', '02']) {
      const outing = anOuting(rig.id, { startedAt: `2026-05-${day}T06:00:00.000Z` });
      await request(own.app).put(`/api/v1/outings/${outing.id}`).send(outing).expect(200);
    }
    const first = (await request(own.app).get('/api/v1/outings?limit=2')).body;
    expect(first.items.map((each: { startedAt: string }) => each.startedAt.slice(8, 10))).toEqual(['03', '02']);
    const second = (await request(own.app).get(`/api/v1/outings?limit=2&after=${first.next}`)).body;
    expect(second.items.map((each: { startedAt: string }) => each.startedAt.slice(8, 10))).toEqual(['01']);
    expect(second.next).toBeNull();
    await own.pool.end();
  });

  it.each(['rigs?after=nonsense', 'rigs?limit=0', 'rigs?limit=1000', 'rigs?colour=red', 'tests?outingIds=1,2'])(
    'refuse %s and name the part',
    async (path) => {
      const { body } = await get(path).expect(400);
      expect(body.code).toBe('invalid');
      expect(body.fields[0].path).toMatch(/^\/(after|limit|colour|outingIds)/);
    },
  );
});

describe("another person's rows", () => {
  it('cannot be read, changed, removed or pointed at', async () => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    const stranger = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [stranger]);
    const theirs = request(server.as(stranger));
    await theirs.get(`/api/v1/rigs/${rig.id}`).expect(404);
    await theirs.delete(`/api/v1/rigs/${rig.id}?revision=1`).expect(404);
    await theirs.post(`/api/v1/rigs/${rig.id}/restore`).expect(404);
    expect((await theirs.get('/api/v1/rigs')).body.items).toEqual([]);
    const outing = anOuting(rig.id);
    expect((await theirs.put(`/api/v1/outings/${outing.id}`).send(outing)).body.code).toBe('missingReference');
    await theirs
      .put(`/api/v1/rigs/${rig.id}`)
      .send({ ...rig, name: 'Theirs' })
      .expect(200);
    expect((await get(`rigs/${rig.id}`)).body.name).toBe(rig.name);
  });
});

describe('a number', () => {
  it('comes back as it was, to its last place', async () => {
    const server = await testServer();
    const values = [0.1 + 0.2, 1 / 3, 123456.78901234567 / 10, 2 ** -20, 99999.99999999999];
    const rig = aRig({
      hitchMm: values[0]!,
      axles: [
        anAxle('front', {
          roadKpa: values[1]!,
          trackMm: values[2]!,
          lines: [{ pressureKpa: 1 + values[3]!, loadKg: values[4]! }],
        }),
        anAxle('rear'),
      ],
    });
    await request(server.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
    const { body } = await request(server.app).get(`/api/v1/rigs/${rig.id}`).expect(200);
    expect([body.hitchMm, body.axles[0].roadKpa, body.axles[0].trackMm, body.axles[0].lines[0]]).toEqual([
      values[0],
      values[1],
      values[2],
      { pressureKpa: 1 + values[3]!, loadKg: values[4] },
    ]);
    await server.pool.end();
  });
});
