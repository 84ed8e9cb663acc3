import { spawn, spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import {
  closeSync,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import { endChild, endLeftovers } from './folder.mjs';
import { freePort } from './ports.mjs';
import { PlainError, say } from './say.mjs';

const READY_SECONDS = 60;
const USER = os.userInfo().username;

/** Databases that MariaDB makes for itself. */
const OF_THE_SYSTEM = new Set(['mysql', 'performance_schema', 'sys', 'test']);
/** A database that ends so often within a minute is not started again. */
const MOST_RESTARTS = 5;

/** A socket's path may be 107 bytes at most; where a folder lies too deep for that it stands in the system's own. */
export function socketOf(folder) {
  const own = path.join(folder, 'mariadb.sock');
  if (Buffer.byteLength(own) <= 100) return own;
  return path.join(os.tmpdir(), `dunlinmoss-${createHash('sha256').update(folder).digest('hex').slice(0, 24)}.sock`);
}

const admin = (socket, ...args) =>
  spawnSync('mariadb-admin', ['--no-defaults', `--socket=${socket}`, `--user=${USER}`, ...args], { encoding: 'utf8' });

/** Runs SQL and gives back what it answered: a row a line, its columns parted by tabs. */
const sql = (socket, text) => {
  const result = spawnSync('mariadb', ['--no-defaults', '--batch', '-N', `--socket=${socket}`, `--user=${USER}`], {
    input: text,
    encoding: 'utf8',
  });
  if (result.status !== 0) throw new PlainError(`The database refused its set-up: ${result.stderr.trim()}`);
  return result.stdout;
};

/** Writes a file so that it is there whole or not at all. */
function writeWhole(file, text) {
  writeFileSync(`${file}.new`, text, { mode: 0o600 });
  renameSync(`${file}.new`, file);
}

/** Whether a data folder holds a database of anybody's. One that was cut off while it was made does not. */
const holdsSomething = (dataFolder) =>
  existsSync(dataFolder) &&
  readdirSync(dataFolder, { withFileTypes: true }).some((each) => each.isDirectory() && !OF_THE_SYSTEM.has(each.name));

/** Where a data folder is made, aside and renamed: a kill in the middle leaves nothing that looks ready. */
export const inMaking = (dataFolder) => `${dataFolder}.new`;

/** Once in a while it gives up on a machine that is short of something for a moment: it is asked twice. */
export function makeDataFolder(finished) {
  const dataFolder = inMaking(finished);
  let told = '';
  for (let run = 0; run < 2; run += 1) {
    rmSync(dataFolder, { recursive: true, force: true });
    const made = spawnSync(
      'mariadb-install-db',
      [
        '--no-defaults',
        `--user=${USER}`,
        `--datadir=${dataFolder}`,
        '--auth-root-authentication-method=socket',
        `--auth-root-socket-user=${USER}`,
        '--skip-test-db',
      ],
      { encoding: 'utf8' },
    );
    if (made.status === 0) {
      rmSync(finished, { recursive: true, force: true });
      renameSync(dataFolder, finished);
      return;
    }
    const errors = made.stderr.split('\n').filter((line) => line.includes('ERROR') && !line.includes('Aborting'));
    told = errors.join('; ') || made.stderr.trim().split('\n').at(-1);
  }
  throw new PlainError(`Could not make the database: ${told}`);
}

/**
 * A MariaDB of our own on loopback with its own data folder. `stop` ends it and keeps the data; `start` brings it
 * back on the same port.
 * @param {{ folder: string, port?: number, name?: string }} options
 */
export async function startDatabase({ folder, port, name = 'dunlinmoss' }) {
  mkdirSync(folder, { recursive: true });
  const dataFolder = path.join(folder, 'mariadb');
  const secretFile = path.join(folder, 'database-password');
  const pidFile = path.join(folder, 'mariadb.pid');
  const logFile = path.join(folder, 'mariadb.log');
  const temporary = path.join(folder, 'tmp');
  const socket = socketOf(folder);
  const chosenPort = port ?? (await freePort());

  await endLeftovers(dataFolder, inMaking(dataFolder));
  if (!holdsSomething(dataFolder)) makeDataFolder(dataFolder);
  if (!existsSync(secretFile)) writeWhole(secretFile, randomBytes(18).toString('base64url'));
  rmSync(temporary, { recursive: true, force: true });
  mkdirSync(temporary);
  const password = readFileSync(secretFile, 'utf8');

  let child;
  let stopping = false;
  const restarts = [];
  const begin = async () => {
    const log = openSync(logFile, 'a');
    child = spawn(
      '/usr/sbin/mariadbd', // not on everyone's path
      [
        '--no-defaults',
        `--user=${USER}`,
        `--datadir=${dataFolder}`,
        '--bind-address=127.0.0.1',
        `--port=${chosenPort}`,
        `--socket=${socket}`,
        `--pid-file=${pidFile}`,
        `--tmpdir=${temporary}`,
        '--character-set-server=utf8mb4',
        '--collation-server=utf8mb4_unicode_ci',
        '--skip-name-resolve',
        '--default-time-zone=+00:00',
      ],
      // A group of its own: Ctrl-C must reach the web server first and the database last.
      { detached: true, stdio: ['ignore', log, log] },
    );
    closeSync(log);
    const started = child;
    let ended = false;
    started.once('exit', () => (ended = true));
    for (let run = 0; admin(socket, 'ping').status !== 0; run += 1) {
      if (ended || run > READY_SECONDS * 10) throw new PlainError(`The database did not start; see ${logFile}`);
      await sleep(100);
    }
    started.once('exit', (code, signal) => {
      if (!stopping) void startAgain(code, signal);
    });
  };
  /** A database that ended by itself is started again; the server's connections find it. */
  const startAgain = async (code, signal) => {
    const now = Date.now();
    restarts.push(now);
    if (restarts.filter((at) => now - at < 60_000).length > MOST_RESTARTS) {
      say(`The database ended ${MOST_RESTARTS} times within a minute and is left off; see ${logFile}`);
      return;
    }
    say(`The database ended by itself (${signal ?? `code ${code}`}); starting it again.`);
    await begin().catch((error) => say(error.message));
  };
  const start = () => {
    stopping = false;
    return begin();
  };
  const stop = async () => {
    stopping = true;
    await endChild(child);
  };

  await start();
  sql(
    socket,
    `CREATE DATABASE IF NOT EXISTS ${name} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
     CREATE USER IF NOT EXISTS 'dunlinmoss'@'127.0.0.1';
     ALTER USER 'dunlinmoss'@'127.0.0.1' IDENTIFIED BY '${password}';
     GRANT ALL ON ${name}.* TO 'dunlinmoss'@'127.0.0.1';`,
  );
  return {
    /** What the server's configuration reads. */
    env: envOf({ port: chosenPort, password, name }),
    /** Its process, while it runs. */
    get pid() {
      return child.pid;
    },
    socket,
    user: USER,
    name,
    /** Runs SQL as the owner of the whole server. */
    admin: (text) => sql(socket, text),
    start,
    stop,
  };
}

/** How the server's configuration names a database. */
const envOf = ({ port, password, name }) => ({
  DUNLINMOSS_DB_PORT: String(port),
  DUNLINMOSS_DB_USER: 'dunlinmoss',
  DUNLINMOSS_DB_PASSWORD: password,
  DUNLINMOSS_DB_NAME: name,
});

/** The database of a folder while the product runs on it; null where it does not. */
export async function runningDatabase({ folder, name = 'dunlinmoss' }) {
  const socket = socketOf(folder);
  if (!existsSync(socket) || admin(socket, 'ping').status !== 0) return null;
  const password = readFileSync(path.join(folder, 'database-password'), 'utf8').trim();
  return { env: envOf({ port: sql(socket, 'SELECT @@port;').trim(), password, name }), socket, user: USER, name };
}
