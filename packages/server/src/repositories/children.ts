import type { Pool, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';

/** The rows that hang on some rows of a table, by the id of the row they hang on. One query for all of them. */
export async function childrenOf(
  connection: Pool | Connection,
  sql: string,
  parentColumn: string,
  ownerId: string,
  parents: RowDataPacket[],
): Promise<Map<string, RowDataPacket[]>> {
  const [rows] = await connection.query<RowDataPacket[]>(sql, [ownerId, parents.map(({ id }) => id)]);
  const byParent = new Map<string, RowDataPacket[]>();
  for (const row of rows) {
    const siblings = byParent.get(row[parentColumn]);
    if (siblings) siblings.push(row);
    else byParent.set(row[parentColumn], [row]);
  }
  return byParent;
}

/** Writes rows of one shape into a table, all in one statement; nothing for no rows. */
export async function insertAll(
  connection: Connection,
  table: string,
  rows: readonly Readonly<Record<string, unknown>>[],
): Promise<void> {
  const [first] = rows;
  if (!first) return;
  const columns = Object.keys(first);
  await connection.query(`INSERT INTO ${table} (${columns.join(', ')}) VALUES ?`, [
    rows.map((row) => columns.map((column) => row[column])),
  ]);
}
