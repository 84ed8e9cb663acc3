import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';

import mysql, { type Connection, type RowDataPacket } from 'mysql2/promise';
import { Umzug } from 'umzug';

import type { DatabaseConfig } from '../config';
import { LEASES_TABLE, withLease } from './lease';
import { runMigration, STEPS_TABLE } from './statements';

export const MIGRATIONS_FOLDER = path.resolve(__dirname, '../../migrations');
const NAME = /^(\d{4})_[a-z0-9_]+\.sql$/;
const LOCK_SECONDS = 60;

/** The migration files in order. Refuses names out of form and gaps in the numbers. */
export async function migrationFiles(folder: string): Promise<string[]> {
  const files = (await readdir(folder)).filter((name) => name.endsWith('.sql')).sort();
  files.forEach((file, index) => {
    const expected = String(index + 1).padStart(4, '0');
    if (NAME.exec(file)?.[1] !== expected) {
      throw new Error(`Migration ${file}: expected a name like ${expected}_what_it_does.sql, without a gap`);
    }
  });
  return files;
}

const hashOf = (sql: string): string => createHash('sha256').update(sql).digest('hex');

/** Where several nodes are one database, a named lock holds on one of them alone. */
async function isCluster(connection: Connection): Promise<boolean> {
  const [[on]] = await connection.query<RowDataPacket[]>("SHOW VARIABLES LIKE 'wsrep_on'");
  return on?.Value === 'ON';
}

/**
 * Brings the database to the newest migration, in order, each once, one server after the other where several start
 * together, and killed in the middle goes on where it was. A file that changed after it ran is refused.
 */
export async function migrate(config: DatabaseConfig, folder = MIGRATIONS_FOLDER): Promise<string[]> {
  const files = await migrationFiles(folder);
  const connect = (): Promise<Connection> => mysql.createConnection({ ...config, timezone: 'Z' });
  const connection = await connect();
  try {
    await connection.query(LEASES_TABLE);
    if (await isCluster(connection)) {
      return await withLease(connect, 'migrations', (check) => migrateAlone(connection, files, folder, check));
    }
    // On one node a lock goes with the connection that holds it: nobody waits for who died.
    const lock = `${config.database}_migrations`;
    const [[locked]] = await connection.query<RowDataPacket[]>('SELECT GET_LOCK(?, ?) AS held', [lock, LOCK_SECONDS]);
    if (locked?.held !== 1) throw new Error(`Another server held the migration lock for ${LOCK_SECONDS} s`);
    return await migrateAlone(connection, files, folder, () => undefined);
  } finally {
    await connection.end();
  }
}

/** The same, with nobody else at it. */
async function migrateAlone(
  connection: Connection,
  files: readonly string[],
  folder: string,
  check: () => void,
): Promise<string[]> {
  await connection.query(
    `CREATE TABLE IF NOT EXISTS migrations (
         name VARCHAR(120) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
         hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
         applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
       ) ENGINE = InnoDB`,
  );
  await connection.query(STEPS_TABLE);
  const [applied] = await connection.query<RowDataPacket[]>('SELECT name, hash FROM migrations ORDER BY name');
  const contents = new Map(
    await Promise.all(files.map(async (name) => [name, await readFile(path.join(folder, name), 'utf8')] as const)),
  );
  for (const { name, hash } of applied) {
    const sql = contents.get(name);
    if (sql === undefined) throw new Error(`Migration ${name} has run here, but its file is gone`);
    if (hashOf(sql) !== hash) throw new Error(`Migration ${name} was changed after it ran; add a new one instead`);
  }

  const umzug = new Umzug({
    migrations: files.map((name) => ({
      name,
      up: async () => {
        check();
        await runMigration(connection, name, contents.get(name)!);
      },
    })),
    storage: {
      executed: async () => applied.map((row) => String(row.name)),
      logMigration: async ({ name }) => {
        await connection.beginTransaction();
        await connection.query('INSERT INTO migrations (name, hash) VALUES (?, ?)', [
          name,
          hashOf(contents.get(name)!),
        ]);
        await connection.query('DELETE FROM migration_steps WHERE name = ?', [name]);
        await connection.commit();
      },
      unlogMigration: async () => {
        throw new Error('Migrations only go forward');
      },
    },
    logger: undefined,
  });
  const done = await umzug.up();
  return done.map(({ name }) => name);
}
