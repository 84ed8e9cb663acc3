/*
 * One crew by itself: written to a file, brought back, moved to another database.
 *   npm run crew -- list | backup ID FILE | restore FILE [--owner NAME] [--replace] | remove ID FILE
 */
import { spawnSync } from 'node:child_process';
import path from 'node:path';

import { DATA, prepare, ROOT } from './prepare.mjs';
import { PlainError, run } from './say.mjs';

/** Where files are meant that were given by name. */
const HERE = process.env.INIT_CWD ?? '.';

run(async () => {
  prepare('mariadb');
  const { runningDatabase, startDatabase } = await import('./database.mjs');
  const { ownFolder } = await import('./folder.mjs');
  const given = process.argv.slice(2).map((each) => (each.endsWith('.gz') ? path.resolve(HERE, each) : each));
  const tool = (env) => {
    const { status } = spawnSync(
      process.execPath,
      ['--import', 'tsx', path.join(ROOT, 'packages/server/src/space/tool.ts'), ...given],
      { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } },
    );
    if (status !== 0) throw new PlainError('Nothing was done.');
  };
  // Another database, as in a cluster, is named as it is to the server.
  if (process.env.DUNLINMOSS_DB_PORT) return tool({});
  const running = await runningDatabase({ folder: DATA });
  if (running) return tool(running.env);
  await ownFolder({ folder: DATA, address: 'npm run crew' });
  const database = await startDatabase({ folder: DATA });
  try {
    tool(database.env);
  } finally {
    await database.stop();
  }
});
