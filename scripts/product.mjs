import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';

import { startDatabase } from './database.mjs';
import { dumpBeforeUpgrade, refuseHalfRestored } from './dumps.mjs';
import { endChild } from './folder.mjs';
import { freePort } from './ports.mjs';
import { ROOT } from './prepare.mjs';
import { PlainError, say } from './say.mjs';

/** A server that ends so often within a minute is not started again. */
const MOST_RESTARTS = 5;
/** What the database is made of, and whose it is: not what people keep in it. */
const KEPT_TABLES = ['migrations', 'migration_steps', 'owners', 'lineage'];
const DEMO = path.join(ROOT, 'demo/ravelsey.json');

/**
 * Starts the API and web server and waits until it listens.
 * @param {{ port: number, databaseEnv: Record<string, string>, env?: Record<string, string> }} options
 * @returns {Promise<{ stop: () => Promise<void>, child: import('node:child_process').ChildProcess }>}
 */
export function startServer({ port, databaseEnv, env = {} }) {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['--import', 'tsx', path.join(ROOT, 'packages/server/src/main.ts')], {
      cwd: ROOT,
      env: { ...process.env, ...databaseEnv, ...env, DUNLINMOSS_PORT: String(port) },
      stdio: ['ignore', 'inherit', 'pipe', 'ipc'],
      detached: true,
    });
    let trouble = '';
    child.stderr.on('data', (part) => {
      trouble += part;
      process.stderr.write(part);
    });
    child.once('message', () => resolve({ stop: () => endChild(child, 4_000), child }));
    child.once('exit', (code) => reject(new PlainError(trouble.trim() || `The server ended with code ${code}.`)));
  });
}

/** Loads the invented estate through the product's own import, when nothing is kept yet. */
export async function loadDemo(address) {
  const told = await fetch(`${address}/api/v1/rigs?limit=1`);
  // Where people sign in, somebody has been here.
  if (told.status === 401) return;
  const rigs = await told.json();
  if (rigs.items.length > 0) return;
  const response = await fetch(`${address}/api/v1/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: readFileSync(DEMO),
  });
  if (!response.ok) throw new PlainError(`The demo data was refused: ${await response.text()}`);
}

/** Where a server that listens there is reached from here: one that listens everywhere, on loopback. */
function reachedAt(host = '127.0.0.1') {
  if (host === '0.0.0.0' || host === '::') return '127.0.0.1';
  return host.includes(':') ? `[${host}]` : host;
}

/**
 * The whole product on loopback: database, server, demo data where empty.
 * @param {{ folder: string, port?: number, databasePort?: number, demo?: boolean, env?: Record<string, string> }} options
 */
export async function startProduct({ folder, port, databasePort, demo = true, env }) {
  refuseHalfRestored(folder);
  const database = await startDatabase({ folder, port: databasePort });
  try {
    await dumpBeforeUpgrade(database, folder);
    const chosenPort = port ?? (await freePort());
    let stopping = false;
    const ended = [];
    const begin = async () => {
      const server = await startServer({ port: chosenPort, databaseEnv: database.env, env });
      server.child.once('exit', (code, signal) => {
        if (!stopping) void startAgain(code, signal);
      });
      return server;
    };
    /** A server that ends by itself is started again, unless it keeps ending. */
    const startAgain = async (code, signal) => {
      const now = Date.now();
      ended.push(now);
      if (ended.filter((at) => now - at < 60_000).length > MOST_RESTARTS) {
        say(`The server ended ${MOST_RESTARTS} times within a minute and is left off.`);
        return;
      }
      say(`The server ended by itself (${signal ?? `code ${code}`}); starting it again.`);
      server = await begin().catch((error) => say(error.message) ?? server);
      if (stopping) await server.stop();
    };
    let server = await begin();
    const stopServer = async () => {
      stopping = true;
      await server.stop();
    };
    const address = `http://${reachedAt(process.env.DUNLINMOSS_HOST)}:${chosenPort}`;
    if (demo) await loadDemo(address);
    return {
      address,
      port: chosenPort,
      database,
      server: {
        get child() {
          return server.child;
        },
        stop: stopServer,
        async start() {
          stopping = false;
          server = await begin();
        },
      },
      /** As on its first start: the demo data and nothing else. */
      async reset() {
        const kept = KEPT_TABLES.map((table) => `'${table}'`).join(', ');
        const tables = database
          .admin(
            `SELECT table_name FROM information_schema.tables WHERE table_schema = '${database.name}'
             AND table_type = 'BASE TABLE' AND table_name NOT IN (${kept});`,
          )
          .trim()
          .split('\n');
        const emptied = tables.map((table) => `DELETE FROM ${table};`).join(' ');
        // Marks that a browser may have of what was here mean nothing any more.
        const anew = 'UPDATE lineage SET epoch = UUID();';
        database.admin(`USE ${database.name}; SET FOREIGN_KEY_CHECKS = 0; ${emptied} ${anew}`);
        await loadDemo(address);
      },
      async stop() {
        await stopServer();
        await database.stop();
      },
    };
  } catch (error) {
    await database.stop();
    throw error;
  }
}
