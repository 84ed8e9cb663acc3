import { copyFile, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';

import { detailsOf } from '@dunlinmoss/contract';
import mysql from 'mysql2/promise';

import { readConfig } from '../src/config';
import { MIGRATIONS_FOLDER, migrate, migrationFiles } from '../src/db/migrate';
import { runMigration, statementsOf, STEPS_TABLE } from '../src/db/statements';
import { wheelOfLog } from '../src/repositories/logWheel';

/** A tape test as the first versions kept it. */
const TAPE_AS_IT_WAS = {
  wheel: 'frontLeft',
  tireMarking: '265/65R17 112T',
  loadRange: 'standard',
  wheelLoadKg: 583.6666666666666,
  surface: 'firm',
  method: 'marks',
  readings: [
    { pressureKpa: 248.2112625628, lengthMm: 160.5 },
    { pressureKpa: 103.42135939752501, lengthMm: 228 },
  ],
};

const database = { ...readConfig(process.env).database, database: 'dunlinmoss_migrations' };
let folder: string;
const write = (name: string, sql: string) => writeFile(path.join(folder, name), sql);

beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'dunlinmoss-migrations-'));
});
afterEach(() => rm(folder, { recursive: true }));

describe('migrationFiles', () => {
  it.each([
    ['a gap', ['0001_a.sql', '0003_c.sql'], '0003_c.sql'],
    ['a number used twice', ['0001_a.sql', '0001_b.sql'], '0001_b.sql'],
    ['a name out of form', ['0001_A.sql'], '0001_A.sql'],
    ['a start other than 1', ['0002_b.sql'], '0002_b.sql'],
  ])('refuses %s', async (_, names, told) => {
    for (const name of names) await write(name, 'SELECT 1');
    await expect(migrationFiles(folder)).rejects.toThrow(told);
  });
});

describe('migrate', () => {
  it('runs each file once, refuses a changed or a missing one, and two at a time are one', async () => {
    const connection = await mysql.createConnection(database);
    try {
      await write('0001_one.sql', 'CREATE TABLE aside (n INT);\nINSERT INTO aside VALUES (1);');
      const runs = await Promise.all([migrate(database, folder), migrate(database, folder)]);
      expect(runs.flat()).toEqual(['0001_one.sql']);
      const [rows] = await connection.query('SELECT n FROM aside');
      expect(rows).toEqual([{ n: 1 }]);

      await write('0001_one.sql', 'CREATE TABLE aside (n BIGINT)');
      await expect(migrate(database, folder)).rejects.toThrow('changed after it ran');
      await rm(path.join(folder, '0001_one.sql'));
      await expect(migrate(database, folder)).rejects.toThrow('its file is gone');
    } finally {
      await connection.end();
    }
  });
});

describe('statementsOf', () => {
  it('parts at semicolons that end a line, and leaves comments out', () => {
    expect(statementsOf("-- one; two;\nSELECT ';' ;\nSELECT\n  2 -- three\n;\n\n")).toEqual([
      "SELECT ';'",
      'SELECT\n  2 -- three',
    ]);
  });
});

