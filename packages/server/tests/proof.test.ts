import { randomUUID } from 'node:crypto';

import request from 'supertest';

import { createApp } from '../src/app';
import { createLogger } from '../src/logger';
import { databaseStore } from '../src/store/photoStore';
import { aRig, aTest, aPhoto, jpegPart, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const put = (path: string, body: object) => request(server.app).put(`/api/v1/${path}`).send(body);
const chalked = { outerLeft: 'worn', left: 'worn', middle: 'still', right: 'worn', outerRight: 'worn' };

async function rigHere(): Promise<string> {
  const rig = aRig();
  await put(`rigs/${rig.id}`, rig).expect(200);
  return rig.id;
}

const aChalk = (rigId: string, run: object = {}) => {
  const { tireMarking, loadRange } = aTest(rigId).details;
  return {
    ...aTest(rigId),
    id: randomUUID(),
    kind: 'chalk',
    details: {
      wheel: 'front left',
      tireMarking,
      loadRange,
      wheelLoadKg: null,
      gauge: null,
      setup: {},
      runs: [{ wheel: 'front left', pressureKpa: 250, ...chalked, ...run }],
    },
  };
};

/** The frame of a picture of so many pixels. */
const frame = (height: number, width: number): number[] =>
  jpegPart(0xc0, 8, height >> 8, height & 0xff, width >> 8, width & 0xff, 1, 1, 0x11, 0);

describe('tests of the registry', () => {
  it('are saved with their own part, once however often they are sent', async () => {
    const test = aChalk(await rigHere());
    const first = await put(`tests/${test.id}`, test).expect(200);
    const again = await put(`tests/${test.id}`, test).expect(200);
    expect(again.body).toEqual(first.body);
    expect(first.body).toMatchObject({ kind: 'chalk', counts: true, details: { note: '', runs: [chalked] } });
  });

  it('are refused where a run says what the test does not know, with the place', async () => {
    const test = aChalk(await rigHere(), { middle: 'gone', weather: 'fine' });
    const { body } = await put(`tests/${test.id}`, test).expect(400);
    expect(body.fields.map(({ path }: { path: string }) => path).sort()).toEqual([
      '/details/runs/0/middle',
      '/details/runs/0/weather',
    ]);
    const { body: other } = await put(`tests/${test.id}`, { ...test, kind: 'palmistry' }).expect(400);
    expect(other.fields[0].path).toBe('/kind');
  });

  it('can be set aside and counted again', async () => {
    const test = aChalk(await rigHere());
    await put(`tests/${test.id}`, test).expect(200);
    const { body } = await put(`tests/${test.id}`, { ...test, revision: 1, counts: false }).expect(200);
    expect(body.counts).toBe(false);
    const { body: read } = await request(server.app).get(`/api/v1/tests/${test.id}`).expect(200);
    expect(read.counts).toBe(false);
  });

  it('keep when the tires of an axle were changed', async () => {
    const rig = aRig();
    const fittedAt = '2026-06-01T08:00:00.000Z';
    const axles = rig.axles.map((axle, index) => (index === 0 ? { ...axle, fittedAt } : axle));
    const { body } = await put(`rigs/${rig.id}`, { ...rig, axles }).expect(200);
    expect(body.axles.map((axle: { fittedAt: string | null }) => axle.fittedAt)).toEqual([fittedAt, null]);
  });
});

describe('photos', () => {
  const plain = aPhoto();
  const send = (id: string, bytes: Buffer) =>
    request(server.app).put(`/api/v1/photos/${id}`).set('content-type', 'image/jpeg').send(bytes);

  it('may carry the small color profile that browsers write', async () => {
    const profile = [...Buffer.from('ICC_PROFILE\0\x01\x01', 'latin1'), ...new Array<number>(60).fill(0)];
    await send(randomUUID(), aPhoto(jpegPart(0xe2, ...profile))).expect(204);
  });

  it('come back as they were sent, and are written once', async () => {
    const id = randomUUID();
    await send(id, plain).expect(204);
    await send(id, plain).expect(204);
    const { body, headers } = await request(server.app).get(`/api/v1/photos/${id}`).expect(200);
    expect(headers['content-type']).toBe('image/jpeg');
    expect(Buffer.compare(body as Buffer, plain)).toBe(0);
  });

  it.each([
    ['one that says where it was taken (EXIF, APP1)', aPhoto(jpegPart(0xe1, 0x45, 0x78))],
    ['one that says by whom (IPTC, APP13)', aPhoto(jpegPart(0xed, 0x38, 0x42))],
    ['one with a part of a camera’s own (APP4)', aPhoto(jpegPart(0xe4, 0x01))],
    ['one with a part that only looks like a color profile', aPhoto(jpegPart(0xe2, 0x49, 0x43, 0x43))],
    ['one with a comment', aPhoto(jpegPart(0xfe, 0x68, 0x69))],
    ['one with something behind its end', aPhoto([], [0x50, 0x4b])],
    ['one with a second picture behind it', Buffer.concat([aPhoto(), aPhoto()])],
    ['one that claims more than can be shown', aPhoto(frame(65_535, 65_535))],
    ['one that claims to be nothing', aPhoto(frame(0, 640))],
    ['one whose frame is cut short', aPhoto(jpegPart(0xc0, 8, 0))],
    ['no photo at all', Buffer.from('hello')],
    ['one that breaks off', plain.subarray(0, 6)],
  ])('are refused: %s', async (_, bytes) => {
    const id = randomUUID();
    const { body } = await send(id, bytes).expect(400);
    expect(body.fields[0].code).toBe('notAPhoto');
    await request(server.app).get(`/api/v1/photos/${id}`).expect(404);
  });

  it('may be as large as a phone’s', async () => {
    await send(randomUUID(), aPhoto(frame(3_000, 4_000))).expect(204);
  });

  it('say that the disk is full where it is', async () => {
    const { pool, config } = server;
    const full = { ...databaseStore(pool), put: () => Promise.reject(Object.assign(new Error(), { code: 'ENOSPC' })) };
    const log = createLogger('silent');
    const app = createApp({ pool, log, ownerId: config.ownerId, hosts: [], webRoot: null, photos: full });
    const id = randomUUID();
    const { body } = await request(app)
      .put(`/api/v1/photos/${id}`)
      .set('content-type', 'image/jpeg')
      .send(plain)
      .expect(507);
    expect(body.code).toBe('diskFull');
    await request(server.app).get(`/api/v1/photos/${id}`).expect(404);
  });

  it('are refused where they are too large', async () => {
    await send(randomUUID(), Buffer.concat([plain, Buffer.alloc(1_000_001)])).expect(413);
  });
});

describe('the simulated soil probe', () => {
  it('reads the same for the same rig, and harder under the firmer tire', async () => {
    const path = `/api/v1/devices/probe/${randomUUID()}?trackAKpa=180&trackBKpa=60`;
    const { body } = await request(server.app).get(path).expect(200);
    expect((await request(server.app).get(path)).body).toEqual(body);
    const mean = (track: string): number => {
      const own = body.readings.filter((each: { track: string }) => each.track === track);
      return own.reduce((sum: number, { coneKpa }: { coneKpa: number }) => sum + coneKpa, 0) / own.length;
    };
    expect(mean('trackA')).toBeGreaterThan(mean('trackB'));
    expect(mean('trackB')).toBeGreaterThan(mean('untouched'));
    await request(server.app).get(`/api/v1/devices/probe/${randomUUID()}`).expect(400);
  });
});
