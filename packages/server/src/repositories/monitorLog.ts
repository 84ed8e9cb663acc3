import { LOG_FROM, LOG_TO, type DownsampledLog } from '@dunlinmoss/contract';
import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

import { inTransaction, type Connection } from '../db/pool';
import { SPANS_MIN, stretchStart, summarise } from './logSummary';

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

/**
 * Adds readings to a rig's log; what is there already stays. Gives back how many were new. Their summary is to be made
 * anew in the same transaction: see `summarise`.
 */
export async function addToLog(
  connection: Connection,
  ownerId: string,
  rigId: string,
  source: 'monitor' | 'file',
  rows: readonly LogTuple[],
): Promise<number> {
  if (rows.length === 0) return 0;
  // Not INSERT IGNORE, which would also let through what the columns can't hold.
  const [result] = await connection.query<ResultSetHeader>(
    `INSERT INTO monitor_log
       (owner_id, rig_id, position, wheel, read_at, pressure_kpa, temp_c, source) VALUES ?
     ON DUPLICATE KEY UPDATE owner_id = monitor_log.owner_id`,
    [rows.map((row) => [ownerId, rigId, ...row, source])],
  );
  return result.affectedRows;
}

/** The wheels that a rig's log speaks of, from its summary: the readings themselves would all be walked through. */
async function wheelsOfLog(
  connection: Pool | Connection,
  ownerId: string,
  rigId: string,
): Promise<{ readonly position: string; readonly wheel: string }[]> {
  const [wheels] = await connection.query<RowDataPacket[]>(
    'SELECT DISTINCT position, wheel FROM monitor_log_summary WHERE owner_id = ? AND rig_id = ? AND span_min = ?',
    [ownerId, rigId, SPANS_MIN.at(-1)],
  );
  return wheels as unknown as { position: string; wheel: string }[];
}

/** Deletes the readings of a rig between two times, for good. Gives back how many there were. */
export const deleteFromLog = (pool: Pool, ownerId: string, rigId: string, from: Date, to: Date): Promise<number> =>
  inTransaction(pool, async (connection) => {
    let removed = 0;
    for (const { position, wheel } of await wheelsOfLog(connection, ownerId, rigId)) {
      const [result] = await connection.query<ResultSetHeader>(
        `DELETE FROM monitor_log
         WHERE owner_id = ? AND rig_id = ? AND position = ? AND wheel = ? AND read_at BETWEEN ? AND ?`,
        [ownerId, rigId, position, wheel, from, to],
      );
      if (result.affectedRows === 0) continue;
      removed += result.affectedRows;
      await summarise(connection, ownerId, rigId, [{ position, wheel, from, to }]);
    }
    return removed;
  });

/** How far a rig's log reaches; null where there is none. Readings of no time that can be are left out. */
async function reach(
  pool: Pool,
  ownerId: string,
  rigId: string,
  wheels: readonly { readonly position: string; readonly wheel: string }[],
): Promise<{ from: Date; to: Date } | null> {
  const ends: Date[] = [];
  for (const { position, wheel } of wheels) {
    const [[row]] = await pool.query<RowDataPacket[]>(
      `SELECT MIN(read_at) AS first, MAX(read_at) AS last FROM monitor_log
       WHERE owner_id = ? AND rig_id = ? AND position = ? AND wheel = ? AND read_at BETWEEN ? AND ?`,
      [ownerId, rigId, position, wheel, new Date(LOG_FROM), new Date(LOG_TO)],
    );
    if (row!.first !== null) ends.push(row!.first, row!.last);
  }
  if (ends.length === 0) return null;
  const times = ends.map((end) => end.getTime());
  return { from: new Date(Math.min(...times)), to: new Date(Math.max(...times)) };
}

/** Where a log is read from: its readings, or the widest summary that is still fine enough. */
function levelFor(from: Date, to: Date, stretches: number): (typeof SPANS_MIN)[number] | null {
  const widthMin = (to.getTime() - from.getTime()) / stretches / 60_000;
  return SPANS_MIN.findLast((span) => 2 * span <= widthMin) ?? null;
}

const RAW = (times: string): string =>
  `SELECT read_at AS at, pressure_kpa AS least, pressure_kpa AS most, temp_c AS temp_sum, temp_c IS NOT NULL AS temps, 1 AS readings
   FROM monitor_log WHERE owner_id = ? AND rig_id = ? AND position = ? AND wheel = ? AND ${times}`;
