import { createHash, randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import type { RowDataPacket } from 'mysql2/promise';
import request from 'supertest';

import { deleteForgottenPhotos, keepPhoto, photoBytes, removeUnnamedBytes } from '../src/repositories/photos';
import { bothStores, databaseStore, folderStore } from '../src/store/photoStore';
import { anAiring, anOuting, aPhoto, aRig, aTest, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const put = (path: string, body: { id: string }) => request(server.app).put(`/api/v1/${path}/${body.id}`).send(body);
const photo = async (): Promise<string> => {
  const id = randomUUID();
  await request(server.app).put(`/api/v1/photos/${id}`).set('content-type', 'image/jpeg').send(aPhoto()).expect(204);
  return id;
};
/** A test of a print that names a photo. */
const aPrint = (rigId: string, photoId: string, change = {}) => ({
  ...aTest(rigId),
  kind: 'print',
  details: {
    wheel: 'front left',
    tireMarking: '265/65R17 112T',
    loadRange: 'standard',
    wheelLoadKg: 580,
    widthMm: null,
    gauge: null,
    setup: {},
    runs: [{ pressureKpa: 250, how: 'photo', lengthMm: 150, widthMm: 180, photoId }],
  },
  ...change,
});
const countIn = async (table: string, where: string, value: string): Promise<number> => {
  const [[row]] = await server.pool.query<RowDataPacket[]>(
    `SELECT COUNT(*) AS rows_there FROM ${table} WHERE owner_id = ? AND ${where} = ?`,
    [server.config.ownerId, value],
  );
  return row!.rows_there;
};

describe('deleting for good', () => {
  it('takes only what was archived before, in the state that was seen', async () => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    const path = `/api/v1/rigs/${rig.id}`;
    const refused = await request(server.app).delete(`${path}?revision=1&forever=true`).expect(400);
    expect(refused.body.fields[0].code).toBe('notArchived');
    await request(server.app).delete(`${path}?revision=1`).expect(204);
    await request(server.app).delete(`${path}?revision=1&forever=true`).expect(409);
    await request(server.app).delete(`${path}?revision=2&forever=true`).expect(204);
    await request(server.app).delete(`${path}?revision=2&forever=true`).expect(404);
    await request(server.app).post(`${path}/restore`).expect(404);
  });

  it('takes with a rig all that was done with it, and nothing of another', async () => {
    const [rig, other] = [aRig(), aRig()];
    for (const each of [rig, other]) await put('rigs', each).expect(200);
    const [own, shared, others] = [await photo(), await photo(), await photo()];
    const outing = anOuting(rig.id);
    await put('outings', outing).expect(200);
    await put('tests', aPrint(rig.id, own, { outingId: outing.id })).expect(200);
    await put('tests', aPrint(rig.id, shared)).expect(200);
    await put('tests', aPrint(other.id, shared)).expect(200);
    await put('tests', aPrint(other.id, others)).expect(200);
    await put('airings', anAiring(rig.id, { outingId: outing.id })).expect(200);
    const rows = [{ position: 'front', wheel: 'left', readAt: '2026-11-20T06:00:00.000Z', pressureKpa: 110, tempC: 9 }];
    for (const each of [rig, other])
      await request(server.app).post(`/api/v1/rigs/${each.id}/log`).send({ rows }).expect(200);

    await request(server.app).delete(`/api/v1/rigs/${rig.id}?revision=1`).expect(204);
    await request(server.app).delete(`/api/v1/rigs/${rig.id}?revision=2&forever=true`).expect(204);

    for (const table of ['outings', 'proof_tests', 'airings', 'log_rigs', 'monitor_log_summary', 'rig_axles']) {
      expect([table, await countIn(table, 'rig_id', rig.id)]).toEqual([table, 0]);
    }
    expect(await countIn('proof_tests', 'rig_id', other.id)).toBe(2);
    expect(await countIn('log_rigs', 'rig_id', other.id)).toBe(1);
    // Of the two logs one is left, and no reading without its rig.
    const [[readings]] = await server.pool.query<RowDataPacket[]>(
      'SELECT COUNT(*) AS own, SUM(r.no IS NULL) AS orphans FROM rig_log l LEFT JOIN log_rigs r ON r.no = l.rig WHERE r.owner_id = ? OR r.no IS NULL',
      [server.config.ownerId],
    );
    expect(readings).toMatchObject({ own: 1, orphans: '0' });
    await request(server.app).get(`/api/v1/photos/${own}`).expect(404);
    for (const kept of [shared, others]) await request(server.app).get(`/api/v1/photos/${kept}`).expect(200);
  });

  it('of an outing leaves what was tested on it', async () => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    const outing = anOuting(rig.id);
    await put('outings', outing).expect(200);
    const test = aTest(rig.id, { outingId: outing.id });
    await put('tests', test).expect(200);
    await request(server.app).delete(`/api/v1/outings/${outing.id}?revision=1`).expect(204);
    await request(server.app).delete(`/api/v1/outings/${outing.id}?revision=2&forever=true`).expect(204);
    const { body } = await request(server.app).get(`/api/v1/tests/${test.id}`).expect(200);
    expect(body.outingId).toBeNull();
  });
});

