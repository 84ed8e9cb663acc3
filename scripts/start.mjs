import { setTimeout as sleep } from 'node:timers/promises';

import { ownFolder } from './folder.mjs';
import { isFree } from './ports.mjs';
import { DATA, prepare } from './prepare.mjs';
import { PlainError, run, say } from './say.mjs';

/** A Ctrl-C ends within this, ms. */
const LONGEST_STOP_MS = 9_500;
/** `none` begins with nothing, where nothing is there yet. */
const DEMO = process.env.DUNLINMOSS_DEMO;
const PORT = Number(process.env.DUNLINMOSS_PORT ?? 4680);

run(async () => {
  if (!Number.isInteger(PORT) || PORT < 1 || PORT > 65535) {
    throw new PlainError('DUNLINMOSS_PORT: expected a port number from 1 to 65535.');
  }
  if (DEMO !== undefined && DEMO !== 'none') throw new PlainError('DUNLINMOSS_DEMO: expected none, or nothing.');
  const address = `http://127.0.0.1:${PORT}`;
  await ownFolder({ folder: DATA, address });
  prepare('mariadb');
  // These need what was just installed.
  const { ensureWeb } = await import('./web.mjs');
  const { keepBackups } = await import('./dumps.mjs');
  const { startProduct } = await import('./product.mjs');
  await ensureWeb();

  // The server of a run that was killed ends by itself when it hears nothing of it any more.
  for (let waited = 0; waited < 4_000 && !(await isFree(PORT)); waited += 100) await sleep(100);
  if (!(await isFree(PORT))) {
    throw new PlainError(
      `Port ${PORT} is in use by another program. Stop it, or choose another port: DUNLINMOSS_PORT=4690 npm start`,
    );
  }

  // From here on there are processes to stop: a Ctrl-C while they are coming up waits until they can be.
  let product;
  let stopping = false;
  const stop = async () => {
    await product.stop();
    process.exit(0);
  };
  const onSignal = () => {
    if (stopping) return;
    stopping = true;
    say('\nStopping. Everything is kept.');
    // Whatever hangs is left to the next start, which takes it over.
    setTimeout(() => process.exit(1), LONGEST_STOP_MS).unref();
    if (product) void stop();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, onSignal);

  product = await startProduct({ folder: DATA, port: PORT, demo: DEMO !== 'none' });
  if (stopping) return stop();
  say(`Dunlinmoss is at ${product.address} — Ctrl-C stops it.`);
  keepBackups(product.database, DATA);
});
