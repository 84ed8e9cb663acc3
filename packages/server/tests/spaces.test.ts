import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';

import { REVISIONS_OF_AN_EPOCH } from '@dunlinmoss/contract';
import type { Pool, RowDataPacket } from 'mysql2/promise';
import request from 'supertest';

import { backupOf, lookThrough, removeCrew, restoreCrew } from '../src/space/backup';
import { everySpaceTable } from '../src/repositories/spaceTables';
import { databaseStore, folderStore } from '../src/store/photoStore';
import {
  aComparison,
  aDayRoute,
  anAiring,
  anOuting,
  aPhoto,
  aRig,
  aTest,
  testServer,
  type TestServer,
} from './testServer';

let server: TestServer;
let other: TestServer;
let folder: string;
beforeAll(async () => {
  server = await testServer();
  other = await testServer('dunlinmoss_moved');
  folder = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-crews-'));
});
afterAll(async () => {
  await server.pool.end();
  await other.pool.end();
  rmSync(folder, { recursive: true, force: true });
});

/** Tables that are of no space, each with what it is. */
const OF_NO_SPACE: Readonly<Record<string, string>> = {
  owners: 'the spaces themselves',
  people: 'a person is in several',
  sessions: 'of a person',
  passkeys: 'of a person',
  passkey_challenges: 'of the moment',
  recovery_codes: 'of a person',
  crews: 'named by its own id',
  crew_members: 'named by the id of the crew',
  invitations: 'found by what is in the link',
  sign_in: 'of the installation',
  wrong_tries: 'of the installation',
  late_changes: 'of the installation',
  lineage: 'of the installation',
  leases: 'of the installation',
  migrations: 'of the installation',
  migration_steps: 'of the installation',
  rig_log: 'by the number of a rig, which log_rigs gives to a space',
  kept_bytes: 'by what is in them: their rows say whose they are',
};
/** Keys that do not begin with the space, each with what it is for. */
const WITHOUT_SPACE: Readonly<Record<string, string>> = {
  'log_rigs.PRIMARY': 'the number that the log goes by',
  'proof_photos.proof_photos_hash': 'whether anybody still names some bytes',
  'jobs.jobs_left': 'what is left to do, of any space',
  'jobs.jobs_old': 'what nobody came back to, of any space',
};

describe('a space', () => {
  it('is the beginning of every key of everything that is in one', async () => {
    const [keys] = await server.pool.query<RowDataPacket[]>(
      `SELECT s.table_name AS own, s.index_name AS named, s.column_name AS begins FROM information_schema.statistics s
       JOIN information_schema.tables t ON t.table_schema = s.table_schema AND t.table_name = s.table_name
       WHERE s.table_schema = DATABASE() AND s.seq_in_index = 1 AND t.table_type = 'BASE TABLE'`,
    );
    const ofSpaces = new Set((await everySpaceTable(server.pool)).map(({ table }) => table));
    const all = new Set(keys.map(({ own }) => own));
    // Left by another test that takes months apart.
    all.delete('rig_log_gone');
    expect([...all].filter((table) => !ofSpaces.has(table)).sort()).toEqual(Object.keys(OF_NO_SPACE).sort());
    const others = keys.filter(({ own, begins }) => ofSpaces.has(own) && begins !== 'owner_id');
    expect(others.map(({ own, named }) => `${own}.${named}`).sort()).toEqual(Object.keys(WITHOUT_SPACE).sort());
  });
});

const store = (): ReturnType<typeof databaseStore> => databaseStore(server.pool);
let seen = 0;
const nameOf = (letter: string): string => `${letter}${[...randomUUID().replace(/[^a-f]/g, '')].slice(0, 9).join('')}`;

