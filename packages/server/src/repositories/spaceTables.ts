import type { Connection, Pool, RowDataPacket } from 'mysql2/promise';

/** Of the moment: nothing of it is kept in a backup of a space. */
const PASSING = new Set(['jobs', 'job_parts', 'live_rigs']);
/** The log goes by numbers that each database gives out by itself: see `space/backup.ts`. */
const NUMBERED = new Set(['log_rigs']);

export interface SpaceTable {
  readonly table: string;
  /** What is written in it: not what the database works out itself. */
  readonly columns: readonly string[];
}

/**
 * Every table whose rows name their space, as the database itself says, those that others point at first. What is kept in a
 * backup of a space, and what goes with it, follow from this.
 */
export async function everySpaceTable(connection: Connection | Pool): Promise<readonly SpaceTable[]> {
  const [columns] = await connection.query<RowDataPacket[]>(
    `SELECT c.table_name AS named, c.column_name AS col FROM information_schema.columns c
     WHERE c.table_schema = DATABASE() AND c.extra NOT LIKE '%GENERATED%'
       AND EXISTS (SELECT 1 FROM information_schema.columns o
                   WHERE o.table_schema = DATABASE() AND o.table_name = c.table_name AND o.column_name = 'owner_id')
     ORDER BY c.table_name, c.ordinal_position`,
  );
  const [pointers] = await connection.query<RowDataPacket[]>(
    `SELECT DISTINCT table_name AS own, referenced_table_name AS other FROM information_schema.key_column_usage
     WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL`,
  );
  const byTable = new Map<string, string[]>();
  for (const { named, col } of columns) byTable.set(named, [...(byTable.get(named) ?? []), col]);
  const ordered: SpaceTable[] = [];
  const left = new Set(byTable.keys());
  while (left.size > 0) {
    const next = [...left].find((table) => !pointers.some(({ own, other }) => own === table && left.has(other)));
    if (next === undefined) throw new Error(`Tables point at one another in a ring: ${[...left].join(', ')}`);
    left.delete(next);
    ordered.push({ table: next, columns: byTable.get(next)! });
  }
  return ordered;
}

/** The tables that a backup of a space holds row by row. */
export const keptTables = async (connection: Connection | Pool): Promise<readonly SpaceTable[]> =>
  (await everySpaceTable(connection)).filter(({ table }) => !PASSING.has(table) && !NUMBERED.has(table));
