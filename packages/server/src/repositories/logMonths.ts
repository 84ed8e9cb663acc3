import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';

/*
 * The log lies in months. Those to come are made ready; what a space keeps no longer is taken away, a month at once where
 * nobody keeps any of it. What the readings added up to stays in the summary.
 */

/** So many months to come have a place of their own. */
const AHEAD = 3;
/** Rows deleted in one go: others get in between. */
const BATCH = 20_000;

/** Midnight of the first of a month, UTC, so many months from another. */
const monthFrom = (at: Date, months: number): Date =>
  new Date(Date.UTC(at.getUTCFullYear(), at.getUTCMonth() + months, 1));
const nameOf = (month: Date): string => `p${month.toISOString().slice(0, 7).replace('-', '')}`;
const dayOf = (month: Date): string => month.toISOString().slice(0, 10);

/** From when on a space that keeps readings for so many months keeps them: whole months. */
const keptSince = (months: number, now: Date): Date => monthFrom(now, -months);

/** How many months a space keeps each reading; null for good. */
export async function logMonthsOf(connection: Pool | Connection, ownerId: string): Promise<number | null> {
  const [[row]] = await connection.query<RowDataPacket[]>('SELECT log_months FROM owners WHERE id = ?', [ownerId]);
  return row?.log_months ?? null;
}

export const keepLogFor = (pool: Pool, ownerId: string, months: number | null): Promise<unknown> =>
  pool.query('UPDATE owners SET log_months = ? WHERE id = ?', [months, ownerId]);

/** From when on a space has its readings; null where it keeps them for good. */
export async function keptFrom(connection: Pool | Connection, ownerId: string): Promise<Date | null> {
  const months = await logMonthsOf(connection, ownerId);
  return months === null ? null : keptSince(months, new Date());
}

interface Month {
  readonly name: string;
  /** Before when everything in it was read. */
  readonly before: Date;
}

/** The months that have a place of their own, the oldest first. */
export async function monthsOfLog(pool: Pool): Promise<readonly Month[]> {
  const [rows] = await pool.query<RowDataPacket[]>(
    `SELECT partition_name AS name, partition_description AS before_day FROM information_schema.partitions
     WHERE table_schema = DATABASE() AND table_name = 'rig_log' ORDER BY partition_ordinal_position`,
  );
  return rows
    .filter(({ before_day }) => before_day !== 'MAXVALUE')
    .map(({ name, before_day }) => ({
      name,
      before: new Date(`${String(before_day).replace(/'/g, '').slice(0, 10)}T00:00:00Z`),
    }));
}

/** Makes ready the months to come. What lies in them already moves along. */
export async function readyMonths(pool: Pool, now = new Date()): Promise<readonly string[]> {
  const made: string[] = [];
  const last = (await monthsOfLog(pool)).at(-1)!.before;
  for (let month = last; month < monthFrom(now, AHEAD + 1); month = monthFrom(month, 1)) made.push(nameOf(month));
  if (made.length === 0) return made;
  const places = made.map(
    (name, index) => `PARTITION ${name} VALUES LESS THAN ('${dayOf(monthFrom(last, index + 1))}')`,
  );
  await pool.query(
    `ALTER TABLE rig_log REORGANIZE PARTITION p_after INTO (${places.join(', ')}, PARTITION p_after VALUES LESS THAN (MAXVALUE))`,
  );
  return made;
}

/** Where the rows of a month stand that is being emptied. */
const GONE = 'rig_log_gone';

/**
 * Puts back what somebody keeps of a month that was emptied, and lets the rest go. Also at the beginning: what was being
 * emptied when a server was killed.
 */
async function letGo(pool: Pool, now: Date): Promise<void> {
  const [[there]] = await pool.query<RowDataPacket[]>(
    'SELECT 1 FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name = ?',
    [GONE],
  );
  if (!there) return;
  // Somebody may have taken in readings of back then in the very moment.
  const [kept] = await pool.query<RowDataPacket[]>(
    `SELECT DISTINCT g.rig, o.log_months AS months FROM ${GONE} g JOIN log_rigs r ON r.no = g.rig JOIN owners o ON o.id = r.owner_id`,
  );
  for (const { rig, months } of kept) {
    await pool.query(
      `INSERT INTO rig_log SELECT * FROM ${GONE} g WHERE g.rig = ? AND g.read_at >= ? ON DUPLICATE KEY UPDATE rig = rig_log.rig`,
      [rig, months === null ? new Date(0) : keptSince(months, now)],
    );
  }
  await pool.query(`DROP TABLE IF EXISTS ${GONE}`);
}

/** Empties a month: its rows change places with those of an empty table, in an instant. */
async function emptyMonth(pool: Pool, name: string, now: Date): Promise<boolean> {
  const [[any]] = await pool.query<RowDataPacket[]>(`SELECT 1 FROM rig_log PARTITION (${name}) LIMIT 1`);
  if (!any) return false;
  await pool.query(`CREATE TABLE ${GONE} LIKE rig_log`);
  await pool.query(`ALTER TABLE ${GONE} REMOVE PARTITIONING`);
  await pool.query(`ALTER TABLE rig_log EXCHANGE PARTITION ${name} WITH TABLE ${GONE}`);
  await letGo(pool, now);
  return true;
}

/**
 * Takes away what spaces keep no longer: months that nobody keeps whole, and of those that somebody keeps, row by row. One
 * server at a time.
 */
export async function forgetOldReadings(
  pool: Pool,
  now = new Date(),
): Promise<{ readonly months: readonly string[]; readonly rows: number }> {
  await letGo(pool, now);
  const [spaces] = await pool.query<RowDataPacket[]>(
    'SELECT o.id, o.log_months AS months FROM owners o WHERE EXISTS (SELECT 1 FROM log_rigs r WHERE r.owner_id = o.id)',
  );
  const months: string[] = [];
  if (spaces.length > 0 && spaces.every(({ months: kept }) => kept !== null)) {
    const oldest = Math.min(...spaces.map(({ months: kept }) => keptSince(kept, now).getTime()));
    for (const { name, before } of await monthsOfLog(pool)) {
      if (before.getTime() <= oldest && (await emptyMonth(pool, name, now))) months.push(name);
    }
  }
  let rows = 0;
  for (const { id, months: kept } of spaces) {
    if (kept === null) continue;
    const [rigs] = await pool.query<RowDataPacket[]>('SELECT no FROM log_rigs WHERE owner_id = ?', [id]);
    for (const { no } of rigs) {
      for (;;) {
        const [removed] = await pool.query<ResultSetHeader>(
          'DELETE FROM rig_log WHERE rig = ? AND read_at < ? LIMIT ?',
          [no, keptSince(kept, now), BATCH],
        );
        rows += removed.affectedRows;
        if (removed.affectedRows < BATCH) break;
      }
    }
  }
  return { months, rows };
}
