import type { ImportState, OpenImport } from '@dunlinmoss/contract';
import { FILE_KINDS } from '@dunlinmoss/contract/api';
import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

import { inTransaction, type Connection } from '../db/pool';
import { MOST_IMPORTS, SpaceFull } from '../limits';

export type JobKind = ImportState['kind'];
/** Its bytes are coming; it is worked on; it came to its end, well or not. */
export type JobState = ImportState['state'];

/** Work that takes long, as it lies in its table. */
export interface Job {
  readonly ownerId: string;
  readonly id: string;
  readonly kind: JobKind;
  readonly state: JobState;
  readonly asked: unknown;
  readonly bytes: number;
  readonly parts: number;
  readonly mark: unknown;
  /** What it said of itself last. */
  readonly told: unknown;
  /** How often the server at work on it ended in the middle, since it last came any further. */
  readonly interrupted: number;
}

export type JobName = Pick<Job, 'ownerId' | 'id'>;

export type FileKind = (typeof FILE_KINDS)[number];
/** Makes a file that is to be fetched: its parts are that file once it is done. */
export const isFile = ({ kind }: Pick<Job, 'kind'>): boolean => FILE_KINDS.some((each) => each === kind);

/** Somebody else is at it, or it is no more. */
export class JobLost extends Error {}

/** A server that is at it says so again at least so often; later another one takes it over, s. */
export const HELD_S = 20;
/** What nobody came back to for so many days is forgotten. */
const FORGOTTEN_DAYS = 3;
/** What did not come any further for so long gives way to another import where there are too many, min. */
const STANDS_STILL_MIN = 10;
/** A file that was put together can be fetched for so long, min. */
const KEPT_OUT_MIN = 60;
const PARTS_AT_ONCE = 50;

const jobOf = (row: RowDataPacket): Job => ({
  ownerId: row.owner_id,
  id: row.id,
  kind: row.kind,
  state: row.state,
  asked: JSON.parse(row.asked),
  bytes: Number(row.bytes),
  parts: row.parts,
  mark: JSON.parse(row.mark),
  told: JSON.parse(row.told),
  interrupted: row.interrupted,
});

export async function findJob(connection: Pool | Connection, ownerId: string, id: string): Promise<Job | null> {
  const [[row]] = await connection.query<RowDataPacket[]>('SELECT * FROM jobs WHERE owner_id = ? AND id = ?', [
    ownerId,
    id,
  ]);
  return row ? jobOf(row) : null;
}

/** What has begun to come in and has not ended, the oldest first. */
export async function openJobs(pool: Pool, ownerId: string): Promise<(Job & { readonly kind: OpenImport['kind'] })[]> {
  const [rows] = await pool.query<RowDataPacket[]>(
    `SELECT * FROM jobs WHERE owner_id = ? AND state IN ('coming', 'working') AND kind NOT IN (?) ORDER BY made_at, id`,
    [ownerId, FILE_KINDS],
  );
  return rows.map((row) => ({ ...jobOf(row), kind: row.kind }));
}

/** Begins a job, or finds the one of that id: the same again is the same job. Throws `SpaceFull` where too many are open. */
export async function beginJob(
  pool: Pool,
  { ownerId, id, kind, asked, mark }: Pick<Job, 'ownerId' | 'id' | 'kind' | 'asked' | 'mark'>,
): Promise<Job> {
  const [begun] = await pool.query<ResultSetHeader>(
    `INSERT INTO jobs (owner_id, id, kind, state, asked, mark, told) VALUES (?, ?, ?, 'coming', ?, ?, 'null')
     ON DUPLICATE KEY UPDATE id = jobs.id`,
    [ownerId, id, kind, JSON.stringify(asked), JSON.stringify(mark)],
  );
  const job = await findJob(pool, ownerId, id);
  if (!job) throw new JobLost();
  if (begun.affectedRows === 1) {
    const [[open]] = await pool.query<RowDataPacket[]>(
      `SELECT COUNT(*) many FROM jobs WHERE owner_id = ? AND state IN ('coming', 'working')`,
      [ownerId],
    );
    if (open!.many > MOST_IMPORTS && !(await forgetOldestComing(pool, ownerId))) {
      await pool.query('DELETE FROM jobs WHERE owner_id = ? AND id = ?', [ownerId, id]);
      throw new SpaceFull();
    }
  }
  return job;
}

