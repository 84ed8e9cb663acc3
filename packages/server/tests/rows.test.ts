import { randomUUID } from 'node:crypto';

import type { RigRow } from '@dunlinmoss/contract';
import request from 'supertest';

import { anOuting, aRig, aTest, testServer, type TestServer } from './testServer';

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

  it('keeps an outing with its pressures and decision, and tells its rig by name', async () => {
    const rig = aRig({ name: 'Whimbrel' });
    await put('rigs', rig).expect(200);
    const outing = anOuting(rig.id, {
      state: 'lowered',
      pressures: [
        { position: 'front', pressureKpa: 110.3161165 },
        { position: 'rear', pressureKpa: 124.1 },
      ],
      decision: { code: 'keep', note: 'held on the flat' },
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

describe('putting aside and bringing back', () => {
  it('hides the row until it is brought back, and can be repeated', async () => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    await request(server.app).delete(`/api/v1/rigs/${rig.id}?revision=7`).expect(409);
    for (const _ of [1, 2]) await request(server.app).delete(`/api/v1/rigs/${rig.id}?revision=1`).expect(204);
    await get(`rigs/${rig.id}`).expect(404);
    const ids = (await get('rigs?limit=100')).body.items.map(({ id }: RigRow) => id);
    expect(ids).not.toContain(rig.id);
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
