import type { Connection, RowDataPacket } from 'mysql2/promise';

/**
 * Runs the statements of a migration one by one, each recorded, so that a kill in the middle is picked up at the next
 * start. What changes rows is kept together with its record, or not at all. What changes tables can't be: MariaDB does
 * each such statement wholly or not at all (atomic DDL, since 10.6), so one that was begun and not recorded is run again,
 * and where the database answers that it is there already, it was done.
 */

/** Statements of a migration file: each ends with a semicolon at the end of a line. Lines of comment are left out. */
export const statementsOf = (sql: string): string[] =>
  sql
    .split('\n')
    .filter((line) => !line.trimStart().startsWith('--'))
    .join('\n')
    .split(/;\s*(?:\n|$)/)
    .map((statement) => statement.trim())
    .filter(Boolean);

const CHANGES_TABLES = /^(CREATE|ALTER|DROP|RENAME)\s/i;

/** What MariaDB says of a table, column, key or constraint that is there, or gone, already. */
const DONE_ALREADY = new Set([
  'ER_TABLE_EXISTS_ERROR',
  'ER_DUP_FIELDNAME',
  'ER_DUP_KEYNAME',
  'ER_CANT_DROP_FIELD_OR_KEY',
  'ER_BAD_TABLE_ERROR',
  // A column that a statement renames is not there any more.
  'ER_BAD_FIELD_ERROR',
]);

const isDoneAlready = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && DONE_ALREADY.has(String(error.code));

export const STEPS_TABLE = `CREATE TABLE IF NOT EXISTS migration_steps (
  name VARCHAR(120) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  begun SMALLINT UNSIGNED NOT NULL,
  done SMALLINT UNSIGNED NOT NULL
) ENGINE = InnoDB`;

/** Runs what is left of a migration, from where an earlier run was cut off. */
export async function runMigration(connection: Connection, name: string, sql: string): Promise<void> {
  const statements = statementsOf(sql);
  const [[steps]] = await connection.query<RowDataPacket[]>('SELECT begun, done FROM migration_steps WHERE name = ?', [
    name,
  ]);
  const record = (begun: number, done: number) =>
    connection.query('REPLACE INTO migration_steps (name, begun, done) VALUES (?, ?, ?)', [name, begun, done]);
  for (let step = Number(steps?.done ?? 0); step < statements.length; step += 1) {
    const statement = statements[step]!;
    if (CHANGES_TABLES.test(statement)) {
      const begunBefore = Number(steps?.begun ?? 0) === step + 1;
      await record(step + 1, step);
      try {
        await connection.query(statement);
      } catch (error) {
        if (!begunBefore || !isDoneAlready(error)) throw error;
      }
      await record(step + 1, step + 1);
    } else {
      await connection.beginTransaction();
      await connection.query(statement);
      await record(step + 1, step + 1);
      await connection.commit();
    }
  }
}
