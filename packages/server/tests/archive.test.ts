import { createHash, randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { Readable } from 'node:stream';

import type { ArchiveEvent, ImportState } from '@dunlinmoss/contract';
import { ARCHIVE_PARTS } from '@dunlinmoss/contract/api';
import type { Express } from 'express';
import request from 'supertest';
import { ZipFile } from 'yazl';

import { linesIn, LineTooLong } from '../src/archive/lines';
import { ArchiveRefused, readArchive } from '../src/archive/read';
import { seeded } from './seeded';
import { aComparison, aDayRoute, aPhoto, aRig, aTest, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeEach(async () => {
  server = await testServer();
});
afterEach(() => server.pool.end());

const DEMO = path.resolve(__dirname, '../../../demo/ravelsey.json');

async function anotherOwner(): Promise<Express> {
  const ownerId = randomUUID();
  await server.pool.query('INSERT INTO owners (id) VALUES (?)', [ownerId]);
  return server.as(ownerId);
}

const bytesOf = (response: request.Response, done: (error: Error | null, body: Buffer) => void): void => {
  const parts: Buffer[] = [];
  const stream = response as unknown as NodeJS.ReadableStream;
  stream.on('data', (part: Buffer) => parts.push(part));
  stream.on('end', () => done(null, Buffer.concat(parts)));
};

/** Has the file put together, and gives its address once it is there. */
async function putTogether(app: Express, id: string = randomUUID()): Promise<string> {
  await request(app).put(`/api/v1/archives/${id}`).expect(202);
  for (;;) {
    const { state } = (await request(app).get(`/api/v1/imports/${id}`).expect(200)).body as ImportState;
    if (state === 'done') return `/api/v1/archives/${id}`;
    expect(state).toBe('working');
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
}
const fetched = (app: Express, address: string): request.Test =>
  request(app)
    .get(address)
    .buffer(true)
    .parse(bytesOf as never);

const archiveOf = async (app: Express): Promise<Buffer> =>
  (await fetched(app, await putTogether(app)).expect(200)).body;

async function restore(app: Express, archive: Buffer): Promise<ArchiveEvent> {
  const { body } = await request(app)
    .post('/api/v1/archive')
    .set('content-type', 'application/zip')
    .send(archive)
    .buffer(true)
    .parse(bytesOf as never)
    .expect(200);
  return JSON.parse((body as Buffer).toString('utf8').trim().split('\n').at(-1)!) as ArchiveEvent;
}

/** Everything there is of each kind: the demo, something archived, a log, a photo of a test. */
async function fillIn(app: Express): Promise<void> {
  await request(app)
    .post('/api/v1/import')
    .set('content-type', 'application/json')
    .send(readFileSync(DEMO, 'utf8'))
    .expect(200);
  const rig = aRig({ name: 'Ünder the “hedge” 🛞', hitchMm: 0.1 + 0.2, beadFloorKpa: 100 / 3 });
  await request(app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
  await request(app)
    .put(`/api/v1/rigs/${rig.id}`)
    .send({ ...rig, revision: 1, name: 'Twite' })
    .expect(200);
  const aside = aTest(rig.id);
  await request(app).put(`/api/v1/tests/${aside.id}`).send(aside).expect(200);
  await request(app).delete(`/api/v1/tests/${aside.id}?revision=1`).expect(204);
  const comparison = aComparison(rig.id);
  await request(app).put(`/api/v1/comparisons/${comparison.id}`).send(comparison).expect(200);
  const route = aDayRoute(rig.id);
  await request(app).put(`/api/v1/routes/${route.id}`).send(route).expect(200);
  const rows = Array.from({ length: 300 }, (_, minute) => ({
    position: 'front',
    wheel: minute % 2 === 0 ? 'left' : 'right',
    readAt: new Date(Date.parse('2026-11-20T06:00:00Z') + minute * 60_000).toISOString(),
    pressureKpa: 110 + minute / 7,
    tempC: minute % 3 === 0 ? null : 12.5,
  }));
  await request(app).post(`/api/v1/rigs/${rig.id}/log`).send({ rows }).expect(200);
  await request(app).put(`/api/v1/photos/${randomUUID()}`).set('content-type', 'image/jpeg').send(aPhoto()).expect(204);
}

/** An archive of our own making, entry by entry. */
function madeOf(entries: Readonly<Record<string, string>>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, text] of Object.entries(entries)) zip.addBuffer(Buffer.from(text), name);
  zip.end();
  return new Promise((resolve) => {
    const parts: Buffer[] = [];
    zip.outputStream.on('data', (part: Buffer) => parts.push(part));
    zip.outputStream.on('end', () => resolve(Buffer.concat(parts)));
  });
}
const HEAD = JSON.stringify({ format: 'dunlinmoss-archive', version: 2 });
const EMPTY: Record<string, string> = {
  'dunlinmoss.json': HEAD,
  ...Object.fromEntries(ARCHIVE_PARTS.map((part) => [`${part}.jsonl`, ''])),
};

describe('the archive of everything', () => {
  it('that nobody waits for ends nothing else', async () => {
    await fillIn(server.app);
    const address = await putTogether(server.app);
    const listening = server.app.listen(0, '127.0.0.1');
    await once(listening, 'listening');
    const { port } = listening.address() as AddressInfo;
    try {
      for (let run = 0; run < 20; run += 1) {
        const asked = http.get(`http://127.0.0.1:${port}${address}`);
        asked.on('error', () => undefined);
        if (run % 2 === 0) asked.on('response', () => asked.destroy());
        else setTimeout(() => asked.destroy(), run);
        await new Promise((resolve) => asked.once('close', resolve));
      }
      // Anything that got away meanwhile would end this process.
      await new Promise((resolve) => setTimeout(resolve, 300));
      expect((await archiveOf(server.app)).length).toBeGreaterThan(1_000);
    } finally {
      listening.closeAllConnections();
      await new Promise((resolve) => listening.close(resolve));
    }
  });

  it('is fetched whole or from where the line broke, by its own space alone, and the one before the last is forgotten', async () => {
    await fillIn(server.app);
    const { app } = server;
    const address = await putTogether(app);
    const whole = await fetched(app, address).expect(200);
    const bytes = whole.body as Buffer;
    expect(whole.headers).toMatchObject({
      'content-length': String(bytes.length),
      'accept-ranges': 'bytes',
      'content-disposition': 'attachment; filename=dunlinmoss.zip',
    });
    const half = Math.floor(bytes.length / 2);
    const rest = await fetched(app, address)
      .set({ range: `bytes=${half}-`, 'if-range': whole.headers.etag! })
      .expect(206);
    expect(rest.headers['content-range']).toBe(`bytes ${half}-${bytes.length - 1}/${bytes.length}`);
    expect(bytes.subarray(half).equals(rest.body)).toBe(true);
    // Of another file the rest is of no use.
    const other = await fetched(app, address)
      .set({ range: `bytes=${half}-`, 'if-range': `"${randomUUID()}"` })
      .expect(200);
    expect(bytes.equals(other.body)).toBe(true);
    await fetched(app, address)
      .set('range', `bytes=${bytes.length + 5}-`)
      .expect(416);
    expect((await request(app).head(address).expect(200)).headers['content-length']).toBe(String(bytes.length));
    await request(await anotherOwner())
      .get(address)
      .expect(404);
    await request(app).get(`/api/v1/archives/${randomUUID()}`).expect(404);

    const next = await putTogether(app);
    // The same name again is the same file.
    await putTogether(app, next.split('/').at(-1));
    await request(app).head(address).expect(200);
    await putTogether(app);
    await putTogether(app);
    await request(app).head(address).expect(404);
  });

  it('of before a kind of row was kept is taken in whole, and one that lost a part is not', async () => {
    const { 'comparisons.jsonl': _, 'routes.jsonl': ___, ...older } = EMPTY;
    expect(await restore(await anotherOwner(), await madeOf(older))).toMatchObject({ done: {}, remark: 'noDigest' });
    const { 'readings.jsonl': __, ...cut } = EMPTY;
    expect(await restore(await anotherOwner(), await madeOf(cut))).toMatchObject({ problem: { code: 'notAnArchive' } });
  });

  it('with any one bit changed is refused, or is what it was', async () => {
    await fillIn(server.app);
    const archive = await archiveOf(server.app);
    const readBack = async (bytes: Buffer): Promise<string> => {
      const batches: unknown[] = [];
      const from = async function* (start: number, end: number) {
        yield bytes.subarray(start, end);
      };
      for await (const batch of readArchive(bytes.length, from)) batches.push(batch);
      return JSON.stringify(batches);
    };
    const whole = await readBack(archive);
    expect(whole).toContain('Twite');
    const next = seeded(20_261_201);
    let refused = 0;
    for (let flip = 0; flip < 200; flip += 1) {
      const at = next(archive.length);
      const bytes = Buffer.from(archive);
      bytes[at]! ^= 1 << next(8);
      const told = await readBack(bytes).catch((error: unknown) => {
        if (!(error instanceof ArchiveRefused)) throw error;
        refused += 1;
        return whole;
      });
      expect(`byte ${at}: ${told === whole}`).toBe(`byte ${at}: true`);
    }
    expect(refused).toBeGreaterThan(100);
  });

  it('is held against the digest of each of its parts, and says where an earlier version had none', async () => {
    const sha256 = (parts: Record<string, string>): Record<string, string> =>
      Object.fromEntries(
        Object.entries(parts).map(([name, text]) => [name, createHash('sha256').update(text).digest('hex')]),
      );
    const parts = { ...EMPTY, 'dunlinmoss.json': HEAD.replace('2', '3') };
    const withDigests = (digests: object, change: Record<string, string> = {}): Promise<Buffer> =>
      madeOf({ ...parts, ...change, 'digest.json': JSON.stringify({ sha256: digests }) });
    const told = async (archive: Buffer): Promise<ArchiveEvent> => restore(await anotherOwner(), archive);
    expect(Object.keys(await told(await withDigests(sha256(parts))))).toEqual(['done']);
    expect(Object.keys(await told(await archiveOf(server.app)))).toEqual(['done']);
    // Well packed, with good checksums, and not what was written.
    const row = JSON.stringify({ rigId: randomUUID() });
    const { 'log.jsonl': _, ...lost } = sha256(parts);
    for (const [archive, message] of [
      [await withDigests(sha256(parts), { 'dunlinmoss.json': `${parts['dunlinmoss.json']} ` }), 'dunlinmoss.json'],
      [await withDigests(sha256({ ...parts, 'photos.jsonl': row })), 'photos.jsonl'],
      [await withDigests(lost), 'log.jsonl'],
      [await withDigests(sha256({ ...parts, 'other.jsonl': '' })), 'other.jsonl'],
      [await madeOf(parts), 'digest.json is missing'],
    ] as const) {
      expect(await told(archive)).toMatchObject({
        problem: { code: 'notAnArchive', message: expect.stringContaining(message) },
      });
    }
  });

  it('with a line that never ends is refused when it is longer than any may be', async () => {
    const line = async function* (): AsyncGenerator<Buffer> {
      for (;;) yield Buffer.alloc(65_536, 'x');
    };
    await expect(linesIn(line(), 1_000_000).next()).rejects.toThrow(LineTooLong);
    const lines: string[] = [];
    const parts = ['a\r', '\nü', '\n\nlast'].map((text) => Buffer.from(text));
    const ends: number[] = [];
    for await (const whole of linesIn(Readable.from(parts), 5)) {
      lines.push(...whole.lines);
      ends.push(whole.bytes);
    }
    expect([lines, ends]).toEqual([
      ['a', 'ü', '', 'last'],
      [3, 7, 11],
    ]);
  });

  it('restored into an empty store gives the same archive again, byte for byte', async () => {
    await fillIn(server.app);
    const archive = await archiveOf(server.app);
    const empty = await anotherOwner();
    const outcome = await restore(empty, archive);
    if (!('done' in outcome)) throw new Error(JSON.stringify(outcome));
    for (const part of ARCHIVE_PARTS) {
      expect(outcome.done[part].added).toBeGreaterThan(0);
      expect(outcome.done[part].alreadyThere).toBe(0);
    }
    expect(Buffer.compare(await archiveOf(empty), archive)).toBe(0);
    // What is worked out beside the log is there too.
    const [rig] = (await request(empty).get('/api/v1/rigs?search=Twite').expect(200)).body.items;
    expect(rig.revision).toBe(2);
    expect((await request(empty).get(`/api/v1/rigs/${rig.id}/log?stretches=3`).expect(200)).body.readings).toBe(300);
    expect((await request(empty).get('/api/v1/tests?archived=true').expect(200)).body.items).toHaveLength(1);
  });

  it('restored twice, or where some of it is, leaves what is there alone', async () => {
    await fillIn(server.app);
    const archive = await archiveOf(server.app);
    const again = await restore(server.app, archive);
    if (!('done' in again)) throw new Error(JSON.stringify(again));
    for (const part of ARCHIVE_PARTS) expect(again.done[part].added).toBe(0);
    expect(Buffer.compare(await archiveOf(server.app), archive)).toBe(0);
  });

  it('of the first version is read, with a tape test as it was written then', async () => {
    const rig = aRig();
    await request(server.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
    const stamp = '2026-05-02T08:00:00.000Z';
    const { details, ...test } = aTest(rig.id, { revision: 4 });
    const { setup, runs, note: _, widthMm: __, ...kept } = details;
    const before = { ...kept, ...setup, wheel: 'frontLeft', readings: runs };
    const row = { ...test, details: before, createdAt: stamp, updatedAt: stamp };
    const archive = await madeOf({
      ...EMPTY,
      'dunlinmoss.json': HEAD.replace('2', '1'),
      'tests.jsonl': `${JSON.stringify({ deletedAt: null, row })}\n`,
    });
    const outcome = await restore(server.app, archive);
    expect('done' in outcome && outcome.done.tests.added).toBe(1);
    const { body } = await request(server.app).get(`/api/v1/tests/${test.id}`).expect(200);
    expect(body).toEqual({ ...test, details, createdAt: stamp, updatedAt: stamp });
  });

  it.each([
    ['no ZIP', Buffer.from('hello'), { code: 'notAnArchive' }],
    ['a ZIP of something else', { 'readme.txt': 'hello' }, { code: 'notAnArchive' }],
    [
      'one of a later version',
      { ...EMPTY, 'dunlinmoss.json': HEAD.replace('2', '9') },
      { code: 'notAnArchive', message: 'It is of another kind or version' },
    ],
    ['a line that is no JSON', { ...EMPTY, 'gauges.jsonl': '{}}\n' }, { code: 'lineRefused', part: 'gauges', line: 1 }],
    [
      'a row that can’t be one, far down',
      { ...EMPTY, 'log.jsonl': `${JSON.stringify({ rigId: 'x' })}\n` },
      { code: 'lineRefused', part: 'log', line: 1 },
    ],
    [
      'one whose part unpacks to far too much',
      { ...EMPTY, 'log.jsonl': '\n'.repeat(8_000_000) },
      { code: 'notAnArchive', message: 'log.jsonl unpacks to far too much' },
    ],
    [
      'a photo that is none',
      {
        ...EMPTY,
        'photos.jsonl': `${JSON.stringify({ id: '0192f000-0000-7000-8000-00000000f001', createdAt: '2026-11-20T06:00:00.000Z' })}\n`,
        'photos/0192f000-0000-7000-8000-00000000f001.jpg': 'hello',
      },
      { code: 'notAnArchive', part: 'photos' },
    ],
  ])('is refused where it is %s, and nothing of it is kept', async (_, given, problem) => {
    const before = await archiveOf(server.app);
    const archive = Buffer.isBuffer(given) ? given : await madeOf(given as Record<string, string>);
    expect(await restore(server.app, archive)).toMatchObject({ problem });
    expect(Buffer.compare(await archiveOf(server.app), before)).toBe(0);
  });

  it('is refused where a row points at one that is missing, or where it was cut off', async () => {
    await fillIn(server.app);
    const archive = await archiveOf(server.app);
    const empty = await anotherOwner();
    expect(await restore(empty, archive.subarray(0, archive.length - 40))).toMatchObject({
      problem: { code: 'notAnArchive' },
    });
    const { body } = await request(server.app).get('/api/v1/outings').expect(200);
    const lost = await madeOf({
      ...EMPTY,
      'outings.jsonl': `${JSON.stringify({ deletedAt: null, row: { ...body.items[0], rigId: randomUUID() } })}\n`,
    });
    expect(await restore(empty, lost)).toMatchObject({ problem: { code: 'missingReference' } });
    expect((await request(empty).get('/api/v1/outings').expect(200)).body.items).toEqual([]);
  });
});
