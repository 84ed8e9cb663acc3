import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import { ownFolder } from './folder.mjs';
import { isFree } from './ports.mjs';
import { DATA, prepare } from './prepare.mjs';
import { PlainError, run, say } from './say.mjs';

const PORT = Number(process.env.DUNLINMOSS_PORT ?? 4680);

run(async () => {
  if (!Number.isInteger(PORT) || PORT < 1 || PORT > 65535) {
    throw new PlainError('DUNLINMOSS_PORT: expected a port number from 1 to 65535.');
  }
  const folder = path.join(DATA, 'cluster');
  await ownFolder({ folder, address: `http://127.0.0.1:${PORT}` });
  prepare('mariadb', 'galera', 'haproxy');
  const { ensureWeb } = await import('./web.mjs');
  const { startCluster } = await import('./clusterParts.mjs');
  await ensureWeb();
  for (let waited = 0; waited < 4_000 && !(await isFree(PORT)); waited += 100) await sleep(100);
  if (!(await isFree(PORT))) {
    throw new PlainError(
      `Port ${PORT} is in use by another program. Stop it, or choose another port: DUNLINMOSS_PORT=4690 npm run cluster`,
    );
  }
  let cluster;
  let stopping = false;
  const stop = async () => {
    await cluster.stop();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      say('\nStopping. Everything is kept.');
      if (cluster) void stop();
    });
  }
  say('Starting three databases, two servers and a balancer …');
  cluster = await startCluster({ folder, port: PORT });
  if (stopping) return stop();
  say(`Dunlinmoss is at ${cluster.address} — Ctrl-C stops all of it.`);
});
