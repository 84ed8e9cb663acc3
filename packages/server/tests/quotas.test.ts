import { randomUUID } from 'node:crypto';

import type { RowDataPacket } from 'mysql2/promise';
import request from 'supertest';

import { MOST_PHOTOS, MOST_ROWS, SpaceFull } from '../src/limits';
import { keepPhoto } from '../src/repositories/photos';
import { databaseStore } from '../src/store/photoStore';
import { testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const aGauge = (id: string = randomUUID()) => ({
  ...{ id, revision: 0, name: 'Dial', fromKpa: 0, fullScaleKpa: 400, gradePercent: null, comparisons: [] },
});
const put = (gauge: ReturnType<typeof aGauge>, app = server.app) =>
  request(app).put(`/api/v1/gauges/${gauge.id}`).send(gauge);

it('a space that is full takes no row more, keeps what it has, and takes no room of another', async () => {
  const { pool, config } = server;
  const last = aGauge();
  await put(last).expect(200);
  // All but one of what it may have, by the database itself: through the door it would take minutes.
  await pool.query(
    `INSERT INTO gauges (owner_id, id, revision, name, from_kpa, full_scale_kpa, created_at, updated_at)
     SELECT ?, UUID(), 1, CONCAT('Gauge ', seq), 0, 400, NOW(3), NOW(3) FROM seq_1_to_${MOST_ROWS - 1}`,
    [config.ownerId],
  );
  const refused = await put(aGauge()).expect(409);
  expect(refused.body).toMatchObject({ code: 'tooMany' });
  const [[count]] = await pool.query<RowDataPacket[]>('SELECT COUNT(*) many FROM gauges WHERE owner_id = ?', [
    config.ownerId,
  ]);
  expect(count).toEqual({ many: MOST_ROWS });
  // What is there can still be changed, and a file with one more is refused whole.
  await put({ ...last, revision: 1, name: 'Dial, checked' }).expect(200);

  const other = randomUUID();
  await pool.query('INSERT INTO owners (id) VALUES (?)', [other]);
  await put(aGauge(), server.as(other)).expect(200);
});

it('a space that is full of photos takes no photo more', async () => {
  const { pool, config } = server;
  const keep = () =>
    keepPhoto(pool, databaseStore(pool), config.ownerId, {
      id: randomUUID(),
      bytes: Buffer.of(1),
      createdAt: new Date(),
    });
  await keep();
  await pool.query(
    `INSERT INTO proof_photos (owner_id, id, hash, created_at) SELECT ?, UUID(), UNHEX(SHA2('x', 256)), NOW(3) FROM seq_1_to_${MOST_PHOTOS - 1}`,
    [config.ownerId],
  );
  await expect(keep()).rejects.toBeInstanceOf(SpaceFull);
  const [[count]] = await pool.query<RowDataPacket[]>('SELECT COUNT(*) many FROM proof_photos WHERE owner_id = ?', [
    config.ownerId,
  ]);
  expect(count).toEqual({ many: MOST_PHOTOS });
});