/** A person and a crew of theirs, with everything that can be in one; nothing goes through people's sign-in. */
async function filledCrew(): Promise<{ readonly crewId: string; readonly owner: string; readonly rigId: string }> {
  const [crewId, owner, viewer] = [randomUUID(), randomUUID(), randomUUID()];
  await server.pool.query('INSERT INTO owners (id, log_months) VALUES ?', [
    [
      [crewId, 120],
      [owner, null],
      [viewer, null],
    ],
  ]);
  seen += 1;
  for (const [id, letter] of [
    [owner, 'o'],
    [viewer, 'v'],
  ] as const) {
    const name = nameOf(letter);
    await server.pool.query('INSERT INTO people (id, name, name_key, pass_hash) VALUES (?, ?, ?, ?)', [
      id,
      name,
      name,
      'x',
    ]);
  }
  await server.pool.query('INSERT INTO crews (id, name) VALUES (?, ?)', [crewId, `Sluice ${seen}`]);
  await server.pool.query('INSERT INTO crew_members (crew_id, person_id, role) VALUES ?', [
    [
      [crewId, owner, 'own'],
      [crewId, viewer, 'viewer'],
    ],
  ]);
  const app = server.as(crewId);
  const put = (route: string, body: { readonly id: string }) =>
    request(app).put(`/api/v1/${route}/${body.id}`).send(body).expect(200);
  const demo = readFileSync(path.resolve(__dirname, '../../../demo/ravelsey.json'), 'utf8');
  await request(app).post('/api/v1/import').set('content-type', 'application/json').send(demo).expect(200);
  const rig = aRig({ name: 'Ünder “hedge” 🛞\\n', hitchMm: 0.1 + 0.2, beadFloorKpa: 100 / 3 });
  await put('rigs', rig);
  await put('rigs', { ...rig, revision: 1, name: 'Twite' } as typeof rig);
  const outing = anOuting(rig.id);
  await put('outings', outing);
  const photo = randomUUID();
  await request(app).put(`/api/v1/photos/${photo}`).set('content-type', 'image/jpeg').send(aPhoto()).expect(204);
  const aside = aTest(rig.id);
  await put('tests', aside);
  await request(app).delete(`/api/v1/tests/${aside.id}?revision=1`).expect(204);
  await put('airings', anAiring(rig.id));
  await put('comparisons', aComparison(rig.id));
  await put('routes', aDayRoute(rig.id));
  const gone = aTest(rig.id);
  await put('tests', gone);
  await request(app).delete(`/api/v1/tests/${gone.id}?revision=1`).expect(204);
  await request(app).delete(`/api/v1/tests/${gone.id}?revision=2&forever=true`).expect(204);
  const rows = Array.from({ length: 300 }, (_, minute) => ({
    position: minute % 2 === 0 ? 'front' : 'rear',
    wheel: 'left',
    readAt: new Date(Date.parse('2026-11-20T06:00:00.123Z') + minute * 60_000).toISOString(),
    pressureKpa: 110 + minute / 10,
    tempC: minute % 3 === 0 ? null : 12.5,
  }));
  await request(app).post(`/api/v1/rigs/${rig.id}/log`).send({ rows }).expect(200);
  const devices = { seed: 1, ambientC: 12, altitudeM: 0, driving: false, since: rows[0]!.readAt };
  const wheels = [{ position: 'front', wheel: 'left', volumeL: 60, coldKpa: 100 / 3 }];
  await request(app)
    .put(`/api/v1/devices/rigs/${rig.id}`)
    .send({ ...devices, wheels })
    .expect(200);
  const faults = [{ position: 'front', wheel: 'left', kind: 'silent', since: rows[0]!.readAt }];
  await request(app).put(`/api/v1/devices/rigs/${rig.id}/faults`).send({ faults }).expect(200);
  return { crewId, owner, rigId: rig.id };
}

async function linesOf({ config }: TestServer, crewId: string): Promise<string[]> {
  const lines: string[] = [];
  for await (const line of backupOf(
    config.database,
    config === server.config ? store() : databaseStore(other.pool),
    crewId,
  )) {
    lines.push(line);
  }
  return lines;
}
async function fileOf(crewId: string): Promise<string> {
  const file = path.join(folder, `${randomUUID()}.crew.gz`);
  writeFileSync(file, gzipSync((await linesOf(server, crewId)).join('')));
  return file;
}
/** The same without what a restore renews: revisions, and with them the time of the last change. */
function withoutEpoch(lines: readonly string[]): readonly unknown[] {
  let columns: readonly string[] = [];
  const renewed = new Set(['revision', 'changed_at']);
  return lines.slice(0, -1).map((line) => {
    const value = JSON.parse(line) as { columns?: string[]; rows?: unknown[][] };
    columns = value.columns ?? columns;
    return value.rows ? value.rows.map((row) => row.filter((_, index) => !renewed.has(columns[index]!))) : value;
  });
}
/** Who has the same, but for who is in it: the first line says that too. */
const inner = (lines: readonly string[]): readonly unknown[] => withoutEpoch(lines).slice(1);

