import { createWriteStream } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';

import { readConfig } from '../config';
import { migrate } from '../db/migrate';
import { createPool } from '../db/pool';
import { photoStoreAt } from '../store/photoStore';
import { backupOf, crewsOf, removeCrew, restoreCrew } from './backup';

/*
 * A crew by itself, from the command line: `list`, `backup ID FILE`, `restore FILE [--owner NAME] [--replace]`, `remove ID FILE`.
 */

const say = (text: string): unknown => process.stdout.write(`${text}\n`);

async function main([what, ...given]: readonly string[]): Promise<void> {
  const config = readConfig(process.env);
  await migrate(config.database);
  const pool = createPool(config.database);
  const photos = await photoStoreAt(config.photos, pool);
  const options = given.filter((each) => each.startsWith('--'));
  const ownerAt = given.indexOf('--owner');
  const owner = ownerAt < 0 ? undefined : given[ownerAt + 1];
  const [one, other] = given.filter((each, index) => !each.startsWith('--') && (ownerAt < 0 || index !== ownerAt + 1));
  try {
    if (what === 'list') {
      const crews = await crewsOf(pool);
      for (const { id, name, members, rigs } of crews) say(`${id}  ${name}: ${members} people, ${rigs} rigs`);
      if (crews.length === 0) say('There is no crew here.');
    } else if (what === 'backup' && one && other) {
      // Aside first: half a file must not look like a whole one.
      const aside = `${other}.part`;
      try {
        await pipeline(
          Readable.from(backupOf(config.database, photos, one)),
          createGzip(),
          createWriteStream(aside, { flush: true }),
        );
      } catch (error) {
        await rm(aside, { force: true });
        throw error;
      }
      await rename(aside, other);
      say(`All of it is in ${other}`);
    } else if (what === 'restore' && one) {
      const { name, notHere, letGo } = await restoreCrew(config.database, pool, photos, one, {
        owner,
        replace: options.includes('--replace'),
      });
      say(`“${name}” is here.`);
      if (letGo.length > 0) say(`Let go since, and left out: ${letGo.join(', ')}. Invite whoever is to come back.`);
      if (notHere.length > 0) say(`Not here, and to be invited again: ${notHere.join(', ')}`);
    } else if (what === 'remove' && one && other) {
      await removeCrew(config.database, pool, photos, one, other);
      say(`It is gone from here; ${other} has all of it.`);
    } else {
      throw new Error('Expected: list | backup ID FILE | restore FILE [--owner NAME] [--replace] | remove ID FILE');
    }
  } finally {
    await pool.end();
  }
}

main(process.argv.slice(2)).catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
