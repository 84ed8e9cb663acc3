import { existsSync } from 'node:fs';
import path from 'node:path';

import { DATA, prepare } from './prepare.mjs';
import { PlainError, run, say } from './say.mjs';

run(async () => {
  const [given] = process.argv.slice(2);
  if (!given) throw new PlainError('Say which backup: npm run restore -- FILE');
  const file = path.resolve(process.env.INIT_CWD ?? '.', given);
  if (!existsSync(file)) throw new PlainError(`There is no file ${file}`);
  if (!file.endsWith('.sql.gz')) throw new PlainError(`${file}: expected a backup, whose name ends in .sql.gz`);
  prepare('mariadb');
  const { startDatabase } = await import('./database.mjs');
  const { dump, restore } = await import('./dumps.mjs');
  const { ownFolder } = await import('./folder.mjs');
  await ownFolder({ folder: DATA, address: 'npm run restore' });
  const database = await startDatabase({ folder: DATA });
  try {
    const before = await dump(database, DATA, 'before-restore');
    say(`What is here now is in ${before}`);
    await restore(database, DATA, file);
    say(`${file} is restored. npm start brings it up.`);
  } finally {
    await database.stop();
  }
});
