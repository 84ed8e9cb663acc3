import { setTimeout as sleep } from 'node:timers/promises';

import mysql, { type Pool, type PoolConnection } from 'mysql2/promise';

import type { DatabaseConfig } from '../config';
import { NoPlace, Places } from '../places';

export type Connection = PoolConnection;

const CONNECTIONS = 10;
/** So many of them may be in a transaction at once. */
const WRITING = 6;
const MOST_WRITERS_WAITING = 1_000;

/** A pool of connections in UTC and strict mode, with limits on how long any of them may wait. */
export function createPool(config: DatabaseConfig): Pool {
  const pool = mysql.createPool({
    ...config,
    timezone: 'Z',
    charset: 'utf8mb4_unicode_ci',
    connectionLimit: CONNECTIONS,
    maxIdle: CONNECTIONS,
    connectTimeout: 3_000, // ms
    waitForConnections: true,
    queueLimit: 2_000,
    enableKeepAlive: true,
    // A row that is written as it was counts as none.
    flags: ['-FOUND_ROWS'],
  });
  pool.on('connection', (connection) => {
    // The callback form: this event hands out the plain connection. A failure shows at the next query.
    connection.query(
      "SET time_zone = '+00:00', sql_mode = 'STRICT_ALL_TABLES,NO_ZERO_DATE', max_statement_time = 10, " +
        // Rows that are not there yet are not locked together with the gap they would stand in.
        "tx_isolation = 'READ-COMMITTED', innodb_lock_wait_timeout = 3",
    );
  });
  return pool;
}

/** Tries of a transaction that meets others on its way, and the longest pause before the second, ms. */
const TRIES = 6;
const PAUSE_MS = 20;

const writers = new WeakMap<Pool, Places>();

/** Who writes may wait for another's lock, so a part of the connections is left to those who only read. */
function writersOf(pool: Pool): Places {
  const known = writers.get(pool);
  if (known) return known;
  const places = new Places(WRITING, MOST_WRITERS_WAITING);
  writers.set(pool, places);
  return places;
}

/**
 * Runs the work in one transaction: all of it is kept, or none. Work that met another transaction on its way
 * (a deadlock, or the same new row made twice at once) is run again from the start after a pause, six times in all.
 *
 * @param options.snapshot all of its reads are of one moment
 */
export async function inTransaction<T>(
  pool: Pool,
  work: (connection: Connection) => Promise<T>,
  options: { readonly snapshot?: boolean } = {},
): Promise<T> {
  const places = writersOf(pool);
  await places.take();
  try {
    for (let run = 1; ; run += 1) {
      try {
        return await tryTransaction(pool, work, options.snapshot === true);
      } catch (error) {
        if (run === TRIES || !isCollision(error)) throw error;
        // By chance, so that two who met don't meet again.
        await sleep(Math.random() * PAUSE_MS * 2 ** (run - 1));
      }
    }
  } finally {
    places.give();
  }
}

/** Longer than this, and what it wrote may show after the time of the writing has been asked for, ms. */
const LONG_MS = 2_000;
/** How far a mark of changes reaches back, so that it takes in what was being written just then, ms: `LONG_MS` and a commit. */
export const MARK_REACHES_BACK_MS = 10_000;

const noteLate = (connection: Connection, tookMs: number): Promise<unknown> =>
  connection.query(
    'INSERT INTO late_changes (since, until) VALUES (CURRENT_TIMESTAMP(3) - INTERVAL ? MICROSECOND, CURRENT_TIMESTAMP(3))',
    [Math.ceil(tookMs * 1000)],
  );

async function tryTransaction<T>(
  pool: Pool,
  work: (connection: Connection) => Promise<T>,
  snapshot: boolean,
): Promise<T> {
  const connection = await pool.getConnection();
  const startedMs = performance.now();
  try {
    if (snapshot) await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
    await connection.beginTransaction();
    const result = await work(connection);
    const tookMs = performance.now() - startedMs;
    if (tookMs > LONG_MS && !snapshot) await noteLate(connection, tookMs);
    await connection.commit();
    connection.release();
    return result;
  } catch (error) {
    // A connection that can't even roll back is of no more use to anyone.
    await connection.rollback().then(
      () => connection.release(),
      () => connection.destroy(),
    );
    throw error;
  }
}

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  'EHOSTUNREACH',
  'PROTOCOL_CONNECTION_LOST',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_CONNECTION_KILLED',
  // A node of a cluster that is not in step with the others yet.
  'ER_UNKNOWN_COM_ERROR',
  // One that lost the others in the middle of a commit: nothing was kept, and the same again is the same row.
  'ER_ERROR_DURING_COMMIT',
  // One that is read-only while it is moved or copied: what is saved waits on the phones.
  'ER_OPTION_PREVENTS_STATEMENT',
]);

const codeOf = (error: unknown): string | undefined =>
  typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string'
    ? error.code
    : undefined;

/** Whether an error means that the database can't be reached just now, and not that the request was wrong. */
export const isDatabaseAway = (error: unknown): boolean => {
  const code = codeOf(error);
  if (code !== undefined && AWAY.has(code)) return true;
  // mysql2 reports a pool or connection that died under a query by message alone.
  return error instanceof Error && /closed state|Queue limit reached|Connection lost/i.test(error.message);
};

/** Whether it could not be had in time: a lock that somebody else holds, or a statement over its limit. */
export const isDatabaseBusy = (error: unknown): boolean => {
  const code = codeOf(error);
  return code === 'ER_LOCK_WAIT_TIMEOUT' || code === 'ER_STATEMENT_TIMEOUT' || code === 'ER_LOCK_DEADLOCK';
};

/** Whether there is no room left where the database or the photos lie. */
export const isDiskFull = (error: unknown): boolean => {
  const code = codeOf(error);
  return code === 'ENOSPC' || code === 'EDQUOT' || code === 'ER_DISK_FULL' || code === 'ER_RECORD_FILE_FULL';
};

/** Whether it may go through a little later: the database away or busy, or too many before it. */
export const isPassing = (error: unknown): boolean =>
  error instanceof NoPlace || isDatabaseAway(error) || isDatabaseBusy(error);

const isCollision = (error: unknown): boolean => {
  const code = codeOf(error);
  return code === 'ER_LOCK_DEADLOCK' || code === 'ER_DUP_ENTRY';
};

/** Something that there may be once only is there already. */
export const isDuplicate = (error: unknown): boolean => codeOf(error) === 'ER_DUP_ENTRY';

/** Whether a row pointed at one that is not there. */
export const isMissingReference = (error: unknown): boolean => codeOf(error) === 'ER_NO_REFERENCED_ROW_2';
