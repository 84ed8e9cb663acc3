import { randomUUID } from 'node:crypto';

import { REVISIONS_OF_AN_EPOCH } from '@dunlinmoss/contract';
import type { Connection, Pool, RowDataPacket } from 'mysql2/promise';

import { inTransaction } from './pool';

/*
 * A restored backup takes the store back to an earlier moment, while phones still hold rows and revisions of the time that
 * was lost. So each restore begins a new epoch: the marks that phones have of the former one are not taken for ours, and
 * every revision is moved up past any that was given out before.
 */

/** The tables of the database that have a column. */
async function tablesWith(connection: Connection, column: string): Promise<readonly string[]> {
  const [rows] = await connection.query<RowDataPacket[]>(
    'SELECT table_name AS name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = ? ORDER BY name',
    [column],
  );
  return rows.map(({ name }) => name as string);
}

/**
 * Moves every revision up, so that none of the former epoch matches. Gives the moment of the newest change there is, as the
 * database writes it; null where nothing is kept. Within a transaction.
 *
 * @param ownerId of one space alone; null of all
 */
export async function leaveEpoch(connection: Connection, ownerId: string | null): Promise<string | null> {
  const where = ownerId === null ? '' : ' WHERE owner_id = ?';
  const values = ownerId === null ? [] : [ownerId];
  let newest: string | null = null;
  // First: moving a row up changes it.
  for (const table of await tablesWith(connection, 'changed_at')) {
    const [[found]] = await connection.query<RowDataPacket[]>(
      `SELECT CAST(MAX(changed_at) AS CHAR) AS at FROM ${table}${where}`,
      values,
    );
    const at = found!.at as string | null;
    if (at !== null && (newest === null || at > newest)) newest = at;
  }
  for (const table of await tablesWith(connection, 'revision')) {
    await connection.query(`UPDATE ${table} SET revision = revision + ${REVISIONS_OF_AN_EPOCH}${where}`, values);
  }
  return newest;
}

/** Begins an epoch where a restore left none, and gives a new store its identity. Before anything is served. */
export async function beginEpoch(pool: Pool): Promise<void> {
  await pool.query('INSERT IGNORE INTO lineage (one, id) VALUES (1, ?)', [randomUUID()]);
  await inTransaction(pool, async (connection) => {
    // Another server that starts at the same moment waits here, and finds it done.
    const [[store]] = await connection.query<RowDataPacket[]>('SELECT epoch FROM lineage WHERE one = 1 FOR UPDATE');
    if (store!.epoch !== null) return;
    const setBackTo = await leaveEpoch(connection, null);
    await connection.query('UPDATE lineage SET epoch = ?, set_back_to = ?', [randomUUID(), setBackTo]);
  });
}
