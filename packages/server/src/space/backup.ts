import { createHash, randomUUID, type Hash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';

import { nameKey } from '@dunlinmoss/contract';
import mysql, { type Connection, type Pool, type RowDataPacket } from 'mysql2/promise';
import { z } from 'zod';

import { linesIn, LineTooLong } from '../archive/lines';
import type { DatabaseConfig } from '../config';
import { leaveEpoch } from '../db/epoch';
import { inTransaction } from '../db/pool';
import { eraseCrewWithin } from '../people/people';
import { makeLogNumber } from '../repositories/logRigs';
import type { PhotoStore } from '../store/photoStore';
import { keptTables } from '../repositories/spaceTables';

/*
 * A crew as one file, with everything in it as it lies in the tables: one JSON value a line. First what it is, then the bytes
 * of its photos, its rows table by table, its log, and last what all of that adds up to.
 */

const head = z.strictObject({
  format: z.literal('dunlinmoss-crew'),
  /** The newest change of the tables: it goes back into a database of the same make. */
  migration: z.string(),
  crew: z.strictObject({
    id: z.uuid(),
    name: z.string(),
    createdAt: z.string(),
    logMonths: z.int().nullable(),
    members: z.array(
      z.strictObject({ id: z.uuid(), name: z.string(), role: z.enum(['own', 'lead', 'member', 'viewer']) }),
    ),
  }),
});
type Head = z.infer<typeof head>;
const line = z.union([
  z.strictObject({ photo: z.string() }),
  z.strictObject({ table: z.string(), columns: z.array(z.string()) }),
  z.strictObject({ rows: z.array(z.array(z.unknown())) }),
  z.strictObject({ log: z.uuid(), readings: z.array(z.array(z.unknown())) }),
  z.strictObject({ end: z.string() }),
]);
type Line = z.infer<typeof line>;

/** What is wrong with what was asked, in words. */
export class CrewProblem extends Error {}

const ROWS_AT_ONCE = 500;
const READINGS_AT_ONCE = 5_000;
const LOG_COLUMNS = 'wheel, read_at, tenths_kpa, tenths_c, source';

/** A connection whose values come as they are written: dates as text, JSON too. */
export const plainConnection = (config: DatabaseConfig): Promise<Connection> =>
  mysql.createConnection({
    ...config,
    timezone: 'Z',
    charset: 'utf8mb4_unicode_ci',
    dateStrings: true,
    jsonStrings: true,
    supportBigNumbers: true,
    flags: ['-FOUND_ROWS'],
  });

const written = (value: unknown): unknown => (Buffer.isBuffer(value) ? { base64: value.toString('base64') } : value);
const read = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && 'base64' in value
    ? Buffer.from(String(value.base64), 'base64')
    : value;

async function newestMigration(connection: Connection): Promise<string> {
  const [[newest]] = await connection.query<RowDataPacket[]>('SELECT MAX(name) AS name FROM migrations');
  return newest!.name;
}

async function headOf(connection: Connection, crewId: string): Promise<Head> {
  const [[crew]] = await connection.query<RowDataPacket[]>(
    'SELECT c.name, c.created_at, o.log_months FROM crews c JOIN owners o ON o.id = c.id WHERE c.id = ?',
    [crewId],
  );
  if (!crew) throw new CrewProblem(`There is no crew ${crewId} here.`);
  const [members] = await connection.query<RowDataPacket[]>(
    `SELECT m.person_id AS id, p.name, m.role FROM crew_members m JOIN people p ON p.id = m.person_id
     WHERE m.crew_id = ? ORDER BY m.person_id`,
    [crewId],
  );
  return {
    format: 'dunlinmoss-crew',
    migration: await newestMigration(connection),
    crew: {
      id: crewId,
      name: crew.name,
      createdAt: crew.created_at,
      logMonths: crew.log_months,
      members: members.map(({ id, name, role }) => ({ id, name, role })),
    },
  };
}

/** A crew's file, line by line and of one moment. Never more of it in memory than a batch of rows or a photo. */
export async function* backupOf(config: DatabaseConfig, photos: PhotoStore, crewId: string): AsyncGenerator<string> {
  const connection = await plainConnection(config);
  const hash = createHash('sha256');
  const told = (value: Head | Line): string => {
    const text = `${JSON.stringify(value)}\n`;
    hash.update(text);
    return text;
  };
  try {
    await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
    await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
    yield told(await headOf(connection, crewId));
    const [hashes] = await connection.query<RowDataPacket[]>(
      'SELECT DISTINCT hash FROM proof_photos WHERE owner_id = ? ORDER BY hash',
      [crewId],
    );
    for (const { hash: named } of hashes) {
      const bytes = await photos.get(named);
      if (!bytes) throw new CrewProblem(`A photo is missing where photos lie: ${named.toString('hex')}`);
      yield told({ photo: bytes.toString('base64') });
    }
    for (const { table, columns } of await keptTables(connection)) {
      yield told({ table, columns: [...columns] });
      const [keys] = await connection.query<RowDataPacket[]>(
        `SELECT column_name AS col FROM information_schema.key_column_usage
         WHERE table_schema = DATABASE() AND table_name = ? AND constraint_name = 'PRIMARY' ORDER BY ordinal_position`,
        [table],
      );
      const order = keys.map(({ col }) => col).join();
      for (let from = 0; ; from += ROWS_AT_ONCE) {
        const [rows] = await connection.query<RowDataPacket[][]>(
          {
            sql: `SELECT ${columns.join()} FROM ${table} WHERE owner_id = ? ORDER BY ${order} LIMIT ? OFFSET ?`,
            rowsAsArray: true,
          },
          [crewId, ROWS_AT_ONCE, from],
        );
        if (rows.length === 0) break;
        yield told({ rows: rows.map((row) => (row as unknown[]).map(written)) });
      }
    }
    const [logs] = await connection.query<RowDataPacket[]>(
      'SELECT no, rig_id FROM log_rigs WHERE owner_id = ? ORDER BY rig_id',
      [crewId],
    );
    for (const { no, rig_id } of logs) {
      let [wheel, at] = [-1, '1000-01-01 00:00:00.000'];
      for (;;) {
        const [rows] = await connection.query<RowDataPacket[][]>(
          {
            sql: `SELECT ${LOG_COLUMNS} FROM rig_log WHERE rig = ? AND (wheel > ? OR (wheel = ? AND read_at > ?))
                  ORDER BY wheel, read_at LIMIT ?`,
            rowsAsArray: true,
          },
          [no, wheel, wheel, at, READINGS_AT_ONCE],
        );
        if (rows.length === 0) break;
        const readings = rows as unknown as [number, string, ...unknown[]][];
        yield told({ log: rig_id, readings });
        [wheel, at] = readings.at(-1)!;
      }
    }
    yield `${JSON.stringify({ end: hash.digest('hex') } satisfies Line)}\n`;
    await connection.query('COMMIT');
  } finally {
    connection.destroy();
  }
}

/** The longest line of a crew's file, bytes: so many rows of the largest in it are more than anybody has. Assumption. */
const LONGEST_LINE = 128_000_000;

/** The lines of a crew's file. Throws `CrewProblem` where it is none. */
async function* linesOf(file: string): AsyncGenerator<{ readonly text: string; readonly value: unknown }> {
  const unzipped = createGunzip();
  // What fails on either side ends the reading of the lines.
  const read = pipeline(createReadStream(file), unzipped).catch(() => undefined);
  try {
    for await (const { lines } of linesIn(unzipped, LONGEST_LINE)) {
      for (const text of lines) {
        let value: unknown;
        try {
          value = JSON.parse(text);
        } catch {
          throw new CrewProblem(`${file} is no backup of a crew.`);
        }
        yield { text, value };
      }
    }
  } catch (error) {
    if (error instanceof CrewProblem) throw error;
    if (error instanceof LineTooLong)
      throw new CrewProblem(`${file} is no backup of a crew: a line of it does not end.`);
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') throw new CrewProblem(`There is no file ${file}`);
    throw new CrewProblem(`${file} is no whole backup of a crew: it can't be unpacked.`);
  } finally {
    unzipped.destroy();
    await read;
  }
}

/** Looks a crew's file through: it is whole, and what it adds up to. Throws `CrewProblem`. */
export async function lookThrough(file: string): Promise<{ readonly head: Head; readonly sum: string }> {
  const hash: Hash = createHash('sha256');
  let found: Head | undefined;
  let sum: string | undefined;
  for await (const { text, value } of linesOf(file)) {
    if (!found) {
      const parsed = head.safeParse(value);
      if (!parsed.success) throw new CrewProblem(`${file} is no backup of a crew.`);
      found = parsed.data;
      hash.update(`${text}\n`);
      continue;
    }
    const parsed = line.safeParse(value);
    if (!parsed.success || sum !== undefined) throw new CrewProblem(`${file} is no backup of a crew.`);
    if ('end' in parsed.data) sum = parsed.data.end;
    else hash.update(`${text}\n`);
  }
  if (!found || sum === undefined) throw new CrewProblem(`${file} is cut off.`);
  if (hash.digest('hex') !== sum) throw new CrewProblem(`${file} was changed since it was written.`);
  return { head: found, sum };
}

export interface Restored {
  readonly name: string;
  /** People of the file who are not here: they are to be invited again. */
  readonly notHere: readonly string[];
  /** People of the file who are here, but were no more in the crew that it replaced: they stay out. */
  readonly letGo: readonly string[];
}

/**
 * Brings a crew back from its file, into this database or another: its members are those of them who are here. In place of a
 * crew that is here, its rows are set back, its people are not: whoever was let go stays out, and nobody's role changes.
 *
 * @param options.owner name of a person of this database who is to own it; needed where none of its owners is here
 * @param options.replace in place of the crew of that id that is here
 * @throws CrewProblem
 */
export async function restoreCrew(
  config: DatabaseConfig,
  pool: Pool,
  photos: PhotoStore,
  file: string,
  options: { readonly owner?: string | undefined; readonly replace: boolean },
): Promise<Restored> {
  const { crew, migration } = (await lookThrough(file)).head;
  const connection = await plainConnection(config);
  try {
    const own = await newestMigration(connection);
    if (own !== migration)
      throw new CrewProblem(`The file is of tables as of ${migration}; here they are as of ${own}.`);
    const [[here]] = await connection.query<RowDataPacket[]>('SELECT 1 FROM owners WHERE id = ?', [crew.id]);
    if (here && !options.replace) {
      throw new CrewProblem(`“${crew.name}” is here already. --replace puts the file in its place.`);
    }
    const isHere = await whoIsHere(connection, crew.members);
    const present = await presentMembers(connection, crew.id);
    const owner = options.owner === undefined ? null : await personCalled(connection, options.owner);
    const members = withOwner(present.length > 0 ? present : isHere, owner);
    // What is in photos does no harm where the rest does not follow.
    for await (const { value } of linesOf(file)) {
      const { photo } = value as { photo?: string };
      if (photo !== undefined) await photos.put(Buffer.from(photo, 'base64'));
    }
    const kept = new Map((await keptTables(connection)).map(({ table, columns }) => [table, columns]));
    await connection.beginTransaction();
    if (here) await eraseCrewWithin(connection as never, crew.id);
    await connection.query('INSERT INTO owners (id, log_months, lineage) VALUES (?, ?, ?)', [
      crew.id,
      crew.logMonths,
      randomUUID(),
    ]);
    await connection.query('INSERT INTO crews (id, name, created_at) VALUES (?, ?, ?)', [
      crew.id,
      crew.name,
      crew.createdAt,
    ]);
    await connection.query('INSERT INTO crew_members (crew_id, person_id, role) VALUES ?', [
      members.map(({ id, role }) => [crew.id, id, role]),
    ]);
    let into: Extract<Line, { table: string }> | undefined;
    for await (const { value } of linesOf(file)) {
      const each = value as Line;
      if ('table' in each) {
        const known = kept.get(each.table);
        if (!known || each.columns.some((column) => !known.includes(column))) {
          throw new CrewProblem(`${file} has a table or column that is not here: ${each.table}`);
        }
        into = each;
      } else if ('rows' in each && into) {
        const rows = each.rows.map((row) => row.map(read));
        await connection.query(`INSERT INTO ${into.table} (${into.columns.join()}) VALUES ?`, [rows]);
      }
    }
    const setBackTo = await leaveEpoch(connection, crew.id);
    await connection.query('UPDATE owners SET set_back_to = ? WHERE id = ?', [setBackTo, crew.id]);
    await connection.commit();
    // The log after all else, and a batch at a time: it may be very long.
    for await (const { value } of linesOf(file)) {
      const each = value as Line;
      if (!('log' in each)) continue;
      await inTransaction(pool, async (within) => {
        const no = await makeLogNumber(within, crew.id, each.log);
        await within.query(
          `INSERT INTO rig_log (rig, ${LOG_COLUMNS}) VALUES ? ON DUPLICATE KEY UPDATE rig = rig_log.rig`,
          [each.readings.map((reading) => [no, ...reading])],
        );
      });
    }
    const staying = new Set(members.map(({ id }) => id));
    const known = new Set(isHere.map(({ id }) => id));
    const left = crew.members.filter(({ id }) => !staying.has(id));
    return {
      name: crew.name,
      notHere: left.filter(({ id }) => !known.has(id)).map(({ name }) => name),
      letGo: left.filter(({ id }) => known.has(id)).map(({ name }) => name),
    };
  } finally {
    connection.destroy();
  }
}

type Member = Head['crew']['members'][number];

/** Who of a file is in this database. Somebody of the same name in another database need not be the same person. */
async function whoIsHere(connection: Connection, members: readonly Member[]): Promise<readonly Member[]> {
  const [people] = await connection.query<RowDataPacket[]>('SELECT id, name_key FROM people');
  const here = new Map(people.map(({ id, name_key }) => [id, name_key]));
  return members.filter(({ id, name }) => here.get(id) === nameKey(name));
}

type Standing = Pick<Member, 'id' | 'role'>;

/** The members that a crew has now; nobody where it is not here. */
async function presentMembers(connection: Connection, crewId: string): Promise<readonly Standing[]> {
  const [rows] = await connection.query<RowDataPacket[]>(
    'SELECT person_id AS id, role FROM crew_members WHERE crew_id = ?',
    [crewId],
  );
  return rows.map(({ id, role }) => ({ id, role }));
}

async function personCalled(connection: Connection, name: string): Promise<string> {
  const [[found]] = await connection.query<RowDataPacket[]>('SELECT id FROM people WHERE name_key = ?', [
    nameKey(name),
  ]);
  if (!found) throw new CrewProblem(`Nobody here is called “${name}”.`);
  return found.id;
}

/** Members with the one who is to own it. A crew has an owner. */
function withOwner(members: readonly Standing[], owner: string | null): readonly Standing[] {
  if (owner !== null) return [...members.filter(({ id }) => id !== owner), { id: owner, role: 'own' }];
  if (members.some(({ role }) => role === 'own')) return members;
  throw new CrewProblem('None of its owners is here. Say who of the people here is to own it: --owner NAME');
}

/**
 * Takes a crew away that was written to a file, if the file has all that is here now: so that a crew can be moved to another
 * database without anything being lost on the way.
 *
 * @throws CrewProblem
 */
export async function removeCrew(
  config: DatabaseConfig,
  pool: Pool,
  photos: PhotoStore,
  crewId: string,
  file: string,
): Promise<void> {
  const { head: found, sum } = await lookThrough(file);
  if (found.crew.id !== crewId) throw new CrewProblem(`${file} is of another crew: “${found.crew.name}”.`);
  let now: string | undefined;
  for await (const text of backupOf(config, photos, crewId)) now = text;
  if ((JSON.parse(now!) as { end?: string }).end !== sum) {
    throw new CrewProblem(`“${found.crew.name}” has changed since ${file} was written. Write it again.`);
  }
  await inTransaction(pool, (connection) => eraseCrewWithin(connection, crewId));
}

/** The crews of a database, with how much is in each. */
export async function crewsOf(
  pool: Pool,
): Promise<readonly { readonly id: string; readonly name: string; readonly members: number; readonly rigs: number }[]> {
  const [rows] = await pool.query<RowDataPacket[]>(
    `SELECT c.id, c.name, (SELECT COUNT(*) FROM crew_members m WHERE m.crew_id = c.id) AS members,
       (SELECT COUNT(*) FROM rigs r WHERE r.owner_id = c.id) AS rigs
     FROM crews c ORDER BY c.name, c.id`,
  );
  return rows.map(({ id, name, members, rigs }) => ({ id, name, members, rigs }));
}
