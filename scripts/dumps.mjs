import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';

import { ROOT } from './prepare.mjs';
import { PlainError, say } from './say.mjs';

/*
 * Dumps of the whole database by MariaDB's own tool, one gzipped file of SQL each: before an upgrade, by the clock, and
 * when somebody asks. They hold everything, photos and logs too, and any MariaDB of this version or later reads them.
 */

const NAME = /^(daily|asked|before-upgrade|before-restore)-[0-9TZ-]+\.sql\.gz$/;
/** How often the clock is looked at, ms. */
const LOOK_MS = 600_000;

export const backupsOf = (folder) => path.join(folder, 'backups');
const restoringMark = (folder) => path.join(folder, 'restoring');

/** Runs a tool of MariaDB's with one of its ends on a stream; a failure tells what it said. */
async function tool(command, { socket, user }, args, ends) {
  const child = spawn(command, ['--no-defaults', `--socket=${socket}`, `--user=${user}`, ...args]);
  let said = '';
  child.stderr.on('data', (part) => (said += part));
  const ended = new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('close', (code) =>
      code === 0 ? resolve() : reject(new PlainError(`${command} failed: ${said.trim().split('\n').at(-1)}`)),
    );
  });
  await Promise.all([ended, ends(child)]);
}

/** The last line of a dump: the digest of all lines before it. A comment to every reader of SQL. */
const DIGEST_LINE = /^-- dunlinmoss-sha256 ([0-9a-f]{64})\n$/m;
/** More than the last line is long, bytes. */
const TAIL_BYTES = 256;

/** Passes a dump on, with its digest as a last line. */
function withDigest() {
  const hash = createHash('sha256');
  return new Transform({
    transform(part, _, done) {
      hash.update(part);
      done(null, part);
    },
    flush(done) {
      done(null, `-- dunlinmoss-sha256 ${hash.digest('hex')}\n`);
    },
  });
}

/**
 * Reads a dump through, and throws where it is not whole, is not as it was written, or is none of this product's. Gives
 * whether it has a digest: dumps of earlier versions have none, and are held against the checksum of gzip alone.
 */
export async function checkDump(file) {
  const damaged = (why) => new PlainError(`${file} is not restored: ${why}. Nothing was changed.`);
  const hash = createHash('sha256');
  let tail = Buffer.alloc(0);
  let isOurs = false;
  try {
    await pipeline(createReadStream(file), createGunzip(), async (parts) => {
      for await (const part of parts) {
        const all = Buffer.concat([tail, part]);
        isOurs ||= all.includes('CREATE TABLE `migrations`');
        const cut = Math.max(0, all.length - TAIL_BYTES);
        hash.update(all.subarray(0, cut));
        tail = all.subarray(cut);
      }
    });
  } catch (error) {
    throw damaged(`it is damaged or cut off (${error.message})`);
  }
  const end = tail.toString('latin1');
  const line = DIGEST_LINE.exec(end);
  if (line) {
    hash.update(tail.subarray(0, line.index));
    if (hash.digest('hex') !== line[1]) throw damaged('it is not as it was written');
  } else if (!/-- Dump completed/.test(end)) {
    throw damaged('its end is missing');
  }
  if (!isOurs) throw damaged('it is no backup of this application');
  return line !== null;
}

/** Writes a dump, whole or not at all, and gives back its file. Readers and writers are not held up. */
export async function dump(database, folder, kind) {
  const backups = backupsOf(folder);
  mkdirSync(backups, { recursive: true, mode: 0o700 });
  const file = path.join(backups, `${kind}-${new Date().toISOString().replaceAll(/[:.]/g, '-')}.sql.gz`);
  const args = ['--single-transaction', '--quick', '--hex-blob', '--skip-dump-date', database.name];
  await tool('mariadb-dump', database, args, (child) =>
    pipeline(
      child.stdout,
      withDigest(),
      createGzip({ level: 6 }),
      createWriteStream(`${file}.new`, { mode: 0o600, flush: true }),
    ),
  );
  renameSync(`${file}.new`, file);
  return file;
}

/** The dumps of a kind, oldest first. */
const dumpsOf = (folder, kind) =>
  existsSync(backupsOf(folder))
    ? readdirSync(backupsOf(folder))
        .filter((name) => NAME.exec(name)?.[1] === kind)
        .sort()
        .map((name) => path.join(backupsOf(folder), name))
    : [];

