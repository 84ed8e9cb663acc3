import mysql, { type Pool, type PoolConnection } from 'mysql2/promise';

import type { DatabaseConfig } from '../config';

export type Connection = PoolConnection;

/** A pool of connections in UTC and strict mode, with limits on how long any of them may wait. */
export function createPool(config: DatabaseConfig): Pool {
  const pool = mysql.createPool({
    ...config,
    timezone: 'Z',
    charset: 'utf8mb4_unicode_ci',
    connectionLimit: 10,
    maxIdle: 10,
    connectTimeout: 3_000, // ms
    waitForConnections: true,
    queueLimit: 200,
    enableKeepAlive: true,
    // A row that is written as it was counts as none.
    flags: ['-FOUND_ROWS'],
  });
  pool.on('connection', (connection) => {
    // The callback form: this event hands out the plain connection. A failure shows at the next query.
    connection.query("SET time_zone = '+00:00', sql_mode = 'STRICT_ALL_TABLES,NO_ZERO_DATE', max_statement_time = 10");
  });
  return pool;
}

const TRIES = 3;

/**
 * Runs the work in one transaction: all of it is kept, or none. Work that met another transaction on its way
 * (a deadlock, or the same new row made twice at once) is run again from the start, three times in all.
 */
export async function inTransaction<T>(pool: Pool, work: (connection: Connection) => Promise<T>): Promise<T> {
  for (let run = 1; ; run += 1) {
    try {
      return await tryTransaction(pool, work);
    } catch (error) {
      if (run === TRIES || !isCollision(error)) throw error;
    }
  }
}

async function tryTransaction<T>(pool: Pool, work: (connection: Connection) => Promise<T>): Promise<T> {
  const connection = await pool.getConnection();
  try {
    await connection.beginTransaction();
    const result = await work(connection);
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

const isCollision = (error: unknown): boolean => {
  const code = codeOf(error);
  return code === 'ER_LOCK_DEADLOCK' || code === 'ER_DUP_ENTRY';
};

/** Whether a row pointed at one that is not there. */
export const isMissingReference = (error: unknown): boolean => codeOf(error) === 'ER_NO_REFERENCED_ROW_2';
