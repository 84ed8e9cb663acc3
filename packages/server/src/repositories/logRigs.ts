import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';

/** The number that a rig's log goes by; null where it has none. */
export async function logNumber(connection: Pool | Connection, ownerId: string, rigId: string): Promise<number | null> {
  const [[row]] = await connection.query<RowDataPacket[]>('SELECT no FROM log_rigs WHERE owner_id = ? AND rig_id = ?', [
    ownerId,
    rigId,
  ]);
  return row ? Number(row.no) : null;
}

/** The same, made where there is none yet. */
export async function makeLogNumber(connection: Connection, ownerId: string, rigId: string): Promise<number> {
  // Asked first: a number is used up by every insert, taken or not, and there are as many of them as packets otherwise.
  const known = await logNumber(connection, ownerId, rigId);
  if (known !== null) return known;
  const [made] = await connection.query<ResultSetHeader>(
    'INSERT INTO log_rigs (owner_id, rig_id) VALUES (?, ?) ON DUPLICATE KEY UPDATE no = LAST_INSERT_ID(no)',
    [ownerId, rigId],
  );
  return made.insertId;
}

/** The rigs that have a log. */
export async function rigsWithLog(connection: Connection, ownerId: string): Promise<string[]> {
  const [rows] = await connection.query<RowDataPacket[]>('SELECT rig_id FROM log_rigs WHERE owner_id = ?', [ownerId]);
  return rows.map(({ rig_id }) => rig_id);
}

/** Takes the log of a rig away, or of every rig of a space, with what was on its way into it. */
export async function eraseLog(connection: Connection, ownerId: string, rigId: string | null): Promise<void> {
  const which = `r.owner_id = ?${rigId === null ? '' : ' AND r.rig_id = ?'}`;
  const own = rigId === null ? [ownerId] : [ownerId, rigId];
  const asked = rigId === null ? '' : " AND JSON_VALUE(asked, '$.rigId') = ?";
  await connection.query(`DELETE FROM jobs WHERE owner_id = ? AND kind = 'log'${asked}`, own);
  await connection.query(`DELETE l FROM rig_log l JOIN log_rigs r ON r.no = l.rig WHERE ${which}`, own);
  await connection.query(`DELETE r FROM log_rigs r WHERE ${which}`, own);
}