describe('the migrations that ship', () => {
  /** Every table as the database itself describes it. */
  const tablesOf = async (connection: mysql.Connection): Promise<Record<string, string>> => {
    const [tables] = await connection.query<mysql.RowDataPacket[]>('SHOW TABLES');
    const described: Record<string, string> = {};
    for (const [name] of tables.map((row) => Object.values(row) as [string])) {
      const [[row]] = await connection.query<mysql.RowDataPacket[]>(`SHOW CREATE TABLE ${name}`);
      described[name] = row!['Create Table'];
    }
    return described;
  };
  const emptied = async (connection: mysql.Connection): Promise<void> => {
    await connection.query('SET FOREIGN_KEY_CHECKS = 0');
    const [tables] = await connection.query<mysql.RowDataPacket[]>('SHOW TABLES');
    for (const row of tables) await connection.query(`DROP TABLE ${Object.values(row)[0]}`);
    await connection.query('SET FOREIGN_KEY_CHECKS = 1');
  };

  it('go on after a kill behind any statement that changed a table and was not recorded', async () => {
    const connection = await mysql.createConnection(database);
    try {
      await emptied(connection);
      await migrate(database);
      const whole = await tablesOf(connection);

      await emptied(connection);
      await connection.query(STEPS_TABLE);
      for (const name of await migrationFiles(MIGRATIONS_FOLDER)) {
        const statements = statementsOf(await readFile(path.join(MIGRATIONS_FOLDER, name), 'utf8'));
        for (const [step, statement] of statements.entries()) {
          if (/^(CREATE|ALTER)/.test(statement)) {
            // As a kill leaves it: what stands before is recorded, this one is begun and done.
            await connection.query('REPLACE INTO migration_steps (name, begun, done) VALUES (?, ?, ?)', [
              name,
              step + 1,
              step,
            ]);
            await connection.query(statement);
          }
          await runMigration(connection, name, statements.slice(0, step + 1).join(';\n'));
        }
      }
      expect(await migrate(database)).toHaveLength((await migrationFiles(MIGRATIONS_FOLDER)).length);
      expect(await tablesOf(connection)).toEqual(whole);
    } finally {
      await connection.end();
    }
  });

  it('come to the same tables through a dozen kills at random moments', async () => {
    const connection = await mysql.createConnection(database);
    try {
      await emptied(connection);
      await migrate(database);
      const whole = await tablesOf(connection);
      const others = async (): Promise<unknown[]> =>
        (
          await connection.query<mysql.RowDataPacket[]>(
            'SELECT id FROM information_schema.processlist WHERE db = ? AND id <> CONNECTION_ID()',
            [database.database],
          )
        )[0].map(({ id }) => id);
      const tables = async (): Promise<number> =>
        (await connection.query<mysql.RowDataPacket[]>('SHOW TABLES'))[0].length;
      let kills = 0;
      // A machine that is busy elsewhere may let one through whole: then from the start again.
      for (let round = 0; round < 20 && kills < 12; round += 1) {
        await emptied(connection);
        for (let done = false; !done;) {
          let ended = false;
          const before = await tables();
          const running = migrate(database).then(
            () => true,
            () => false,
          );
          void running.then(() => (ended = true));
          while (!ended && (await tables()) <= before + (kills % 3)) await new Promise(setImmediate);
          // The other tests use databases of their own, so this is the migration's connection.
          for (const id of kills < 12 && !ended ? await others() : []) {
            await connection.query(`KILL ${id}`).then(
              () => (kills += 1),
              () => undefined,
            );
          }
          done = await running;
        }
        expect(await tablesOf(connection)).toEqual(whole);
      }
      expect(kills).toBeGreaterThanOrEqual(6);
      expect(await tablesOf(connection)).toEqual(whole);
      expect(await migrate(database)).toEqual([]);
    } finally {
      await connection.end();
    }
  });

  it('carry every reading of a log over, wheel by wheel, to tenths', async () => {
    const connection = await mysql.createConnection({ ...database, multipleStatements: true, timezone: 'Z' });
    try {
      await emptied(connection);
      const files = await migrationFiles(MIGRATIONS_FOLDER);
      for (const name of files.slice(0, 27))
        await copyFile(path.join(MIGRATIONS_FOLDER, name), path.join(folder, name));
      await migrate(database, folder);
      await connection.query(
        `INSERT INTO monitor_log VALUES
           ('o', 'r', 'front', 'left', '2026-11-03 06:00:00.125', 234.4217, 11.26, 'monitor'),
           ('o', 'r', 'trailer3', 'rightOuter', '1999-01-01 00:00:00', 0, NULL, 'file'),
           ('o', 's', 'rear2', 'single', '2090-01-01 00:00:00', 1999.96, -40, 'file')`,
      );
      await copyFile(path.join(MIGRATIONS_FOLDER, files[27]!), path.join(folder, files[27]!));
      await migrate(database, folder);
      const [rows] = await connection.query<mysql.RowDataPacket[]>(
        'SELECT rig_id, wheel, read_at, tenths_kpa, tenths_c, source FROM rig_log l JOIN log_rigs r ON r.no = l.rig ORDER BY rig_id, wheel',
      );
      expect(rows.map(({ wheel, ...row }) => ({ ...row, ...wheelOfLog(wheel) }))).toEqual([
        {
          ...{ rig_id: 'r', position: 'front', wheel: 'left', read_at: new Date('2026-11-03T06:00:00.125Z') },
          ...{ tenths_kpa: 2344, tenths_c: 113, source: 'monitor' },
        },
        {
          ...{ rig_id: 'r', position: 'trailer3', wheel: 'rightOuter', read_at: new Date('1999-01-01T00:00:00Z') },
          ...{ tenths_kpa: 0, tenths_c: null, source: 'file' },
        },
        {
          ...{ rig_id: 's', position: 'rear2', wheel: 'single', read_at: new Date('2090-01-01T00:00:00Z') },
          ...{ tenths_kpa: 20_000, tenths_c: -400, source: 'file' },
        },
      ]);
      const [gone] = await connection.query("SHOW TABLES LIKE 'monitor_log'");
      expect(gone).toEqual([]);
    } finally {
      await connection.end();
    }
  });

  it('carry the loads, bead locks and tests of four-wheel rigs over', async () => {
    const connection = await mysql.createConnection({ ...database, multipleStatements: true });
    try {
      await emptied(connection);
      const files = await migrationFiles(MIGRATIONS_FOLDER);
      const copy = (names: string[]) =>
        Promise.all(names.map((name) => copyFile(path.join(MIGRATIONS_FOLDER, name), path.join(folder, name))));
      await copy(files.slice(0, 4));
      await migrate(database, folder);
      await connection.query(
        `
        INSERT INTO owners (id) VALUES ('o');
        INSERT INTO rigs VALUES ('o', 'r', 3, 'fourWheel', 'Knot', TRUE, NOW(3), NOW(3), NULL);
        INSERT INTO rig_axles VALUES ('o', 'r', 'front', '265/65R17', 'standard', 240, 'axle', 570, 570);
        INSERT INTO rig_axles VALUES ('o', 'r', 'rear', '265/65R17', 'standard', 280, 'wheel', 705, 690);
        INSERT INTO proof_tests VALUES ('o', 't', 1, 'r', NULL, 'tape', NOW(3), ?, NOW(3), NOW(3), NULL);
      `,
        [JSON.stringify(TAPE_AS_IT_WAS)],
      );
      await copy(files.slice(4));
      await migrate(database, folder);
      const rows = async (sql: string): Promise<unknown> => (await connection.query(sql))[0];
      expect(await rows('SELECT position, part, load_kg FROM case_weights ORDER BY ordinal')).toEqual([
        { position: 'front', part: 'axle', load_kg: 1140 },
        { position: 'rear', part: 'left', load_kg: 705 },
        { position: 'rear', part: 'right', load_kg: 690 },
      ]);
      expect(await rows('SELECT position, road_kpa, behind_mm, bead_hold FROM rig_axles ORDER BY position')).toEqual([
        { position: 'front', road_kpa: 240, behind_mm: 0, bead_hold: 'beadLock' },
        { position: 'rear', road_kpa: 280, behind_mm: 2790, bead_hold: 'beadLock' },
      ]);
      expect(await rows('SELECT load_case_id FROM rigs')).toEqual([{ load_case_id: 'r' }]);
      const [test] = (await rows('SELECT details FROM proof_tests')) as { details: unknown }[];
      const { wheel: _, surface, method, readings, ...kept } = TAPE_AS_IT_WAS;
      // As it is read today, to the last digit.
      expect(detailsOf('tape', test!.details)).toEqual({
        ...kept,
        wheel: 'front left',
        widthMm: null,
        gauge: null,
        setup: { method, surface },
        runs: readings,
        note: '',
      });
    } finally {
      await connection.end();
    }
  });
});
