import { randomUUID } from 'node:crypto';

import { planGround, type AxlePlan } from '@dunlinmoss/core';
import { planInput } from '@dunlinmoss/domain';
import request from 'supertest';

import { anOuting, aRig, aTest, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const put = async (path: string, body: { id: string }) =>
  (await request(server.app).put(`/api/v1/${path}/${body.id}`).send(body).expect(200)).body;
const get = (path: string) => request(server.app).get(`/api/v1/${path}`);

describe('GET /rigs/{id}/plan', () => {
  it('is what the application itself makes of the rig and all of its tests, however many', async () => {
    const rig = await put('rigs', aRig());
    const day = (n: number): string => new Date(Date.parse('2026-01-01T08:00:00Z') + n * 86_400_000).toISOString();
    const tests = [];
    const runs = [
      { pressureKpa: 240, lengthMm: 165 },
      { pressureKpa: 110, lengthMm: 236 },
    ];
    const tape = (n: number) => {
      const test = aTest(rig.id, { performedAt: day(n) });
      return { ...test, details: { ...test.details, setup: { method: 'poles', surface: 'firm' }, runs } };
    };
    // More than a page of them.
    for (let n = 0; n < 105; n += 1) tests.push(await put('tests', tape(n)));
    const { body } = await get(`rigs/${rig.id}/plan?ground=softSand&modifiers=steep`).expect(200);
    const input = planInput(rig, tests.reverse(), { ground: 'softSand', modifiers: ['steep'], speedKmh: null });
    const plan = input.ok && planGround(input.value);
    expect(plan && plan.ok && JSON.parse(JSON.stringify(plan.value))).toEqual(body.value);
    const found = body.value.axles.map(({ own }: AxlePlan) => own?.contact.readings ?? 0);
    expect(Math.max(...found)).toBeGreaterThan(100);
  });

  it('says what stands in the way, and takes its own ground where none is asked for', async () => {
    const { axles } = aRig();
    const rig = await put('rigs', aRig({ axles: axles.map((axle) => ({ ...axle, roadKpa: 1400 })) }));
    expect((await get(`rigs/${rig.id}/plan`).expect(200)).body).toEqual({
      ok: false,
      problem: { code: 'doubtfulRoad', position: 'front', pressureKpa: 1400 },
    });
  });

  it('has the numbers of a rig that nobody has weighed yet', async () => {
    const rig = await put('rigs', aRig({ loadCases: [], loadCaseId: null }));
    const { body } = await get(`rigs/${rig.id}/plan?ground=softSand`).expect(200);
    expect(body.value.unweighed).not.toBeNull();
    for (const { startKpa } of body.value.axles) expect(startKpa).toBeGreaterThan(0);
  });

  it.each([
    ['a ground that there is none of', 'ground=moon'],
    ['a speed that is none', 'speedKmh=fast'],
    ['what it does not know', 'colour=red'],
  ])('refuses %s', async (_, query) => {
    const rig = await put('rigs', aRig());
    expect((await get(`rigs/${rig.id}/plan?${query}`).expect(400)).body.code).toBe('invalid');
  });

  it('finds no rig that is not there', async () => {
    await get(`rigs/${randomUUID()}/plan`).expect(404);
    await get('rigs/nothing/card').expect(404);
  });
});

describe('GET /rigs/{id}/next-step', () => {
  it('follows the outing under way, of this rig alone', async () => {
    const [rig, other] = [await put('rigs', aRig()), await put('rigs', aRig())];
    expect((await get(`rigs/${rig.id}/next-step`)).body).toEqual({ step: 'start', outingId: null, pressures: [] });
    const pressures = [{ position: 'front' as const, pressureKpa: 110.3 }];
    const outing = await put('outings', anOuting(rig.id, { state: 'lowered', pressures }));
    expect((await get(`rigs/${rig.id}/next-step`)).body).toEqual({ step: 'test', outingId: outing.id, pressures });
    expect((await get(`rigs/${other.id}/next-step`)).body.step).toBe('start');
    await put('tests', aTest(rig.id, { outingId: outing.id }));
    expect((await get(`rigs/${rig.id}/next-step`)).body.step).toBe('decide');
  });

  it('says of a machine that stands low that it does, though its outing was ended', async () => {
    const rig = await put('rigs', aRig({ softOnPurposeAt: null }));
    const pressures = (['front', 'rear'] as const).map((position) => ({ position, pressureKpa: 90 }));
    const outing = anOuting(rig.id, { state: 'lowered', pressures });
    const { revision } = await put('outings', outing);
    const ended = { ...outing, revision, state: 'closed' };
    await put('outings', ended);
    const { body } = await get(`rigs/${rig.id}/next-step`).expect(200);
    expect(body).toEqual({ step: 'standsLow', outingId: null, pressures: [] });
  });
});

describe('GET /rigs/{id}/card', () => {
  it('has a plan, or what stands in its way, for every ground of the rig', async () => {
    const rig = await put('rigs', aRig());
    const { body } = await get(`rigs/${rig.id}/card`).expect(200);
    expect(body).toMatchObject({ rigId: rig.id, name: rig.name, loadCaseId: rig.loadCaseId });
    expect(body.grounds.length).toBeGreaterThan(8);
    expect(body.grounds.find(({ ground }: { ground: string }) => ground === 'softSand').plan.ok).toBe(true);
  });
});