/** One result of a query, as text. */
async function ask(database, sql) {
  let told = '';
  await tool('mariadb', database, ['--batch', '--skip-column-names', database.name, '-e', sql], async (child) => {
    for await (const part of child.stdout) told += part;
  });
  return told.trim();
}

/** Before the server changes the tables of a database that holds something, all of it is written aside. */
export async function dumpBeforeUpgrade(database, folder) {
  const has = await ask(
    database,
    `SELECT COUNT(*) FROM information_schema.tables WHERE table_schema = '${database.name}' AND table_name = 'migrations'`,
  );
  if (has === '0') return;
  const applied = Number(await ask(database, 'SELECT COUNT(*) FROM migrations'));
  const shipped = readdirSync(path.join(ROOT, 'packages/server/migrations')).filter((name) => name.endsWith('.sql'));
  if (applied === 0 || applied >= shipped.length) return;
  say(`A new version changes the tables. Everything as it was: ${await dump(database, folder, 'before-upgrade')}`);
}

/**
 * Reads a dump that was checked into the database, in place of all that is there. Cut off, it must be run again: a mark says
 * so, and where what was there before is.
 */
export async function restore(database, folder, { file, before }) {
  writeFileSync(restoringMark(folder), JSON.stringify({ file, before }));
  database.admin(
    `DROP DATABASE ${database.name}; CREATE DATABASE ${database.name} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;`,
  );
  await tool('mariadb', database, [database.name], (child) =>
    pipeline(createReadStream(file), createGunzip(), child.stdin),
  );
  // The next start begins a new epoch of the store: what phones know of the time that is lost now is not taken for known here.
  // Dumps of earlier versions have no epoch, or no such table.
  const has = (column) =>
    `(SELECT COUNT(*) FROM information_schema.columns WHERE table_schema = '${database.name}' AND table_name = 'lineage' AND column_name = '${column}')`;
  database.admin(
    `SET @leave = IF(${has('epoch')} > 0, 'UPDATE ${database.name}.lineage SET epoch = NULL', ` +
      `IF(${has('id')} > 0, 'DELETE FROM ${database.name}.lineage', 'DO 0')); PREPARE leave_epoch FROM @leave; EXECUTE leave_epoch;`,
  );
  rmSync(restoringMark(folder));
}

/** A database that holds half of a dump must not be taken for a whole one. */
export function refuseHalfRestored(folder) {
  const half = halfRestored(folder);
  if (half === null) return;
  const { file, before } = half;
  throw new PlainError(
    `Restoring ${file ?? 'a backup'} did not come to its end, so what is here is half of it. ` +
      `Run it again: npm run restore -- ${file ?? 'FILE'}` +
      (before ? `\nOr go back to what was here before it: npm run restore -- ${before}` : ''),
  );
}

/** What did not come to its end, and where what was there before is; of earlier versions the file alone. Null where nothing. */
export function halfRestored(folder) {
  if (!existsSync(restoringMark(folder))) return null;
  const text = readFileSync(restoringMark(folder), 'utf8');
  return text.startsWith('{') ? JSON.parse(text) : { file: text };
}

/** A number from the environment, checked. */
function setting(name, usual, most) {
  const value = Number(process.env[name] ?? usual);
  if (Number.isInteger(value) && value >= 0 && value <= most) return value;
  throw new PlainError(`${name}: expected a whole number from 0 to ${most}.`);
}

export const backupSettings = () => ({
  everyHours: setting('DUNLINMOSS_BACKUP_HOURS', 24, 8_760),
  keep: setting('DUNLINMOSS_BACKUPS_KEPT', 7, 1_000),
});

/** One dump by the clock, when the newest is old enough, and away with those that are too many. */
async function dumpWhenDue(database, folder, { everyHours, keep }) {
  const newest = dumpsOf(folder, 'daily').at(-1);
  if (newest && Date.now() - statSync(newest).mtimeMs < everyHours * 3_600_000) return;
  await dump(database, folder, 'daily');
  for (const old of dumpsOf(folder, 'daily').slice(0, -Math.max(1, keep))) rmSync(old);
}

/** Keeps dumps by the clock for as long as the product runs. */
export function keepBackups(database, folder) {
  const settings = backupSettings();
  if (settings.everyHours === 0) return;
  const look = () =>
    dumpWhenDue(database, folder, settings).catch((error) => say(`No backup was made: ${error.message}`));
  void look();
  setInterval(look, LOOK_MS).unref();
}