/** Makes room: of what began to come and stands still, the oldest is forgotten. False where there is none. */
async function forgetOldestComing(pool: Pool, ownerId: string): Promise<boolean> {
  const [[oldest]] = await pool.query<RowDataPacket[]>(
    `SELECT id FROM jobs WHERE owner_id = ? AND state = 'coming' AND touched_at < NOW(3) - INTERVAL ? MINUTE
     ORDER BY touched_at LIMIT 1`,
    [ownerId, STANDS_STILL_MIN],
  );
  return oldest !== undefined && forgetJob(pool, ownerId, oldest.id);
}

/** Keeps another part of what is coming, and how far that reaches. Gives the job as it is then. */
export const addPart = (pool: Pool, job: Job, part: Buffer, bytes: number, mark: unknown): Promise<Job> =>
  inTransaction(pool, async (connection) => {
    const [changed] = await connection.query<ResultSetHeader>(
      `UPDATE jobs SET bytes = ?, parts = parts + 1, mark = ?
       WHERE owner_id = ? AND id = ? AND state = 'coming' AND parts = ? AND bytes = ?`,
      [bytes, JSON.stringify(mark), job.ownerId, job.id, job.parts, job.bytes],
    );
    // Sent twice at once: the other one is further.
    if (changed.affectedRows === 0) throw new JobLost();
    await connection.query('INSERT INTO job_parts (owner_id, job_id, part, bytes) VALUES (?, ?, ?, ?)', [
      job.ownerId,
      job.id,
      job.parts,
      part,
    ]);
    return { ...job, bytes, parts: job.parts + 1, mark };
  });

/** All has come: from now on it is worked on, or it is refused as it is. */
export async function endComing(
  pool: Pool,
  job: Job,
  { state, mark, told }: { readonly state: 'working' | 'refused'; readonly mark: unknown; readonly told: unknown },
): Promise<void> {
  await pool.query(
    `UPDATE jobs SET state = ?, mark = ?, told = ? WHERE owner_id = ? AND id = ? AND state = 'coming' AND parts = ?`,
    [state, JSON.stringify(mark), JSON.stringify(told), job.ownerId, job.id, job.parts],
  );
}

/** Keeps a part of what a job makes, with how much there is then. */
export async function writePart(
  connection: Connection,
  { ownerId, id }: JobName,
  { part, bytes, inAll }: { readonly part: number; readonly bytes: Buffer; readonly inAll: number },
): Promise<void> {
  await connection.query('UPDATE jobs SET bytes = ?, parts = ? WHERE owner_id = ? AND id = ?', [
    inAll,
    part + 1,
    ownerId,
    id,
  ]);
  // Tried again where nobody knows whether it was kept, it is the same.
  await connection.query(
    `INSERT INTO job_parts (owner_id, job_id, part, bytes) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE bytes = VALUES(bytes)`,
    [ownerId, id, part, bytes],
  );
}

/** Puts a file that is made in place of what it was made from. */
export async function putFile(connection: Connection, job: Job, file: Buffer, partBytes: number): Promise<void> {
  await connection.query('DELETE FROM job_parts WHERE owner_id = ? AND job_id = ?', [job.ownerId, job.id]);
  for (let part = 0; part * partBytes < file.length; part += 1) {
    const bytes = file.subarray(part * partBytes, (part + 1) * partBytes);
    await writePart(connection, job, { part, bytes, inAll: file.length });
  }
}

export async function partOf(connection: Pool | Connection, job: Job, part: number): Promise<Buffer> {
  const [[row]] = await connection.query<RowDataPacket[]>(
    'SELECT bytes FROM job_parts WHERE owner_id = ? AND job_id = ? AND part = ?',
    [job.ownerId, job.id, part],
  );
  if (!row) throw new JobLost();
  return row.bytes;
}

/** Takes a job that nobody is at: this one, or any of these kinds; null where there is none. */
export async function takeJob(
  pool: Pool,
  holder: string,
  kinds: readonly JobKind[],
  only?: JobName,
): Promise<Job | null> {
  const free = `state = 'working' AND (held_until IS NULL OR held_until < NOW(3))`;
  const [rows] = only
    ? [[{ owner_id: only.ownerId, id: only.id }]]
    : await pool.query<RowDataPacket[]>(`SELECT owner_id, id FROM jobs WHERE ${free} AND kind IN (?) LIMIT 5`, [kinds]);
  for (const { owner_id, id } of rows) {
    const [taken] = await pool.query<ResultSetHeader>(
      // Who let go of it left no time behind; who ended in the middle did.
      `UPDATE jobs SET interrupted = interrupted + (held_until IS NOT NULL), holder = ?, held_until = NOW(3) + INTERVAL ? SECOND
       WHERE owner_id = ? AND id = ? AND ${free}`,
      [holder, HELD_S, owner_id, id],
    );
    if (taken.affectedRows > 0) return findJob(pool, owner_id, id);
  }
  return null;
}

