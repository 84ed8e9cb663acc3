import { existsSync } from 'node:fs';
import path from 'node:path';

import { DATA, prepare } from './prepare.mjs';
import { PlainError, run, say } from './say.mjs';

run(async () => {
  prepare('mariadb');
  const { runningDatabase, startDatabase } = await import('./database.mjs');
  const { dump } = await import('./dumps.mjs');
  const { ownFolder } = await import('./folder.mjs');
  const running = await runningDatabase({ folder: DATA });
  if (running) {
    say(`Everything kept is in ${await dump(running, DATA, 'asked')}`);
    return;
  }
  if (!existsSync(path.join(DATA, 'mariadb'))) throw new PlainError(`There is nothing in ${DATA} yet.`);
  await ownFolder({ folder: DATA, address: 'npm run backup' });
  const database = await startDatabase({ folder: DATA });
  try {
    say(`Everything kept is in ${await dump(database, DATA, 'asked')}`);
  } finally {
    await database.stop();
  }
});
