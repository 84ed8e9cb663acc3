import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, realpathSync } from 'node:fs';
import net from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';

import { PlainError } from './say.mjs';

/** Longest that a process may take to end when it is asked to, ms; then it is killed. */
const PATIENCE_MS = 5_000;

/**
 * A name that one process at a time can hold for a folder: a socket without a file, which the kernel gives back however
 * its holder ends.
 */
const nameOf = (folder) =>
  `\0dunlinmoss-${createHash('sha256').update(realpathSync(folder)).digest('hex').slice(0, 32)}`;

/** What the holder of a folder says of itself. */
const askHolder = (name) =>
  new Promise((resolve) => {
    const socket = net.connect(name);
    let told = '';
    socket.setTimeout(1_000, () => socket.destroy());
    socket.on('data', (part) => (told += part));
    socket.on('error', () => undefined);
    socket.on('close', () => resolve(told));
  });

/**
 * Makes this process the one owner of a data folder for as long as it lives. Where another owns it, says which.
 * @param {{ folder: string, address: string }} options
 */
export async function ownFolder({ folder, address }) {
  try {
    mkdirSync(folder, { recursive: true });
  } catch (error) {
    throw new PlainError(
      `DUNLINMOSS_DATA must be a folder that can be made and written to: ${folder} (${error.code}).`,
    );
  }
  const name = nameOf(folder);
  const server = net.createServer((socket) => {
    socket.on('error', () => undefined);
    socket.end(`process ${process.pid}, ${address}`);
  });
  const taken = await new Promise((resolve, reject) => {
    server.once('error', (error) => (error.code === 'EADDRINUSE' ? resolve(true) : reject(error)));
    server.listen(name, () => resolve(false));
  });
  if (taken) {
    const holder = (await askHolder(name)) || 'still starting';
    throw new PlainError(
      `Another Dunlinmoss is running on ${folder} (${holder}). Use that one, stop it, or start this one on a folder of its own: ` +
        'DUNLINMOSS_DATA=/some/folder DUNLINMOSS_PORT=4690 npm start',
    );
  }
  server.unref();
}

/** Processes that work on one of these data folders. One that ended and was not fetched yet has no command line. */
const databasesOn = (dataFolders) =>
  readdirSync('/proc').filter((name) => {
    if (!/^\d+$/.test(name)) return false;
    try {
      const words = readFileSync(`/proc/${name}/cmdline`, 'utf8').split('\0');
      return dataFolders.some((folder) => words.includes(`--datadir=${folder}`));
    } catch {
      // It ended in between.
      return false;
    }
  });

/**
 * Ends the databases that an earlier run left behind on these folders, and what makes one. Found by what they were
 * started with: a file that names them is not there yet while they start. Asks first, then kills: what they had
 * committed is kept.
 */
export async function endLeftovers(...dataFolders) {
  const send = (signal) => {
    for (const pid of databasesOn(dataFolders)) {
      try {
        process.kill(Number(pid), signal);
      } catch (error) {
        if (error.code !== 'ESRCH') throw new PlainError(`A database of another user runs on this folder (${pid}).`);
      }
    }
  };
  send('SIGTERM');
  for (let waited = 0; databasesOn(dataFolders).length > 0; waited += 50) {
    // Again and again: the making of a database is a script that begins others.
    if (waited >= PATIENCE_MS) send('SIGKILL');
    await sleep(50);
  }
}

/** Asks a child to end, and kills it when it takes too long. */
export async function endChild(child, patienceMs = PATIENCE_MS) {
  if (!child || child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  const killer = setTimeout(() => child.kill('SIGKILL'), patienceMs);
  await ended;
  clearTimeout(killer);
}
