import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { chmodSync, closeSync, existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import { freePort } from './ports.mjs';
import { PlainError } from './say.mjs';

const READY_SECONDS = 60;
const USER = os.userInfo().username;

/** A socket's path may be 107 bytes at most, so it can't lie in a data folder of any depth. */
const socketOf = (folder) =>
  path.join(os.tmpdir(), `dunlinmoss-${Buffer.from(folder).toString('base64url').slice(-24)}-${process.pid}.sock`);

const admin = (socket, ...args) =>
  spawnSync('mariadb-admin', ['--no-defaults', `--socket=${socket}`, `--user=${USER}`, ...args], { encoding: 'utf8' });

const sql = (socket, text) => {
  const result = spawnSync('mariadb', ['--no-defaults', `--socket=${socket}`, `--user=${USER}`], {
    input: text,
    encoding: 'utf8',
  });
  if (result.status !== 0) throw new PlainError(`The database refused its set-up: ${result.stderr.trim()}`);
};

/** Ends a server that an earlier run left behind on this folder, so that two never share it. */
async function endLeftover(pidFile) {
  if (!existsSync(pidFile)) return;
  const pid = Number(readFileSync(pidFile, 'utf8'));
  const alive = () => {
    try {
      return readFileSync(`/proc/${pid}/comm`, 'utf8').startsWith('mariadbd');
    } catch {
      return false;
    }
  };
  if (alive()) process.kill(pid, 'SIGTERM');
  for (let run = 0; run < 100 && alive(); run += 1) await sleep(100);
  if (alive()) throw new PlainError(`Another Dunlinmoss is using this database (process ${pid}). Stop it first.`);
}

/** Once in a while it gives up on a machine that is short of something for a moment: it is asked twice. */
function makeDataFolder(dataFolder) {
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
    if (made.status === 0) return;
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
  const socket = socketOf(folder);
  const chosenPort = port ?? (await freePort());

  await endLeftover(pidFile);
  if (!existsSync(path.join(dataFolder, 'mysql'))) {
    makeDataFolder(dataFolder);
  }
  if (!existsSync(secretFile)) {
    writeFileSync(secretFile, randomBytes(18).toString('base64url'));
    chmodSync(secretFile, 0o600);
  }
  const password = readFileSync(secretFile, 'utf8');

  let child;
  const start = async () => {
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
        '--character-set-server=utf8mb4',
        '--collation-server=utf8mb4_unicode_ci',
        '--skip-name-resolve',
        '--default-time-zone=+00:00',
      ],
      // A group of its own: Ctrl-C must reach the web server first and the database last.
      { detached: true, stdio: ['ignore', log, log] },
    );
    closeSync(log);
    let ended = false;
    child.once('exit', () => (ended = true));
    for (let run = 0; admin(socket, 'ping').status !== 0; run += 1) {
      if (ended || run > READY_SECONDS * 10) throw new PlainError(`The database did not start; see ${logFile}`);
      await sleep(100);
    }
  };
  const stop = async () => {
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGTERM');
    await ended;
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
    env: {
      DUNLINMOSS_DB_PORT: String(chosenPort),
      DUNLINMOSS_DB_USER: 'dunlinmoss',
      DUNLINMOSS_DB_PASSWORD: password,
      DUNLINMOSS_DB_NAME: name,
    },
    /** Runs SQL as the owner of the whole server. */
    admin: (text) => sql(socket, text),
    start,
    stop,
  };
}
