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
  const { checkDump, dump, halfRestored, restore } = await import('./dumps.mjs');
  const { ownFolder } = await import('./folder.mjs');
  if (!(await checkDump(file))) {
    say(
      'It is of an earlier version and has no digest: that it is whole is known by the checksum of its packing alone.',
    );
  }
  await ownFolder({ folder: DATA, address: 'npm run restore' });
  const database = await startDatabase({ folder: DATA });
  try {
    // What a restore that was cut off left is nobody's to go back to.
    const before = halfRestored(DATA)?.before ?? (await dump(database, DATA, 'before-restore'));
    say(`What was here before is in ${before}`);
    await restore(database, DATA, { file, before }).catch((error) => {
      throw new PlainError(
        `${file} could not be read into the database: ${error.message}\nBack to what was here: npm run restore -- ${before}`,
      );
    });
    say(`${file} is restored. npm start brings it up.`);
  } finally {
    await database.stop();
  }
});
