import { LOG_FROM, LOG_TO, type DownsampledLog } from '@dunlinmoss/contract';
import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

import { inTransaction, type Connection } from '../db/pool';
import { keptFrom } from './logMonths';
import { logNumber, makeLogNumber } from './logRigs';
import { SPANS_MIN, stretchStart, summarise } from './logSummary';
import { logWheel } from './logWheel';

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

/** The same as it lies in `rig_log`: the wheel's number, time, tenths of a kPa and of a °C. */
export type NumberedReading = readonly [wheel: number, readAt: Date, tenthsKpa: number, tenthsC: number | null];

const tenths = (value: number): number => Math.round(10 * value);

export const numberedReading = ([position, wheel, readAt, kpa, tempC]: LogTuple): NumberedReading => [
  logWheel(position, wheel),
  readAt,
  tenths(kpa),
  tempC === null ? null : tenths(tempC),
];

/**
 * Adds readings to a rig's log; what is there already stays, and what is older than the space keeps is left out. Gives back
 * how many were new. Their summary is to be made anew after it: see `summarise`.
 */
export const addToLog = (
  connection: Connection,
  ownerId: string,
  rigId: string,
  source: 'monitor' | 'file',
  rows: readonly LogTuple[],
): Promise<number> => addNumbered(connection, ownerId, rigId, source, rows.map(numberedReading));

export async function addNumbered(
  connection: Connection,
  ownerId: string,
  rigId: string,
  source: 'monitor' | 'file',
  rows: readonly NumberedReading[],
): Promise<number> {
  const oldest = await keptFrom(connection, ownerId);
  const kept = oldest === null ? rows : rows.filter(([, readAt]) => readAt >= oldest);
  if (kept.length === 0) return 0;
  const rig = await makeLogNumber(connection, ownerId, rigId);
  // Not INSERT IGNORE, which would also let through what the columns can't hold.
  const [result] = await connection.query<ResultSetHeader>(
    `INSERT INTO rig_log (rig, wheel, read_at, tenths_kpa, tenths_c, source) VALUES ?
     ON DUPLICATE KEY UPDATE rig = rig_log.rig`,
    [kept.map((reading) => [rig, ...reading, source])],
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
    const rig = await logNumber(connection, ownerId, rigId);
    for (const { position, wheel } of await wheelsOfLog(connection, ownerId, rigId)) {
      const [result] = await connection.query<ResultSetHeader>(
        'DELETE FROM rig_log WHERE rig = ? AND wheel = ? AND read_at BETWEEN ? AND ?',
        [rig, logWheel(position, wheel), from, to],
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
  rig: number | null,
  oldest: Date | null,
  wheels: readonly { readonly position: string; readonly wheel: string }[],
): Promise<{ from: Date; to: Date } | null> {
  const ends: Date[] = [];
  for (const { position, wheel } of wheels) {
    // What was forgotten still stands in the summary.
    const [[row]] = await pool.query<RowDataPacket[]>(
      `SELECT MIN(first) AS first, MAX(last) AS last FROM (
         SELECT MIN(read_at) AS first, MAX(read_at) AS last FROM rig_log
         WHERE rig = ? AND wheel = ? AND read_at BETWEEN ? AND ?
         UNION ALL
         SELECT MIN(from_at), NULL FROM monitor_log_summary
         WHERE owner_id = ? AND rig_id = ? AND span_min = ? AND position = ? AND wheel = ? AND from_at < ?
       ) ends`,
      [
        ...[rig, logWheel(position, wheel), new Date(LOG_FROM), new Date(LOG_TO)],
        ...[ownerId, rigId, SPANS_MIN[0], position, wheel, oldest ?? new Date(LOG_FROM)],
      ],
    );
    ends.push(...[row!.first, row!.last].filter((end) => end !== null));
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
  `SELECT read_at AS at, tenths_kpa / 10e0 AS least, tenths_kpa / 10e0 AS most, tenths_c / 10e0 AS temp_sum,
     tenths_c IS NOT NULL AS temps, 1 AS readings
   FROM rig_log WHERE rig = ? AND wheel = ? AND ${times}`;
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
  const rig = await logNumber(pool, ownerId, rigId);
  const oldest = await keptFrom(pool, ownerId);
  const whole =
    asked.from !== undefined && asked.to !== undefined
      ? null
      : await reach(pool, ownerId, rigId, rig, oldest, wheelsSeen);
  const from = asked.from === undefined ? whole?.from : new Date(asked.from);
  const to = asked.to === undefined ? whole?.to : new Date(asked.to);
  if (!from || !to) return null;
  const widthMs = Math.max(1, (to.getTime() - from.getTime()) / asked.stretches);
  // Of what was forgotten the finest summary is left.
  const spanMin = levelFor(from, to, asked.stretches) ?? (oldest !== null && from < oldest ? SPANS_MIN[0] : null);
  const wheels: DownsampledLog['wheels'] = [];
  let readings = 0;
  // The key begins with the wheel: one range of it for each.
  for (const { position, wheel } of wheelsSeen) {
    const own = { raw: [rig, logWheel(position, wheel)], summary: [ownerId, rigId, spanMin, position, wheel] };
    const [source, values] =
      spanMin === null
        ? ([RAW('read_at BETWEEN ? AND ?'), [...own.raw, from, to]] as const)
        : summarised(own, from, to, spanMin, oldest);
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

/** What a query of one wheel begins with, in the log itself and in its summary. */
interface OwnValues {
  readonly raw: readonly unknown[];
  readonly summary: readonly unknown[];
}

/** A window of one wheel: whole stretches of the summary, and the readings of what sticks out at both ends. */
function summarised(
  { raw, summary }: OwnValues,
  from: Date,
  to: Date,
  spanMin: number,
  oldest: Date | null,
): readonly [sql: string, values: readonly unknown[]] {
  // Of readings that were forgotten nothing sticks out: their stretch is taken whole.
  const forgotten = oldest !== null && from < oldest;
  const innerFrom = forgotten
    ? stretchStart(from, spanMin)
    : new Date(stretchStart(from, spanMin).getTime() + spanMin * 60_000);
  const innerTo = stretchStart(to, spanMin);
  return [
    `${RAW('read_at >= ? AND read_at < ?')} UNION ALL ${SUMMARY} UNION ALL ${RAW('read_at BETWEEN ? AND ?')}`,
    [...raw, from, innerFrom, ...summary, innerFrom, innerTo, ...raw, innerTo, to],
  ];
}

/** Every reading of a rig, wheel by wheel in order of time, a batch at a time. */
export async function* logOf(pool: Pool | Connection, ownerId: string, rigId: string): AsyncGenerator<RowDataPacket[]> {
  const rig = await logNumber(pool, ownerId, rigId);
  for (const { position, wheel } of await wheelsOfLog(pool, ownerId, rigId)) {
    let after = new Date(Date.parse(LOG_FROM) - 1);
    for (;;) {
      const [rows] = await pool.query<RowDataPacket[]>(
        `SELECT read_at, tenths_kpa / 10e0 AS pressure_kpa, tenths_c / 10e0 AS temp_c, source FROM rig_log
         WHERE rig = ? AND wheel = ? AND read_at > ?
         ORDER BY read_at LIMIT ?`,
        [rig, logWheel(position, wheel), after, LOG_ROWS_AT_ONCE],
      );
      if (rows.length === 0) break;
      yield rows.map((row) => ({ position, wheel, ...row }) as RowDataPacket);
      after = rows.at(-1)!.read_at;
    }
  }
}
