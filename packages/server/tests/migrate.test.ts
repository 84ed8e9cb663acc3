import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';

import mysql from 'mysql2/promise';

import { readConfig } from '../src/config';
import { migrate, migrationFiles } from '../src/db/migrate';

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
