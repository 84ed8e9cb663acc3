import type { ThinLog } from '@dunlinmoss/contract';
import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';

/** A reading as it lies in the table: position, wheel, time, kPa, °C. */
export type LogTuple = readonly [
  position: string,
  wheel: string,
  readAt: Date,
  pressureKpa: number,
  tempC: number | null,
];

/** How many rows one statement writes. */
export const LOG_ROWS_AT_ONCE = 5_000;

/** Adds readings to a rig's log; what is there already stays. Gives back how many were new. */
export async function addToLog(
  connection: Pool | Connection,
  ownerId: string,
  rigId: string,
  source: 'monitor' | 'file',
  rows: readonly LogTuple[],
): Promise<number> {
  if (rows.length === 0) return 0;
  const [result] = await connection.query<ResultSetHeader>(
    `INSERT IGNORE INTO monitor_log
       (owner_id, rig_id, position, wheel, read_at, pressure_kpa, temp_c, source) VALUES ?`,
    [rows.map((row) => [ownerId, rigId, ...row, source])],
  );
  return result.affectedRows;
}

/** How far a rig's log reaches, and how long it is; null where there is none. */
async function reach(pool: Pool, ownerId: string, rigId: string): Promise<{ from: Date; to: Date } | null> {
  // The key begins with the wheel: its ends are read off the index for each of them.
  const [rows] = await pool.query<RowDataPacket[]>(
    `SELECT MIN(read_at) AS first, MAX(read_at) AS last FROM monitor_log
     WHERE owner_id = ? AND rig_id = ? GROUP BY position, wheel`,
    [ownerId, rigId],
  );
  if (rows.length === 0) return null;
  return {
    from: new Date(Math.min(...rows.map(({ first }) => first.getTime()))),
    to: new Date(Math.max(...rows.map(({ last }) => last.getTime()))),
  };
}

/** A rig's log between two times, thinned to so many stretches, each with its least and most. */
export async function thinnedLog(
  pool: Pool,
  ownerId: string,
  rigId: string,
  asked: { readonly from?: string | undefined; readonly to?: string | undefined; readonly stretches: number },
): Promise<ThinLog | null> {
  const whole = asked.from !== undefined && asked.to !== undefined ? null : await reach(pool, ownerId, rigId);
  const from = asked.from === undefined ? whole?.from : new Date(asked.from);
  const to = asked.to === undefined ? whole?.to : new Date(asked.to);
  if (!from || !to) return null;
  const widthMs = Math.max(1, (to.getTime() - from.getTime()) / asked.stretches);
  const [rows] = await pool.query<RowDataPacket[]>(
    `SELECT position, wheel, LEAST(FLOOR(TIMESTAMPDIFF(MICROSECOND, ?, read_at) / ?), ?) AS stretch,
       MIN(pressure_kpa) AS least, MAX(pressure_kpa) AS most, AVG(temp_c) AS temp, COUNT(*) AS readings
     FROM monitor_log WHERE owner_id = ? AND rig_id = ? AND read_at BETWEEN ? AND ?
     GROUP BY position, wheel, stretch ORDER BY position, wheel, stretch`,
    [from, widthMs * 1000, asked.stretches - 1, ownerId, rigId, from, to],
  );
  const wheels = new Map<string, ThinLog['wheels'][number]>();
  let readings = 0;
  for (const row of rows) {
    const key = `${row.position} ${row.wheel}`;
    let wheel = wheels.get(key);
    if (!wheel) {
      wheel = { position: row.position, wheel: row.wheel, stretches: [] };
      wheels.set(key, wheel);
    }
    readings += row.readings;
    wheel.stretches.push({
      at: new Date(from.getTime() + (Number(row.stretch) + 0.5) * widthMs).toISOString(),
      leastKpa: row.least,
      mostKpa: row.most,
      tempC: row.temp,
    });
  }
  return { from: from.toISOString(), to: to.toISOString(), readings, wheels: [...wheels.values()] };
}

/** Every reading of a rig, wheel by wheel in order of time, a batch at a time. */
export async function* logOf(pool: Pool, ownerId: string, rigId: string): AsyncGenerator<RowDataPacket[]> {
  const [wheels] = await pool.query<RowDataPacket[]>(
    'SELECT DISTINCT position, wheel FROM monitor_log WHERE owner_id = ? AND rig_id = ?',
    [ownerId, rigId],
  );
  for (const { position, wheel } of wheels) {
    let after = new Date(0);
    for (;;) {
      const [rows] = await pool.query<RowDataPacket[]>(
        `SELECT position, wheel, read_at, pressure_kpa, temp_c, source FROM monitor_log
         WHERE owner_id = ? AND rig_id = ? AND position = ? AND wheel = ? AND read_at > ?
         ORDER BY read_at LIMIT ?`,
        [ownerId, rigId, position, wheel, after, LOG_ROWS_AT_ONCE],
      );
      if (rows.length === 0) break;
      yield rows;
      after = rows.at(-1)!.read_at;
    }
  }
}
