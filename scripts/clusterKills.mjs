/*
 * A cluster under six writers, while one part of it after the other is killed: what was acknowledged must be there, once.
 */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import { freePort } from './ports.mjs';
import { prepare } from './prepare.mjs';
import { PlainError, run, say } from './say.mjs';

const WRITERS = 6;
const BETWEEN_MS = 4_000;
const PAUSE_MS = 40;
/** A gap longer than this is a failure, but where everything was killed, s. */
const LONGEST_GAP_S = 7;
const LONGEST_GAP_OF_ALL_S = 60;

run(async () => {
  prepare('mariadb', 'galera', 'haproxy');
  const { startCluster } = await import('./clusterParts.mjs');
  const folder = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-cluster-'));
  const cluster = await startCluster({ folder, port: await freePort(), demo: false, env: { DUNLINMOSS_LOG: 'error' } });
  const acknowledged = [];
  let lastMs = performance.now();
  let longestMs = 0;
  let going = true;
  const write = async () => {
    const id = randomUUID();
    const body = JSON.stringify({
      ...{ id, revision: 0, name: 'Dial', fromKpa: 0, fullScaleKpa: 400, gradePercent: null, comparisons: [] },
    });
    // As the outbox does: the same again until somebody has it.
    for (;;) {
      const saved = await fetch(`${cluster.address}/api/v1/gauges/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body,
        signal: AbortSignal.timeout(3_000),
      }).catch(() => undefined);
      if (saved?.ok) break;
      if (saved && saved.status < 500) throw new PlainError(`refused: ${saved.status} ${await saved.text()}`);
      await sleep(100);
    }
    const now = performance.now();
    longestMs = Math.max(longestMs, now - lastMs);
    lastMs = now;
    acknowledged.push(id);
  };
  const writers = Array.from({ length: WRITERS }, async () => {
    while (going) {
      await write();
      // One space may have twenty thousand of a kind: a quick machine would come to that.
      await sleep(PAUSE_MS);
    }
  });
  const settled = async () => {
    for (let waited = 0; waited < 1_200; waited += 1) {
      if (cluster.nodes.every((node) => node.isRunning && node.isSynced())) return;
      await sleep(100);
    }
    throw new PlainError('The cluster did not come together again within two minutes.');
  };
  const gaps = [];
  const after = async (what, kill, most = LONGEST_GAP_S) => {
    await sleep(BETWEEN_MS);
    longestMs = 0;
    kill();
    await sleep(BETWEEN_MS);
    await settled();
    // A gap that is open still counts.
    const gapS = Math.max(longestMs, performance.now() - lastMs) / 1000;
    gaps.push([what, gapS, most]);
    say(`${what} killed: longest gap ${gapS.toFixed(1)} s, ${acknowledged.length} writes acknowledged so far`);
  };
  await after('the node that is written to', () => cluster.nodes[0].kill());
  await after('another node', () => cluster.nodes[2].kill());
  await after('a server', () => cluster.servers[0].child.kill('SIGKILL'));
  await after('all three nodes', () => cluster.nodes.forEach((node) => node.kill()), LONGEST_GAP_OF_ALL_S);
  await sleep(BETWEEN_MS);
  going = false;
  await Promise.all(writers);
  const kept = new Map(
    cluster.nodes[1]
      .admin('SELECT id, revision FROM dunlinmoss.gauges;')
      .trim()
      .split('\n')
      .map((line) => line.split('\t')),
  );
  const lost = acknowledged.filter((id) => !kept.has(id)).length;
  const doubled = acknowledged.filter((id) => kept.get(id) !== '1').length - lost;
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
  say(`${acknowledged.length} writes acknowledged: ${lost} lost, ${doubled} doubled`);
  const late = gaps.filter(([, gapS, most]) => gapS > most);
  if (lost > 0 || doubled > 0 || late.length > 0) {
    throw new PlainError(
      [
        `${lost} lost, ${doubled} doubled.`,
        ...late.map(([what, gapS]) => `${what}: a gap of ${gapS.toFixed(1)} s.`),
      ].join(' '),
    );
  }
  process.exit(0);
});