/** Says that somebody is still at it. */
export const holdJob = (pool: Pool, { ownerId, id }: JobName, holder: string): Promise<unknown> =>
  pool.query('UPDATE jobs SET held_until = NOW(3) + INTERVAL ? SECOND WHERE owner_id = ? AND id = ? AND holder = ?', [
    HELD_S,
    ownerId,
    id,
    holder,
  ]);

/** Lets go of it, so that another may go on at once. */
export const releaseJob = (pool: Pool, { ownerId, id }: JobName, holder: string): Promise<unknown> =>
  pool.query(
    'UPDATE jobs SET holder = NULL, held_until = NULL WHERE owner_id = ? AND id = ? AND holder = ? AND state = ?',
    [ownerId, id, holder, 'working'],
  );

/** How far a job has come: kept together with what was done for it, or not at all. Throws `JobLost` where it is another's. */
export async function markJob(
  connection: Connection,
  { ownerId, id }: JobName,
  holder: string,
  { mark, told, state = 'working' }: { readonly mark: unknown; readonly told: unknown; readonly state?: JobState },
): Promise<void> {
  const [changed] = await connection.query<ResultSetHeader>(
    `UPDATE jobs SET mark = ?, told = ?, state = ?, interrupted = 0, held_until = NOW(3) + INTERVAL ? SECOND
     WHERE owner_id = ? AND id = ? AND holder = ? AND state = 'working'`,
    [JSON.stringify(mark), JSON.stringify(told), state, HELD_S, ownerId, id, holder],
  );
  if (changed.affectedRows === 0) throw new JobLost();
}

/** Deletes the parts of a job, some at a time: they may be many. */
export async function dropParts(pool: Pool, { ownerId, id }: JobName): Promise<void> {
  for (;;) {
    const [gone] = await pool.query<ResultSetHeader>(
      'DELETE FROM job_parts WHERE owner_id = ? AND job_id = ? LIMIT ?',
      [ownerId, id, PARTS_AT_ONCE],
    );
    if (gone.affectedRows < PARTS_AT_ONCE) return;
  }
}

/** Forgets a job of which nothing is being taken in: it may be an archive that is still looked through. False where it is. */
export async function forgetJob(pool: Pool, ownerId: string, id: string): Promise<boolean> {
  const [ended] = await pool.query<ResultSetHeader>(
    `UPDATE jobs SET state = 'refused', told = 'null'
     WHERE owner_id = ? AND id = ? AND (state <> 'working' OR JSON_VALUE(mark, '$.checked') = 0)`,
    [ownerId, id],
  );
  if (ended.affectedRows === 0) {
    const job = await findJob(pool, ownerId, id);
    if (job?.state === 'working') return false;
  }
  await dropParts(pool, { ownerId, id });
  await pool.query(`DELETE FROM jobs WHERE owner_id = ? AND id = ? AND state <> 'working'`, [ownerId, id]);
  return true;
}

/** Makes room for a file that is put together: of the others of its kind, only the newest that is finished stays. */
export async function forgetEarlierFiles(
  pool: Pool,
  { ownerId, id: own, kind }: JobName & { readonly kind: FileKind },
): Promise<void> {
  const [finished] = await pool.query<RowDataPacket[]>(
    `SELECT id FROM jobs WHERE owner_id = ? AND kind = ? AND state = 'done' AND id <> ?
     ORDER BY made_at DESC, id`,
    [ownerId, kind, own],
  );
  for (const { id } of finished.slice(1)) await forgetJob(pool, ownerId, id);
}

/** Forgets jobs, of any space, that nobody came back to, and what ended ones still have lying about. */
export async function forgetOldJobs(pool: Pool): Promise<void> {
  const [old] = await pool.query<RowDataPacket[]>(
    `SELECT owner_id, id FROM jobs
     WHERE state <> 'working' AND (touched_at < NOW(3) - INTERVAL ? DAY OR (kind IN (?) AND touched_at < NOW(3) - INTERVAL ? MINUTE))`,
    [FORGOTTEN_DAYS, FILE_KINDS, KEPT_OUT_MIN],
  );
  for (const { owner_id, id } of old) await forgetJob(pool, owner_id, id);
}
