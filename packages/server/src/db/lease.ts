import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';

import type { Connection, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

/** Where leases stand. A named lock of the database is granted on each node of a cluster by itself; a row is not. */
export const LEASES_TABLE = `CREATE TABLE IF NOT EXISTS leases (
  name VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  holder CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  until DATETIME(3) NOT NULL
) ENGINE = InnoDB`;

interface LeaseOptions {
  /** So long it is good without being renewed, s: whoever died is waited for as long. */
  readonly leaseS?: number;
  /** So long it is waited for, s. */
  readonly waitS?: number;
}

/** What was done meanwhile is not safe from others: the lease was not renewed in time. */
export class LeaseLost extends Error {}

const isCollision = (error: unknown): boolean => (error as { code?: unknown }).code === 'ER_LOCK_DEADLOCK';

/** Takes the lease where it is free, its time is over, or it is ours. True where it is ours now. */
async function take(connection: Connection, name: string, holder: string, leaseS: number): Promise<boolean> {
  try {
    await connection.query(
      `INSERT INTO leases (name, holder, until) VALUES (?, ?, NOW(3) + INTERVAL ? SECOND)
       ON DUPLICATE KEY UPDATE
         holder = IF(until < NOW(3), VALUES(holder), holder),
         until = IF(holder = VALUES(holder), VALUES(until), until)`,
      [name, holder, leaseS],
    );
  } catch (error) {
    // Two nodes took it at once: the other one has it.
    if (isCollision(error)) return false;
    throw error;
  }
  const [[row]] = await connection.query<RowDataPacket[]>('SELECT holder FROM leases WHERE name = ?', [name]);
  return row?.holder === holder;
}

/**
 * Runs work that only one server may do at a time, on whichever nodes they are. The lease is renewed on a connection of its
 * own while the work goes on.
 *
 * @param connect opens a connection of its own
 * @param work is given a check that throws `LeaseLost` once the lease is somebody else's: asked before each step
 */
export async function withLease<T>(
  connect: () => Promise<Connection>,
  name: string,
  work: (check: () => void) => Promise<T>,
  { leaseS = 20, waitS = 120 }: LeaseOptions = {},
): Promise<T> {
  const holder = randomUUID();
  const connection = await connect();
  let timer: NodeJS.Timeout | undefined;
  try {
    const deadlineMs = Date.now() + waitS * 1000;
    while (!(await take(connection, name, holder, leaseS))) {
      if (Date.now() > deadlineMs) throw new Error(`Another server had the lease “${name}” for ${waitS} s`);
      await sleep(200);
    }
    let goodUntilMs = Date.now() + leaseS * 1000;
    const renew = async (): Promise<void> => {
      const askedMs = Date.now();
      const [{ affectedRows }] = await connection.query<ResultSetHeader>(
        'UPDATE leases SET until = NOW(3) + INTERVAL ? SECOND WHERE name = ? AND holder = ?',
        [leaseS, name, holder],
      );
      goodUntilMs = affectedRows === 0 ? 0 : askedMs + leaseS * 1000;
    };
    // One that fails is tried again at the next turn: it is good for two more.
    timer = setInterval(() => void renew().catch(() => undefined), (leaseS * 1000) / 3);
    return await work(() => {
      if (Date.now() >= goodUntilMs) throw new LeaseLost(`The lease “${name}” was lost`);
    });
  } finally {
    clearInterval(timer);
    await connection
      .query('DELETE FROM leases WHERE name = ? AND holder = ?', [name, holder])
      .catch(() => undefined)
      .finally(() => connection.end().catch(() => connection.destroy()));
  }
}
