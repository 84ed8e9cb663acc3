import type { Connection } from '../db/pool';

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
  for (const { position, wheel, from, to } of changed) {
    const longest = SPANS_MIN.at(-1)!;
    const first = stretchStart(from, longest);
    const beyond = new Date(stretchStart(to, longest).getTime() + longest * MINUTE_MS);
    const own = [ownerId, rigId, position, wheel, first, beyond];
    await connection.query(
      `DELETE FROM monitor_log_summary
       WHERE owner_id = ? AND rig_id = ? AND span_min IN (?) AND position = ? AND wheel = ? AND from_at >= ? AND from_at < ?`,
      [ownerId, rigId, SPANS_MIN, position, wheel, first, beyond],
    );
    for (const spanMin of SPANS_MIN) {
      await connection.query(
        `INSERT INTO monitor_log_summary
         SELECT owner_id, rig_id, ?, position, wheel,
           '1970-01-01' + INTERVAL FLOOR(TIMESTAMPDIFF(MINUTE, '1970-01-01', read_at) / ?) * ? MINUTE AS stretch_at,
           MIN(pressure_kpa), MAX(pressure_kpa), SUM(temp_c), COUNT(temp_c), COUNT(*)
         FROM monitor_log
         WHERE owner_id = ? AND rig_id = ? AND position = ? AND wheel = ? AND read_at >= ? AND read_at < ?
         GROUP BY owner_id, rig_id, position, wheel, stretch_at`,
        [spanMin, spanMin, spanMin, ...own],
      );
    }
  }
}
