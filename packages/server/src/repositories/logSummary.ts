import type { Connection } from '../db/pool';
import { keptFrom } from './logMonths';
import { logNumber } from './logRigs';
import { logWheel } from './logWheel';

/** Widths of the stretches that a log is kept by beside its readings, minutes: each a multiple of the one before. */
export const SPANS_MIN = [10, 180] as const;
const MINUTE_MS = 60_000;

/** A stretch of one wheel's log whose readings have changed. */
export interface Changed {
  readonly position: string;
  readonly wheel: string;
  readonly from: Date;
  readonly to: Date;
}

/** Changes nearer to each other than this are made anew in one go, ms. */
const TOGETHER_MS = 6 * 3_600_000;

/** What has changed, wheel by wheel, from the times of readings in any order. */
export function changedBy(
  rows: Iterable<readonly [position: string, wheel: string, readAt: Date, ...unknown[]]>,
): Changed[] {
  const times = new Map<string, { readonly position: string; readonly wheel: string; readonly at: number[] }>();
  for (const [position, wheel, readAt] of rows) {
    const key = `${position} ${wheel}`;
    const own = times.get(key) ?? { position, wheel, at: [] };
    own.at.push(readAt.getTime());
    times.set(key, own);
  }
  return [...times.values()].flatMap(({ position, wheel, at }) => {
    at.sort((a, b) => a - b);
    const stretches: { from: number; to: number }[] = [];
    for (const each of at) {
      const last = stretches.at(-1);
      if (last && each - last.to < TOGETHER_MS) last.to = each;
      else stretches.push({ from: each, to: each });
    }
    return stretches.map(({ from, to }) => ({ position, wheel, from: new Date(from), to: new Date(to) }));
  });
}

/** The start of the stretch that a time lies in. */
export const stretchStart = (at: Date, spanMin: number): Date =>
  new Date(Math.floor(at.getTime() / (spanMin * MINUTE_MS)) * spanMin * MINUTE_MS);

/** Makes the summary of what has changed anew, inside the transaction that changed it. */
export async function summarise(
  connection: Connection,
  ownerId: string,
  rigId: string,
  changed: readonly Changed[],
): Promise<void> {
  const rig = await logNumber(connection, ownerId, rigId);
  const oldest = await keptFrom(connection, ownerId);
  for (const { position, wheel, from: changedFrom, to } of changed) {
    // What was summed up before its readings were forgotten stays as it is.
    const from = oldest !== null && changedFrom < oldest ? oldest : changedFrom;
    if (to < from) continue;
    const longest = SPANS_MIN.at(-1)!;
    const first = stretchStart(from, longest);
    const beyond = new Date(stretchStart(to, longest).getTime() + longest * MINUTE_MS);
    await connection.query(
      `DELETE FROM monitor_log_summary
       WHERE owner_id = ? AND rig_id = ? AND span_min IN (?) AND position = ? AND wheel = ? AND from_at >= ? AND from_at < ?`,
      [ownerId, rigId, SPANS_MIN, position, wheel, first, beyond],
    );
    const [finest, ...wider] = SPANS_MIN;
    await connection.query(
      `INSERT INTO monitor_log_summary
       SELECT ?, ?, ?, ?, ?, ${startOf('stretch')}, least, most, temp_sum, temps, readings
       FROM (
         SELECT ${stretchOf('read_at')} AS stretch, MIN(tenths_kpa) / 10e0 AS least, MAX(tenths_kpa) / 10e0 AS most,
           SUM(tenths_c) / 10e0 AS temp_sum, COUNT(tenths_c) AS temps, COUNT(*) AS readings
         FROM rig_log
         WHERE rig = ? AND wheel = ? AND read_at >= ? AND read_at < ?
         GROUP BY stretch
       ) stretches`,
      [ownerId, rigId, finest, position, wheel, finest, finest, rig, logWheel(position, wheel), first, beyond],
    );
    // Each wider stretch is made of whole ones of the finest: far fewer rows than the readings.
    for (const spanMin of wider) {
      await connection.query(
        `INSERT INTO monitor_log_summary
         SELECT ?, ?, ?, ?, ?, ${startOf('stretch')}, least, most, temp_sum, temps, readings
         FROM (
           SELECT ${stretchOf('from_at')} AS stretch, MIN(least_kpa) AS least, MAX(most_kpa) AS most,
             SUM(temp_sum) AS temp_sum, SUM(temps) AS temps, SUM(readings) AS readings
           FROM monitor_log_summary
           WHERE owner_id = ? AND rig_id = ? AND span_min = ? AND position = ? AND wheel = ? AND from_at >= ? AND from_at < ?
           GROUP BY stretch
         ) stretches`,
        [
          ownerId,
          rigId,
          spanMin,
          position,
          wheel,
          spanMin,
          spanMin,
          ownerId,
          rigId,
          finest,
          position,
          wheel,
          first,
          beyond,
        ],
      );
    }
  }
}

/** The number of the stretch that a time lies in, and the time that a stretch begins at; each takes its width in minutes. */
const stretchOf = (column: string): string => `TIMESTAMPDIFF(MINUTE, '1970-01-01', ${column}) DIV ?`;
const startOf = (number: string): string => `'1970-01-01' + INTERVAL ${number} * ? MINUTE`;
