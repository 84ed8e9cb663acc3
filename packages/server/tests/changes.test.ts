import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import {
  RESOURCE_NAMES,
  REVISIONS_OF_AN_EPOCH,
  type Change,
  type Changes,
  type ResourceName,
  type Rig,
} from '@dunlinmoss/contract';
import type { RowDataPacket } from 'mysql2/promise';
import request from 'supertest';

import { beginEpoch } from '../src/db/epoch';
import { inTransaction } from '../src/db/pool';
import { aComparison, aDayRoute, anAiring, anOuting, aRig, aTest, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeEach(async () => {
  server = await testServer();
});
afterEach(() => server.pool.end());

const put = async (path: string, body: { id: string }): Promise<{ id: string; revision: number }> =>
  (await request(server.app).put(`/api/v1/${path}/${body.id}`).send(body).expect(200)).body;

/** A device: what it has, by what it was told. */
class Device {
  readonly rows = new Map<string, NonNullable<Change['row']>>();
  mark: string | undefined;
  pages = 0;
  startsOver = false;
  setBack: Changes['setBack'] = null;

  constructor(
    readonly limit = 200,
    readonly of = server,
  ) {}

  async look(): Promise<Change[]> {
    const seen: Change[] = [];
    for (let more = true; more; this.pages += 1) {
      const query = { limit: this.limit, ...(this.mark !== undefined && { after: this.mark }) };
      const { body }: { body: Changes } = await request(this.of.app).get('/api/v1/changes').query(query).expect(200);
      this.startsOver = body.startsOver;
      if (body.startsOver) {
        this.setBack = body.setBack;
        this.rows.clear();
      }
      for (const change of body.items) {
        const key = `${change.kind}/${change.id}`;
        if (change.row) this.rows.set(key, change.row);
        else this.rows.delete(key);
      }
      seen.push(...body.items);
      ({ more, next: this.mark } = body);
    }
    return seen;
  }

  get keys(): string[] {
    return [...this.rows.keys()].sort();
  }
}

/** Everything that its lists have, page by page. */
async function lists(): Promise<string[]> {
  const keys: string[] = [];
  for (const kind of RESOURCE_NAMES) {
    let after: string | null = '';
    while (after !== null) {
      const query: Record<string, string> = { limit: '100', ...(after !== '' && { after }) };
      const { body } = await request(server.app).get(`/api/v1/${kind}`).query(query).expect(200);
      keys.push(...body.items.map(({ id }: { id: string }) => `${kind}/${id}`));
      after = body.next;
    }
  }
  return keys.sort();
}

const demo = async (): Promise<void> => {
  const file = JSON.parse(readFileSync(path.resolve(__dirname, '../../../demo/ravelsey.json'), 'utf8'));
  await request(server.app).post('/api/v1/import').send(file).expect(200);
};

describe('GET /changes', () => {
  it('gives everything there is, in pages of any size, and says how much that is', async () => {
    await demo();
    const all = await lists();
    for (const limit of [1, 7, 500]) {
      const device = new Device(limit);
      await device.look();
      expect(device.keys).toEqual(all);
    }
    const { body } = await request(server.app).get('/api/v1/changes').query({ limit: 3 }).expect(200);
    expect(body).toMatchObject({ startsOver: true, more: true, total: all.length });
  });

  it('gives a row as its own address gives it', async () => {
    const rig = aRig();
    await put('rigs', rig);
    await put('outings', anOuting(rig.id));
    await put('comparisons', aComparison(rig.id));
    await put('routes', aDayRoute(rig.id));
    const device = new Device();
    await device.look();
    for (const [key, row] of device.rows) {
      expect(row).toEqual((await request(server.app).get(`/api/v1/${key}`).expect(200)).body);
    }
    expect(device.rows.size).toBe(4);
  });

  it('then gives what changed: saved, archived, brought back, deleted for good', async () => {
    const [kept, gone] = [aRig({ name: 'Kept' }), aRig({ name: 'Gone' })];
    for (const rig of [kept, gone]) await put('rigs', rig);
    const test = aTest(gone.id);
    await put('tests', test);
    const device = new Device(2);
    await device.look();
    expect(device.keys).toEqual([`rigs/${gone.id}`, `rigs/${kept.id}`, `tests/${test.id}`].sort());

    await put('rigs', { ...kept, revision: 1, name: 'Renamed' } as never);
    await request(server.app).delete(`/api/v1/rigs/${gone.id}`).query({ revision: 1 }).expect(204);
    await device.look();
    expect(device.startsOver).toBe(false);
    expect(device.rows.get(`rigs/${kept.id}`)).toMatchObject({ name: 'Renamed', revision: 2 });
    expect(device.rows.has(`rigs/${gone.id}`)).toBe(false);

    await request(server.app).post(`/api/v1/rigs/${gone.id}/restore`).expect(200);
    await device.look();
    expect(device.rows.get(`rigs/${gone.id}`)).toMatchObject({ revision: 3 });

    // Away while it is archived and deleted.
    await request(server.app).delete(`/api/v1/rigs/${gone.id}`).query({ revision: 3 }).expect(204);
    await request(server.app).delete(`/api/v1/rigs/${gone.id}`).query({ revision: 4, forever: true }).expect(204);
    const told = await device.look();
    expect(told).toContainEqual({ kind: 'rigs', id: gone.id, row: null });
    // With all that was done with it.
    expect(told).toContainEqual({ kind: 'tests', id: test.id, row: null });
    expect(device.keys).toEqual([`rigs/${kept.id}`]);
  });

  it('tells of rows that came back from an archive with the times they once had', async () => {
    const rig = aRig();
    await put('rigs', rig);
    const device = new Device();
    await device.look();
    // As an archive writes them.
    await server.pool.query(
      "INSERT INTO rigs (owner_id, id, revision, family, name, created_at, updated_at) VALUES (?, ?, 4, 'fourWheel', 'Old', '2020-01-01', '2020-01-01')",
      [server.config.ownerId, randomUUID()],
    );
    await device.look();
    expect([...device.rows.values()]).toContainEqual(expect.objectContaining({ name: 'Old', revision: 4 }));
  });

  it('misses nothing of a transaction that was long under way when it asked', async () => {
    const device = new Device();
    const rig = aRig();
    let asked = false;
    await inTransaction(server.pool, async (connection) => {
      await connection.query(
        "INSERT INTO rigs (owner_id, id, revision, family, name, created_at, updated_at, changed_at) VALUES (?, ?, 1, 'fourWheel', 'Slow', NOW(3), NOW(3), NOW(3) - INTERVAL 1 HOUR)",
        [server.config.ownerId, rig.id],
      );
      await device.look();
      asked = device.rows.size === 0;
      await sleep(2_100);
      // As though it had begun an hour ago.
      await connection.query('INSERT INTO late_changes (since, until) VALUES (NOW(3) - INTERVAL 61 MINUTE, NOW(3))');
    });
    expect(asked).toBe(true);
    await device.look();
    expect(device.keys).toEqual([`rigs/${rig.id}`]);
    // A transaction of over two seconds notes that by itself.
    const [[noted]] = await server.pool.query<RowDataPacket[]>(
      'SELECT COUNT(*) AS many FROM late_changes WHERE TIMESTAMPDIFF(MICROSECOND, since, until) BETWEEN 2e6 AND 60e6',
    );
    expect(noted!.many).toBeGreaterThan(0);
  });

  it('loses nothing while many save', async () => {
    const rig = aRig();
    await put('rigs', rig);
    const device = new Device(5);
    const paths: readonly [ResourceName, () => { id: string }][] = [
      ['outings', () => anOuting(rig.id)],
      ['tests', () => aTest(rig.id)],
      ['airings', () => anAiring(rig.id)],
    ];
    let saving = true;
    const looks = (async () => {
      while (saving) await device.look();
    })();
    for (let round = 0; round < 12; round += 1) {
      await Promise.all(paths.map(([path, make]) => put(path, make())));
    }
    saving = false;
    await looks;
    await device.look();
    expect(device.keys).toEqual(await lists());
  });

  it('starts over where a mark is not of this database, and shows nothing of another owner', async () => {
    await put('rigs', aRig());
    const device = new Device();
    await device.look();
    await server.pool.query('UPDATE lineage SET epoch = ?', [randomUUID()]);
    await device.look();
    expect(device.rows.size).toBe(1);
    const again = new Device();
    again.mark = 'nonsense';
    await again.look();
    expect(again.rows.size).toBe(1);
    const other = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [other]);
    const { body } = await request(server.as(other)).get('/api/v1/changes').query({ after: device.mark! }).expect(200);
    expect(body.items).toEqual([]);
  });

  describe('after a backup was restored', () => {
    let own: TestServer;
    beforeEach(async () => {
      own = await testServer('dunlinmoss_set_back');
    });
    afterEach(async () => {
      await own.pool.query('DROP DATABASE dunlinmoss_set_back');
      await own.pool.query('CREATE DATABASE dunlinmoss_set_back');
      await own.pool.end();
    });
    const save = (body: Rig) => request(own.app).put(`/api/v1/rigs/${body.id}`).send(body);
    /** As a restore leaves it. */
    const leaveEpoch = (how: string): Promise<unknown> => own.pool.query(how);

    it('a device is told from when the store is; revisions of the time that was lost match nothing', async () => {
      const rig = aRig({ name: 'As in the backup' });
      const { body: inBackup } = await save(rig).expect(200);
      const device = new Device(200, own);
      await device.look();
      const madeAt = Date.now();
      // The row stays as it is; what was saved after the backup is in the device alone.
      await leaveEpoch('UPDATE lineage SET epoch = NULL');
      await beginEpoch(own.pool);
      const { body: refused } = await save({ ...rig, name: 'Over what nobody saw', revision: 1 }).expect(409);
      expect(refused).toMatchObject({ code: 'staleRevision', present: { name: 'As in the backup' } });
      await request(own.app).delete(`/api/v1/rigs/${rig.id}?revision=1`).expect(409);
      await device.look();
      expect(device.startsOver).toBe(true);
      const { to, knew, sameStore } = device.setBack!;
      expect(sameStore).toBe(true);
      expect(Date.parse(to!)).toBeLessThan(madeAt + 1_000);
      expect(Date.parse(knew)).toBeGreaterThanOrEqual(Date.parse(to!));
      const { revision } = device.rows.get(`rigs/${rig.id}`)!;
      expect(revision).toBe(inBackup.revision + REVISIONS_OF_AN_EPOCH);
      const { body: history } = await request(own.app).get(`/api/v1/rigs/${rig.id}/history`).expect(200);
      expect(history.items.map((each: { revision: number }) => each.revision)).toEqual([revision]);
      await save({ ...rig, name: 'Seen', revision }).expect(200);
      await beginEpoch(own.pool);
      await device.look();
      expect([device.startsOver, device.rows.get(`rigs/${rig.id}`)]).toMatchObject([false, { name: 'Seen' }]);
    });

    it('another store in its place is told as one, and a device that never had everything is told nothing', async () => {
      await save(aRig()).expect(200);
      const [device, fresh] = [new Device(200, own), new Device(200, own)];
      await device.look();
      const { body } = await request(own.app).get('/api/v1/changes').query({ limit: 1 }).expect(200);
      fresh.mark = body.next;
      await leaveEpoch('DELETE FROM lineage');
      await beginEpoch(own.pool);
      await device.look();
      expect(device.setBack).toMatchObject({ sameStore: false });
      await fresh.look();
      expect([fresh.startsOver, fresh.setBack]).toEqual([true, null]);
    });
  });

  it('goes along an index, whatever the kind: one that is added has it too', async () => {
    const [kinds] = await server.pool.query<RowDataPacket[]>(
      "SELECT table_name AS name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = 'deleted_at'",
    );
    expect(kinds).toHaveLength(RESOURCE_NAMES.length);
    for (const { name } of kinds) {
      const [[plan]] = await server.pool.query<RowDataPacket[]>(
        `EXPLAIN SELECT id FROM ${name} FORCE INDEX (${name}_changed) WHERE owner_id = ? AND (changed_at > NOW(3) OR (changed_at = NOW(3) AND id > '')) ORDER BY changed_at, id LIMIT 10`,
        [server.config.ownerId],
      );
      expect(plan!.key).toBe(`${name}_changed`);
    }
  });
});