const SUMMARY = `SELECT from_at AS at, least_kpa AS least, most_kpa AS most, temp_sum, temps, readings
   FROM monitor_log_summary
   WHERE owner_id = ? AND rig_id = ? AND span_min = ? AND position = ? AND wheel = ? AND from_at >= ? AND from_at < ?`;

/**
 * A rig's log between two times, thinned to so many stretches, each with its least and most. A long window is read from
 * the summary, but for its two ends; there a peak may be drawn a summary's width off, and none is lost.
 */
export async function downsampledLogOf(
  pool: Pool,
  ownerId: string,
  rigId: string,
  asked: { readonly from?: string | undefined; readonly to?: string | undefined; readonly stretches: number },
): Promise<DownsampledLog | null> {
  const wheelsSeen = await wheelsOfLog(pool, ownerId, rigId);
  const whole =
    asked.from !== undefined && asked.to !== undefined ? null : await reach(pool, ownerId, rigId, wheelsSeen);
  const from = asked.from === undefined ? whole?.from : new Date(asked.from);
  const to = asked.to === undefined ? whole?.to : new Date(asked.to);
  if (!from || !to) return null;
  const widthMs = Math.max(1, (to.getTime() - from.getTime()) / asked.stretches);
  const spanMin = levelFor(from, to, asked.stretches);
  const wheels: DownsampledLog['wheels'] = [];
  let readings = 0;
  // The key begins with the wheel: one range of it for each.
  for (const { position, wheel } of wheelsSeen) {
    const own = [ownerId, rigId, position, wheel];
    const [source, values] =
      spanMin === null
        ? ([RAW('read_at BETWEEN ? AND ?'), [...own, from, to]] as const)
        : summarised(own, from, to, spanMin);
    const [rows] = await pool.query<RowDataPacket[]>(
      `SELECT LEAST(FLOOR(GREATEST(0, TIMESTAMPDIFF(MICROSECOND, ?, at)) / ?), ?) AS stretch, MIN(least) AS least,
         MAX(most) AS most, SUM(temp_sum) / NULLIF(SUM(temps), 0) AS temp, CAST(SUM(readings) AS DOUBLE) AS readings
       FROM (${source}) read_from GROUP BY stretch ORDER BY stretch`,
      [from, widthMs * 1000, asked.stretches - 1, ...values],
    );
    if (rows.length === 0) continue;
    wheels.push({
      position,
      wheel,
      stretches: rows.map((row) => ({
        at: new Date(from.getTime() + (Number(row.stretch) + 0.5) * widthMs).toISOString(),
        leastKpa: row.least,
        mostKpa: row.most,
        tempC: row.temp,
      })),
    } as DownsampledLog['wheels'][number]);
    readings += rows.reduce((sum, row) => sum + row.readings, 0);
  }
  return { from: from.toISOString(), to: to.toISOString(), readings, wheels };
}

/** A window of one wheel: whole stretches of the summary, and the readings of what sticks out at both ends. */
function summarised(
  own: readonly string[],
  from: Date,
  to: Date,
  spanMin: number,
): readonly [sql: string, values: readonly unknown[]] {
  const innerFrom = new Date(stretchStart(from, spanMin).getTime() + spanMin * 60_000);
  const innerTo = stretchStart(to, spanMin);
  const [ownerId, rigId, position, wheel] = own;
  return [
    `${RAW('read_at >= ? AND read_at < ?')} UNION ALL ${SUMMARY} UNION ALL ${RAW('read_at BETWEEN ? AND ?')}`,
    [...own, from, innerFrom, ownerId, rigId, spanMin, position, wheel, innerFrom, innerTo, ...own, innerTo, to],
  ];
}

/** The rigs that have a log. */
export async function rigsWithLog(connection: Connection, ownerId: string): Promise<string[]> {
  const [rows] = await connection.query<RowDataPacket[]>('SELECT DISTINCT rig_id FROM monitor_log WHERE owner_id = ?', [
    ownerId,
  ]);
  return rows.map(({ rig_id }) => rig_id);
}

/** Every reading of a rig, wheel by wheel in order of time, a batch at a time. */
export async function* logOf(pool: Pool | Connection, ownerId: string, rigId: string): AsyncGenerator<RowDataPacket[]> {
  for (const { position, wheel } of await wheelsOfLog(pool, ownerId, rigId)) {
    let after = new Date(Date.parse(LOG_FROM) - 1);
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
