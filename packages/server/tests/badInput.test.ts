import { randomUUID } from 'node:crypto';

import type { LoadCaseBody, Rig } from '@dunlinmoss/contract';
import type { RowDataPacket } from 'mysql2/promise';
import request from 'supertest';

import { aCase, anOuting, aRig, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const rigsKept = async (): Promise<number> => {
  const [[row]] = await server.pool.query<RowDataPacket[]>('SELECT COUNT(*) AS n FROM rigs WHERE owner_id = ?', [
    server.config.ownerId,
  ]);
  return row!.n;
};
const withAxle = (change: Record<string, unknown>): Rig => {
  const rig = aRig();
  return { ...rig, axles: [{ ...rig.axles[0]!, ...change } as never, rig.axles[1]!] };
};
const withWeight = (change: Partial<LoadCaseBody['weighed'][number]>): Rig => {
  const [loadCase] = aRig().loadCases;
  const [first, ...rest] = loadCase!.weighed;
  return aRig({ loadCases: [{ ...loadCase!, weighed: [{ ...first!, ...change }, ...rest] }] });
};

describe('a refused rig', () => {
  it.each([
    ['an unknown field', { ...aRig(), colour: 'green' }, '/colour', 'unknownField'],
    ['an unknown field deep down', withAxle({ hubcaps: 4 }), '/axles/0/hubcaps', 'unknownField'],
    ['a 500 psi placard', withAxle({ roadKpa: 3447 }), '/axles/0/roadKpa', 'too_big'],
    ['three wheels abreast', withAxle({ wheels: 3 }), '/axles/0/wheels', 'invalid_union'],
    ['a weight below nothing', withWeight({ loadKg: -1 }), '/loadCases/0/weighed/0/loadKg', 'too_small'],
    ['a wheel weighed twice', withWeight({ position: 'rear', part: 'left' }), '/loadCases/0/weighed', 'weighedTwice'],
    ['a load case that is none of its own', aRig({ loadCaseId: randomUUID() }), '/loadCaseId', 'noSuchLoadCase'],
    ['two load cases of one name', aRig({ loadCases: [aCase(), aCase()] }), '/loadCases', 'nameTwice'],
    ['a 3 mm tire', withAxle({ tireMarking: '3/75R16' }), '/axles/0/tireMarking', 'unreadableMarking'],
    ['a marking that is none', withAxle({ tireMarking: 'the big ones' }), '/axles/0/tireMarking', 'unreadableMarking'],
    ['text for a number', withAxle({ roadKpa: '240' }), '/axles/0/roadKpa', 'invalid_type'],
    ['no name', aRig({ name: '   ' }), '/name', 'too_small'],
    ['one axle', { ...aRig(), axles: aRig().axles.slice(0, 1) }, '/axles', 'axleMissing'],
    ['no axle', { ...aRig(), axles: [] }, '/axles', 'too_small'],
    ['axles in the wrong order', { ...aRig(), axles: [...aRig().axles].reverse() }, '/axles', 'axleOrder'],
    ['a family that is none', { ...aRig(), family: 'hovercraft' }, '/family', 'invalid_value'],
    ['a negative revision', aRig({ revision: -1 }), '/revision', 'too_small'],
  ])('%s: problem details with the field, nothing saved', async (_, body, path, code) => {
    const before = await rigsKept();
    const answer = await request(server.app).put(`/api/v1/rigs/${body.id}`).send(body).expect(400);
    expect(answer.headers['content-type']).toMatch('application/problem+json');
    expect(answer.body).toMatchObject({ status: 400, code: 'invalid' });
    expect(answer.body.fields).toContainEqual(expect.objectContaining({ path, code }));
    expect(await rigsKept()).toBe(before);
  });

  it('tells the bound that was passed', async () => {
    const body = withAxle({ roadKpa: 3447 });
    const answer = await request(server.app).put(`/api/v1/rigs/${body.id}`).send(body);
    expect(answer.body.fields[0].limit).toBe(2000);
  });

  it('tells why a marking cannot be read', async () => {
    const body = withAxle({ tireMarking: '245/75R16 111X' });
    const answer = await request(server.app).put(`/api/v1/rigs/${body.id}`).send(body);
    expect(answer.body.fields[0].params.problem).toEqual({ code: 'unknownSpeedSymbol', symbol: 'X' });
  });
});

describe('a body that is no row', () => {
  const id = randomUUID();
  it.each([
    ['broken JSON', '{"id": ', 400, 'malformedJson'],
    ['no JSON at all', 'name=Curlew', 400, 'malformedJson'],
    ['an empty body', '', 400, 'invalid'],
    ['a list', '[]', 400, 'invalid'],
    ['an oversize body', JSON.stringify({ name: 'x'.repeat(2_200_000) }), 413, 'bodyTooLarge'],
  ])('%s', async (_, body, status, code) => {
    const answer = await request(server.app)
      .put(`/api/v1/rigs/${id}`)
      .set('content-type', 'application/json')
      .send(body)
      .expect(status);
    expect(answer.body.code).toBe(code);
    await request(server.app).get(`/api/v1/rigs/${id}`).expect(404);
  });

  it('an id other than the address', async () => {
    const answer = await request(server.app).put(`/api/v1/rigs/${id}`).send(aRig()).expect(400);
    expect(answer.body.fields[0]).toMatchObject({ path: '/id', code: 'idMismatch' });
  });
});

describe('a refused outing', () => {
  it.each([
    ['air let out without a pressure', { state: 'lowered' as const }, 'pressuresMissing'],
    [
      'one axle twice',
      {
        pressures: [
          { position: 'front' as const, pressureKpa: 110 },
          { position: 'front' as const, pressureKpa: 120 },
        ],
      },
      'axleTwice',
    ],
  ])('%s', async (_, change, code) => {
    const rig = aRig();
    await request(server.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
    const outing = anOuting(rig.id, change);
    const answer = await request(server.app).put(`/api/v1/outings/${outing.id}`).send(outing).expect(400);
    expect(answer.body.fields).toContainEqual(expect.objectContaining({ path: '/pressures', code }));
  });
});

describe('an address that leads nowhere', () => {
  it.each(['/api/v1/yachts', '/api/v1/rigs/7', '/api/v2/rigs', '/api/v1/rigs/%E0%A4%A'])('%s', async (path) => {
    const answer = await request(server.app).get(path).expect(404);
    expect(answer.body).toEqual({
      type: 'urn:dunlinmoss:problem:notFound',
      title: expect.any(String),
      status: 404,
      code: 'notFound',
    });
  });
});

describe('text that looks like SQL', () => {
  it('is only text', async () => {
    const rig = aRig({ name: "'; DROP TABLE rigs; -- " });
    const saved = await request(server.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
    expect(saved.body.name).toBe("'; DROP TABLE rigs; --");
  });
});
