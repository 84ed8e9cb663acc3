import { isFree } from './ports.mjs';
import { DATA, prepare } from './prepare.mjs';
import { PlainError, run, say } from './say.mjs';

const PORT = Number(process.env.DUNLINMOSS_PORT ?? 4680);

run(async () => {
  if (!Number.isInteger(PORT) || PORT < 1 || PORT > 65535) {
    throw new PlainError('DUNLINMOSS_PORT: expected a port number from 1 to 65535.');
  }
  if (!(await isFree(PORT))) {
    throw new PlainError(
      `Port ${PORT} is in use. Stop what uses it, or choose another: DUNLINMOSS_PORT=4690 npm start`,
    );
  }
  prepare('mariadb');
  // These need what was just installed.
  const { ensureWeb } = await import('./web.mjs');
  const { startProduct } = await import('./product.mjs');
  await ensureWeb();

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
    if (product) void stop();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, onSignal);

  product = await startProduct({ folder: DATA, port: PORT });
  if (stopping) return stop();
  product.server.child.once('exit', () => {
    if (!stopping) void product.database.stop().then(() => process.exit(1));
  });
  say(`Dunlinmoss is at ${product.address} — Ctrl-C stops it.`);
});
