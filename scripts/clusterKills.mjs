/*
 * A cluster under six writers and followers of two kinds, while one part of it after the other is killed: what was
 * acknowledged must be there, once, and whoever followed follows again. `--short` kills the node that is written to and the
 * servers, and only tells how long that took.
 */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import { freePort } from './ports.mjs';
import { prepare, ROOT } from './prepare.mjs';
import { PlainError, run, say } from './say.mjs';

const WRITERS = 6;
const BETWEEN_MS = 4_000;
const PAUSE_MS = 40;
/** Phones that follow what changes, and as many that follow the monitors of a rig. */
const FOLLOWERS = 10;
/** Their line is open again after so long at the most, s. */
const LONGEST_LOST_S = 2;
/** What the server tells a browser to wait, ms. */
const AGAIN_MS = 500;
/** A gap longer than this is a failure, but where everything was killed, s. */
const LONGEST_GAP_S = 7;
const LONGEST_GAP_OF_ALL_S = 60;

const isShort = process.argv.includes('--short');

run(async () => {
  prepare('mariadb', 'galera', 'haproxy');
  const { startCluster } = await import('./clusterParts.mjs');
  const folder = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-cluster-'));
  const cluster = await startCluster({ folder, port: await freePort(), demo: false, env: { DUNLINMOSS_LOG: 'error' } });
  try {
    await kills(cluster);
  } finally {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
  process.exit(0);
});

async function kills(cluster) {
  const acknowledged = [];
  const followers = await followersOf(cluster.address);
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
      const isUp = ({ child }) => child.exitCode === null && child.signalCode === null;
      if (cluster.servers.every(isUp) && cluster.nodes.every((node) => node.isRunning && node.isSynced())) return;
      await sleep(100);
    }
    throw new PlainError('The cluster did not come together again within two minutes.');
  };
  const gaps = [];
  const lines = [];
  const after = async (what, kill, most = LONGEST_GAP_S) => {
    await sleep(BETWEEN_MS);
    longestMs = 0;
    followers.forget();
    kill();
    await sleep(BETWEEN_MS);
    await settled();
    const { lostS, lost } = followers.longest();
    if (lost > 0) lines.push([what, lostS]);
    // A gap that is open still counts.
    const gapS = Math.max(longestMs, performance.now() - lastMs) / 1000;
    gaps.push([what, gapS, most]);
    say(
      `${what} killed: longest gap ${gapS.toFixed(1)} s, ${acknowledged.length} writes acknowledged so far, ` +
        `${lost} lines lost${lost > 0 ? `, each open again within ${lostS.toFixed(1)} s` : ''}`,
    );
  };
  await after('the node that is written to', () => cluster.nodes[0].kill());
  if (!isShort) await after('another node', () => cluster.nodes[2].kill());
  // Lines may all lie on one of the two: both are killed, one after the other.
  await after('a server', () => cluster.servers[0].child.kill('SIGKILL'));
  await after('the other server', () => cluster.servers[1].child.kill('SIGKILL'));
  if (!isShort) {
    await after('all three nodes', () => cluster.nodes.forEach((node) => node.kill()), LONGEST_GAP_OF_ALL_S);
  }
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
  followers.stop();
  say(`${acknowledged.length} writes acknowledged: ${lost} lost, ${doubled} doubled`);
  const late = isShort ? [] : gaps.filter(([, gapS, most]) => gapS > most);
  const slow = isShort ? [] : lines.filter(([, lostS]) => lostS > LONGEST_LOST_S);
  if (lines.length === 0) throw new PlainError('No line was lost: nothing was shown of those who follow.');
  if (lost > 0 || doubled > 0 || late.length > 0 || slow.length > 0) {
    throw new PlainError(
      [
        `${lost} lost, ${doubled} doubled.`,
        ...late.map(([what, gapS]) => `${what}: a gap of ${gapS.toFixed(1)} s.`),
        ...slow.map(([what, lostS]) => `${what}: a line was lost for ${lostS.toFixed(1)} s.`),
      ].join(' '),
    );
  }
}

/** Phones that follow through the balancer, as browsers do: a line that ends is opened again after a moment. */
async function followersOf(address) {
  const id = randomUUID();
  const sent = async (method, path, body) => {
    const answer = await fetch(`${address}/api/v1${path}`, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new PlainError(`${method} ${path}: ${answer.status} ${await answer.text()}`);
  };
  const demo = JSON.parse(readFileSync(path.join(ROOT, 'demo/ravelsey.json'), 'utf8'));
  const [rig] = demo.rigs;
  await sent('PUT', `/rigs/${id}`, { ...rig, id, revision: 0, demo: false });
  const since = new Date(Date.now() - 60_000).toISOString();
  const wheels = [{ position: 'front', wheel: 'left', volumeL: 60, coldKpa: 110 }];
  await sent('PUT', `/devices/rigs/${id}`, { seed: 1, ambientC: 12, altitudeM: 0, driving: false, since, wheels });
  const ways = ['/changes/stream', `/devices/rigs/${id}/monitors/stream`];
  let going = true;
  let losses = [];
  /** Since when whose line is down, by its number. */
  const down = new Map();
  const follow = async (path, number) => {
    while (going) {
      try {
        const answer = await fetch(`${address}/api/v1${path}`);
        if (!answer.ok) throw new Error(String(answer.status));
        const reader = answer.body.getReader();
        await reader.read();
        if (down.has(number)) losses.push((performance.now() - down.get(number)) / 1000);
        down.delete(number);
        while (going && !(await reader.read()).done);
        if (!going) await reader.cancel();
      } catch {
        // Lost, or not to be had yet.
      }
      if (!down.has(number)) down.set(number, performance.now());
      if (going) await sleep(AGAIN_MS);
    }
  };
  for (let one = 0; one < ways.length * FOLLOWERS; one += 1) void follow(ways[one % ways.length], one);
  // All of them are there before anything is killed.
  await sleep(1_000);
  return {
    forget: () => (losses = []),
    longest() {
      // One that is still down counts as well.
      const now = performance.now();
      const all = [...losses, ...[...down.values()].map((sinceMs) => (now - sinceMs) / 1000)];
      return { lostS: Math.max(0, ...all), lost: all.length };
    },
    stop: () => (going = false),
  };
}