/** How many rows of a space there are in every table, by its key or by its number. */
async function rowsLeft(pool: Pool, crewId: string): Promise<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const { table } of await everySpaceTable(pool)) {
    const [[row]] = await pool.query<RowDataPacket[]>(`SELECT COUNT(*) many FROM ${table} WHERE owner_id = ?`, [
      crewId,
    ]);
    if (row!.many > 0) counts[table] = row!.many;
  }
  return counts;
}

describe('a crew by itself', () => {
  it('is moved to another database with all that is in it, and is gone here', async () => {
    const { crewId, rigId } = await filledCrew();
    const before = await linesOf(server, crewId);
    // Everything that a crew can have is in it: a table that nobody filled here would show nothing.
    const tables = before.flatMap((line, index) => {
      const value = JSON.parse(line) as { table?: string };
      return value.table !== undefined && !before[index + 1]!.startsWith('{"rows"') ? [value.table] : [];
    });
    expect(tables).toEqual([]);
    const file = await fileOf(crewId);
    const into = databaseStore(other.pool);
    const restore = (owner?: string) =>
      restoreCrew(other.config.database, other.pool, into, file, { owner, replace: false });
    await expect(restore()).rejects.toThrow('--owner NAME');
    await expect(restore('Nobody')).rejects.toThrow('Nobody here is called “Nobody”');
    expect(await rowsLeft(other.pool, crewId)).toEqual({});
    const id = randomUUID();
    const name = nameOf('w');
    await other.pool.query('INSERT INTO owners (id) VALUES (?)', [id]);
    await other.pool.query('INSERT INTO people (id, name, name_key, pass_hash) VALUES (?, ?, ?, ?)', [
      id,
      name,
      name,
      'x',
    ]);
    expect((await restore(name)).notHere).toHaveLength(2);
    await expect(restore(name)).rejects.toThrow('is here already');
    expect(inner(await linesOf(other, crewId))).toEqual(inner(before));
    // It is read there as it was here.
    const log = (app: TestServer['app']) => request(app).get(`/api/v1/rigs/${rigId}/log?stretches=5`).expect(200);
    expect((await log(other.as(crewId))).body).toEqual((await log(server.as(crewId))).body);
    expect((await log(other.as(crewId))).body.readings).toBe(300);

    await removeCrew(server.config.database, server.pool, store(), crewId, file);
    expect(await rowsLeft(server.pool, crewId)).toEqual({});
    await expect(linesOf(server, crewId)).rejects.toThrow('There is no crew');
  });

  it('is not taken away where the file does not have all of it', async () => {
    const { crewId, rigId } = await filledCrew();
    const file = await fileOf(crewId);
    const row = {
      position: 'front',
      wheel: 'right',
      readAt: '2026-11-21T06:00:00.000Z',
      pressureKpa: 110,
      tempC: null,
    };
    await request(server.as(crewId))
      .post(`/api/v1/rigs/${rigId}/log`)
      .send({ rows: [row] })
      .expect(200);
    const remove = removeCrew(server.config.database, server.pool, store(), crewId, file);
    await expect(remove).rejects.toThrow('has changed since');
    expect((await rowsLeft(server.pool, crewId)).rigs).toBe(12);
  });

  it('comes back as it was in place of what it is now, and devices begin anew', async () => {
    const { crewId, rigId } = await filledCrew();
    const app = server.as(crewId);
    const file = await fileOf(crewId);
    const lines = await linesOf(server, crewId);
    const changes = async (after?: string) =>
      (
        await request(app)
          .get(`/api/v1/changes${after === undefined ? '' : `?after=${after}`}`)
          .expect(200)
      ).body;
    const { next } = await changes();
    expect((await changes(next)).startsOver).toBe(false);
    const now = (await request(app).get(`/api/v1/rigs/${rigId}`).expect(200)).body;
    await request(app).delete(`/api/v1/rigs/${rigId}?revision=${now.revision}`).expect(204);
    await request(app)
      .delete(`/api/v1/rigs/${rigId}?revision=${now.revision + 1}&forever=true`)
      .expect(204);
    const { notHere } = await restoreCrew(server.config.database, server.pool, store(), file, { replace: true });
    expect(notHere).toEqual([]);
    expect(withoutEpoch(await linesOf(server, crewId))).toEqual(withoutEpoch(lines));
    const anew = await changes(next);
    expect(anew).toMatchObject({ startsOver: true, setBack: { sameStore: true } });
    expect(anew.items.find(({ id }: { id: string }) => id === rigId).row.revision).toBe(
      now.revision + REVISIONS_OF_AN_EPOCH,
    );
    expect(anew.items.map(({ id }: { id: string }) => id)).toContain(rigId);
  });

  it('that is set back keeps its people as they are: who was let go stays out, nobody is raised', async () => {
    const { crewId, owner } = await filledCrew();
    const [members] = await server.pool.query<RowDataPacket[]>(
      'SELECT person_id AS id FROM crew_members WHERE crew_id = ? AND person_id <> ?',
      [crewId, owner],
    );
    const gone = members[0]!.id;
    const file = await fileOf(crewId);
    const joined = randomUUID();
    await server.pool.query('DELETE FROM crew_members WHERE crew_id = ? AND person_id = ?', [crewId, gone]);
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [joined]);
    const name = nameOf('j');
    await server.pool.query('INSERT INTO people (id, name, name_key, pass_hash) VALUES (?)', [
      [joined, name, name, 'x'],
    ]);
    await server.pool.query('INSERT INTO crew_members (crew_id, person_id, role) VALUES (?)', [
      [crewId, joined, 'member'],
    ]);
    const { notHere, letGo } = await restoreCrew(server.config.database, server.pool, store(), file, { replace: true });
    expect([notHere, letGo.length]).toEqual([[], 1]);
    const [after] = await server.pool.query<RowDataPacket[]>(
      'SELECT person_id AS id, role FROM crew_members WHERE crew_id = ? ORDER BY role',
      [crewId],
    );
    expect(after.map(({ id, role }) => [id, role]).sort()).toEqual(
      [
        [joined, 'member'],
        [owner, 'own'],
      ].sort(),
    );
  });

  it('is refused where its file is cut off, changed, or of other tables', async () => {
    const { crewId } = await filledCrew();
    const file = await fileOf(crewId);
    const text = gunzipSync(readFileSync(file)).toString('utf8');
    const of = (change: string): string => {
      const changed = path.join(folder, `${randomUUID()}.crew.gz`);
      writeFileSync(changed, gzipSync(change));
      return changed;
    };
    await expect(lookThrough(of(text.replace('Twite', 'Knots')))).rejects.toThrow('was changed');
    await expect(lookThrough(of(text.split('\n').slice(0, -2).join('\n')))).rejects.toThrow('is cut off');
    await expect(lookThrough(of('hello'))).rejects.toThrow('is no backup');
    const half = path.join(folder, 'half.crew.gz');
    writeFileSync(half, readFileSync(file).subarray(0, 900));
    await expect(lookThrough(half)).rejects.toThrow('can’t be unpacked'.replace('’', "'"));
    const [head] = text.split('\n') as [string];
    const older = JSON.parse(head) as { migration: string };
    await other.pool.query("INSERT INTO migrations (name, hash) VALUES ('9999_later.sql', '')");
    try {
      await expect(
        restoreCrew(other.config.database, other.pool, databaseStore(other.pool), file, { replace: false }),
      ).rejects.toThrow(`The file is of tables as of ${older.migration}`);
    } finally {
      await other.pool.query("DELETE FROM migrations WHERE name = '9999_later.sql'");
    }
  });
});

describe('where photos lie', () => {
  it('keeps the same picture once, in a folder as in the database, and lets go of what nobody names', async () => {
    const shelf = mkdtempSync(path.join(folder, 'photos-'));
    for (const each of [folderStore(shelf), store()]) {
      const bytes = Buffer.from(`a picture ${randomUUID()}`);
      const hash = await each.put(bytes);
      expect(await each.put(bytes)).toEqual(hash);
      expect(await each.get(hash)).toEqual(bytes);
      const old = async (at: Date): Promise<string[]> => {
        const found: string[] = [];
        for await (const hashes of each.keptBefore(at)) found.push(...hashes.map((one) => one.toString('hex')));
        return found;
      };
      const [before, after] = [new Date(Date.now() - 60_000), new Date(Date.now() + 60_000)];
      expect(await old(before)).not.toContain(hash.toString('hex'));
      expect(await old(after)).toContain(hash.toString('hex'));
      // Kept again since: it stays.
      await each.remove(hash, before);
      expect(await each.get(hash)).toEqual(bytes);
      await each.remove(hash, after);
      expect(await each.get(hash)).toBeNull();
    }
  });
});
