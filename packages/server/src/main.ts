import { createServer } from 'node:http';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import mysql, { type Pool, type RowDataPacket } from 'mysql2/promise';

import { createApp } from './app';
import { warmCalculators } from './calculators/heavy';
import { readConfig, type Config } from './config';
import { beginEpoch } from './db/epoch';
import { withLease } from './db/lease';
import { migrate } from './db/migrate';
import { createPool, isDatabaseAway } from './db/pool';
import { jobRunner } from './jobs/jobs';
import { Lifecycle } from './lifecycle';
import { createLogger } from './logger';
import { forgetOldReadings, readyMonths } from './repositories/logMonths';
import { forgetOldJobs } from './repositories/jobs';
import { deleteForgottenPhotos, removeUnnamedBytes } from './repositories/photos';
import { photoStoreAt } from './store/photoStore';

const START_TRIES = 30;
/** A balancer has seen by then that it is not ready, ms: two of its looks. Nobody is turned away meanwhile. */
const NOTICED_MS = 1_500;
/** What is being worked on has so long to be finished, ms: as long as a statement may take. */
const FINISHED_MS = 10_000;

/** How often photos that nobody names and readings that nobody keeps are looked for, ms. */
const TIDY_MS = 6 * 3_600_000;

/** The database may still be on its way up when we start: wait for it half a minute before giving up. */
async function migrateWhenThere({ database }: Config): Promise<void> {
  for (let run = 1; ; run += 1) {
    try {
      await migrate(database);
      return;
    } catch (error) {
      if (!isDatabaseAway(error) || run === START_TRIES) throw error;
      await sleep(1_000);
    }
  }
}

const ensureOwner = (pool: Pool, ownerId: string) =>
  pool.query('INSERT INTO owners (id) VALUES (?) ON DUPLICATE KEY UPDATE id = id', [ownerId]);

const LOOPBACK = /^(localhost|127\.\d+\.\d+\.\d+|::1)$/;

/** Where others can reach it, people sign in: whoever came by would else be the one person of this machine. */
async function refuseToBeOpen(pool: Pool, { host, ownerId }: Config): Promise<void> {
  if (LOOPBACK.test(host)) return;
  const [on] = await pool.query<RowDataPacket[]>('SELECT since FROM sign_in WHERE first_id = ?', [ownerId]);
  if (on.length > 0) return;
  throw new Error(
    `DUNLINMOSS_HOST is ${host}, where others can reach it, and nobody signs in here yet. Start it without DUNLINMOSS_HOST, ` +
      'open it on this machine, and choose Crew, “Let others in”; then start it like this again.',
  );
}

/** When the thread of the heavy calculators is begun, ms after the start. */
const WARM_AFTER_MS = 15_000;

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const log = createLogger(config.logLevel);
  await migrateWhenThere(config);
  const pool = createPool(config.database);
  await beginEpoch(pool);
  await ensureOwner(pool, config.ownerId);

  await refuseToBeOpen(pool, config);
  const life = new Lifecycle();
  const photos = await photoStoreAt(config.photos, pool);
  const runner = jobRunner({ pool, log, photos });
  const webRoot = existsSync(path.join(config.webRoot, 'index.html')) ? config.webRoot : null;
  const server = createServer(
    { connectionsCheckingInterval: 2_000 },
    createApp({
      pool,
      log,
      ownerId: config.ownerId,
      hosts: config.hosts,
      contact: config.contact,
      proxies: config.proxies,
      webRoot,
      life,
      photos,
      runner,
    }),
  );
  // A log of a million lines is read in as it comes.
  server.requestTimeout = 600_000; // ms
  server.headersTimeout = 10_000; // ms
  server.listen(config.port, config.host, () => {
    process.send?.('listening');
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    const reason = error.code === 'EADDRINUSE' ? `port ${config.port} is in use` : error.message;
    process.stderr.write(`The server can't listen: ${reason}\n`);
    process.exit(1);
  });

  // What was being worked on when a server was killed is gone on with.
  runner.start();
  // Not while it starts, when others wait for it; whoever asks before begins it themselves.
  setTimeout(() => {
    void warmCalculators().catch((error: unknown) => log.warn({ err: error }, 'beginning the calculators'));
  }, WARM_AFTER_MS).unref();

  const removeUnnamed = (): Promise<void> => removeUnnamedBytes(pool, photos);
  const tidy = async (): Promise<void> => {
    for (const work of [deleteForgottenPhotos, removeUnnamed, forgetOldJobs, readyMonths, forgetOldReadings]) {
      // One server at a time; another one has just done it.
      await withLease(
        () => mysql.createConnection({ ...config.database, timezone: 'Z' }),
        work.name,
        async () => void (await work(pool)),
        { waitS: 60 },
      ).catch((error: unknown) => log.warn({ err: error }, `tidying: ${work.name}`));
    }
  };
  void tidy();
  setInterval(() => void tidy(), TIDY_MS).unref();

  const stop = (): void => {
    // What lasts ends at once, and goes to another server where there is one; what is being worked on is finished.
    life.stop();
    const noticed = config.proxies > 0 ? NOTICED_MS : 0;
    setTimeout(() => {
      server.close(() => void pool.end().finally(() => process.exit(0)));
      setInterval(() => server.closeIdleConnections(), 50).unref();
    }, noticed);
    setTimeout(() => process.exit(0), noticed + FINISHED_MS).unref();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
  // Who started us is gone: the next start must find the port free.
  process.once('disconnect', stop);
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