describe('photos that no test names', () => {
  it('are deleted after a month, and no others', async () => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    const [forgotten, named, young] = [await photo(), await photo(), await photo()];
    await put('tests', aPrint(rig.id, named)).expect(200);
    await server.pool.query('UPDATE proof_photos SET created_at = NOW(3) - INTERVAL 31 DAY WHERE id IN (?)', [
      [forgotten, named],
    ]);
    await deleteForgottenPhotos(server.pool);
    await request(server.app).get(`/api/v1/photos/${forgotten}`).expect(404);
    for (const kept of [named, young]) await request(server.app).get(`/api/v1/photos/${kept}`).expect(200);
  });
});

describe('what is in photos', () => {
  it('is kept once for all who have the same, for as long as somebody names it, and in a folder as in the database', async () => {
    const shelf = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-photos-'));
    const { pool, config } = server;
    const stranger = randomUUID();
    await pool.query('INSERT INTO owners (id) VALUES (?)', [stranger]);
    for (const store of [databaseStore(pool), bothStores(folderStore(shelf), databaseStore(pool))]) {
      const bytes = Buffer.from(`a picture ${randomUUID()}`);
      const [mine, theirs] = [randomUUID(), randomUUID()];
      const createdAt = new Date();
      await keepPhoto(pool, store, config.ownerId, { id: mine, bytes, createdAt });
      await keepPhoto(pool, store, stranger, { id: theirs, bytes, createdAt });
      const hash = createHash('sha256').update(bytes).digest();
      const [rows] = await pool.query<RowDataPacket[]>('SELECT 1 FROM proof_photos WHERE hash = ?', [hash]);
      expect(rows).toHaveLength(2);
      const later = new Date(Date.now() + 48 * 3_600_000);
      const letGo = (ownerId: string, id: string) =>
        pool.query('DELETE FROM proof_photos WHERE owner_id = ? AND id = ?', [ownerId, id]);
      await letGo(config.ownerId, mine);
      await removeUnnamedBytes(pool, store, later);
      expect(await photoBytes(pool, store, config.ownerId, mine)).toBeNull();
      expect(await photoBytes(pool, store, stranger, theirs)).toEqual(bytes);
      await letGo(stranger, theirs);
      // Named by nobody, but perhaps by a row that is just being written.
      await removeUnnamedBytes(pool, store);
      expect(await store.get(hash)).toEqual(bytes);
      await removeUnnamedBytes(pool, store, later);
      expect(await store.get(hash)).toBeNull();
    }
    rmSync(shelf, { recursive: true, force: true });
  });
});

describe('an id', () => {
  it('in capitals is the same row', async () => {
    const rig = aRig();
    await put('rigs', rig).expect(200);
    const upper = rig.id.toUpperCase();
    const { body } = await request(server.app)
      .put(`/api/v1/rigs/${upper}`)
      .send({ ...rig, id: upper, revision: 1, name: 'Twite' })
      .expect(200);
    expect(body).toMatchObject({ id: rig.id, revision: 2, name: 'Twite' });
    expect(await countIn('rigs', 'name', 'Twite')).toBe(1);
    await request(server.app).get(`/api/v1/rigs/${upper}`).expect(200);
  });
});
