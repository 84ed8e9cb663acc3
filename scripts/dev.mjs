import { spawn } from 'node:child_process';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import { ownFolder } from './folder.mjs';
import { isFree } from './ports.mjs';
import { DATA, prepare, ROOT } from './prepare.mjs';
import { PlainError, run, say } from './say.mjs';

/*
 * Server and application with reload on change, on the demo data, in a folder of their own beside that of `npm start`.
 * The bundler's address is the one to open; it hands what goes to /api on to the server.
 */

const FOLDER = path.join(DATA, 'dev');
const SERVER_PORT = 4681;
const APP_PORT = 4680;
const READY_MS = 30_000;

const started = [];
function start(name, args, env, cwd = ROOT) {
  const child = spawn(process.execPath, args, { cwd, env: { ...process.env, ...env }, stdio: 'inherit' });
  started.push(child);
  child.once('exit', (code) => {
    if (code) say(`${name} ended with code ${code}.`);
  });
}

async function answering(address) {
  for (let waited = 0; waited < READY_MS; waited += 200) {
    const up = await fetch(`${address}/api/v1/health`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (up) return;
    await sleep(200);
  }
  throw new PlainError('The server did not answer; see what it printed above.');
}

run(async () => {
  await ownFolder({ folder: FOLDER, address: `http://127.0.0.1:${APP_PORT}` });
  prepare('mariadb');
  const { startDatabase } = await import('./database.mjs');
  const { loadDemo } = await import('./product.mjs');
  for (const port of [SERVER_PORT, APP_PORT]) {
    if (!(await isFree(port))) throw new PlainError(`Port ${port} is in use by another program: stop it first.`);
  }
  const database = await startDatabase({ folder: FOLDER });
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    for (const child of started) child.kill('SIGTERM');
    await database.stop();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop());

  const api = `http://127.0.0.1:${SERVER_PORT}`;
  start('The server', [path.join(ROOT, 'node_modules/tsx/dist/cli.mjs'), 'watch', 'packages/server/src/main.ts'], {
    ...database.env,
    DUNLINMOSS_PORT: String(SERVER_PORT),
  });
  await answering(api);
  await loadDemo(api);
  start(
    'The bundler',
    [path.join(ROOT, 'node_modules/expo/bin/cli'), 'start', '--web', '--localhost', '--port', String(APP_PORT)],
    { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', BROWSER: 'none', DUNLINMOSS_API: api, CI: 'false' },
    path.join(ROOT, 'packages/app'),
  );
  say(`Open http://localhost:${APP_PORT} when the bundler is ready — Ctrl-C stops it.`);
});
