import { mkdtempSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import { startDatabase } from '../../../scripts/database.mjs';

/** A real MariaDB of the tests' own, in a folder that goes with it. */
export default async function setUp() {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-server-tests-'));
  const database = await startDatabase({ folder, name: 'dunlinmoss_test' });
  // Some tests take a database apart, while the other tests use theirs.
  for (const name of [
    'dunlinmoss_migrations',
    'dunlinmoss_months',
    'dunlinmoss_queries',
    'dunlinmoss_moved',
    'dunlinmoss_imports',
    'dunlinmoss_set_back',
  ]) {
    database.admin(`CREATE DATABASE ${name}; GRANT ALL ON ${name}.* TO 'dunlinmoss'@'127.0.0.1';`);
  }
  globalThis.__database = database;
  globalThis.__databaseFolder = folder;
  Object.assign(process.env, database.env);
}
