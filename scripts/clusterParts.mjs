import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import { clusterNode } from './clusterNode.mjs';
import { endChild } from './folder.mjs';
import { freePort } from './ports.mjs';
import { loadDemo, startServer } from './product.mjs';
import { PlainError, say } from './say.mjs';

const NODES = ['n1', 'n2', 'n3'];
const SERVERS = 2;
const NAME = 'dunlinmoss';

/** Ports and secrets of a cluster: chosen once, so that its members find one another again. */
async function planOf(folder) {
  const file = path.join(folder, 'cluster.json');
  if (existsSync(file)) return JSON.parse(readFileSync(file, 'utf8'));
  const port = () => freePort();
  const nodes = {};
  for (const name of NODES) {
    nodes[name] = { sql: await port(), group: await port(), full: await port(), partial: await port() };
  }
  const plan = {
    nodes,
    database: await port(),
    servers: await Promise.all(Array.from({ length: SERVERS }, port)),
    password: randomBytes(18).toString('base64url'),
    transferPassword: randomBytes(18).toString('base64url'),
  };
  writeFileSync(`${file}.new`, JSON.stringify(plan), { mode: 0o600 });
  renameSync(`${file}.new`, file);
  return plan;
}

/** One balancer for both: the databases, of which one is written to, and the servers. */
const balancerConfig = (plan, port) => `
global
  maxconn 2000
defaults
  timeout connect 2s
  timeout client 65s
  timeout server 65s
listen databases
  mode tcp
  bind 127.0.0.1:${plan.database}
  option mysql-check user hc
  default-server inter 500ms fastinter 200ms rise 1 fall 2 on-marked-down shutdown-sessions
${NODES.map((name, index) => `  server ${name} 127.0.0.1:${plan.nodes[name].sql} check${index > 0 ? ' backup' : ''}`).join('\n')}
listen servers
  mode http
  bind 127.0.0.1:${port}
  option forwardfor
  option http-no-delay
  option httpchk GET /api/v1/ready
  http-check send hdr Host localhost
  retry-on conn-failure empty-response
  retries 2
  option redispatch 1
  default-server inter 500ms fastinter 200ms rise 1 fall 2
${plan.servers.map((each, index) => `  server s${index + 1} 127.0.0.1:${each} check`).join('\n')}
`;

function startBalancer(folder, plan, port) {
  const file = path.join(folder, 'haproxy.cfg');
  writeFileSync(file, balancerConfig(plan, port).trimStart());
  return spawn('/usr/sbin/haproxy', ['-q', '-db', '-f', file], { stdio: 'ignore', detached: true });
}

/**
 * Brings the databases up: what ended well begins where it ended, what was cut off looks up where it stands, and whoever has
 * the most begins the cluster.
 */
async function startNodes(nodes) {
  const had = await Promise.all(nodes.map((node) => node.prepare()));
  const known = nodes.map((node, index) => (had[index] ? node.position() : null));
  const most = known.reduce(
    (best, each, index) => ((each?.seqno ?? -1) > (known[best]?.seqno ?? -1) ? index : best),
    0,
  );
  nodes[most].mayBootstrap();
  await nodes[most].start({ first: true, position: known[most] });
  return most;
}

/**
 * Three databases, two servers and a balancer on loopback, from Debian's packages.
 * @param {{ folder: string, port: number, demo?: boolean, env?: Record<string, string> }} options
 */
export async function startCluster({ folder, port, demo = true, env = {} }) {
  mkdirSync(folder, { recursive: true });
  const plan = await planOf(folder);
  const groupPorts = NODES.map((name) => plan.nodes[name].group);
  const nodes = NODES.map((name) =>
    clusterNode({
      name,
      folder: path.join(folder, name),
      ports: plan.nodes[name],
      groupPorts,
      transferPassword: plan.transferPassword,
    }),
  );
  let stopping = false;
  const servers = [];
  let balancer;
  const stop = async () => {
    stopping = true;
    await Promise.all(servers.map((server) => server.stop()));
    if (balancer) await endChild(balancer);
    // The last to end has everything, and says so: it begins the next time.
    for (const node of [...nodes].reverse()) await node.stop();
  };
  try {
    const first = await startNodes(nodes);
    nodes[first].admin(
      `CREATE DATABASE IF NOT EXISTS ${NAME} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
       CREATE USER IF NOT EXISTS 'dunlinmoss'@'127.0.0.1';
       ALTER USER 'dunlinmoss'@'127.0.0.1' IDENTIFIED BY '${plan.password}';
       GRANT ALL ON ${NAME}.* TO 'dunlinmoss'@'127.0.0.1';
       CREATE USER IF NOT EXISTS 'hc'@'127.0.0.1';
       CREATE USER IF NOT EXISTS 'sst'@'localhost';
       ALTER USER 'sst'@'localhost' IDENTIFIED BY '${plan.transferPassword}';
       GRANT RELOAD, PROCESS, LOCK TABLES, BINLOG MONITOR, REPLICA MONITOR ON *.* TO 'sst'@'localhost';`,
    );
    // One after the other: whoever gives its data away is busy with one alone.
    for (const [index, node] of nodes.entries()) if (index !== first) await node.start({ position: node.position() });
    watch(nodes, () => stopping);

    balancer = startBalancer(folder, plan, port);
    const databaseEnv = {
      DUNLINMOSS_DB_PORT: String(plan.database),
      DUNLINMOSS_DB_USER: 'dunlinmoss',
      DUNLINMOSS_DB_PASSWORD: plan.password,
      DUNLINMOSS_DB_NAME: NAME,
    };
    const begin = async (index) => {
      const server = await startServer({
        port: plan.servers[index],
        databaseEnv,
        env: { ...env, DUNLINMOSS_PROXIES: '1' },
      });
      servers[index] = server;
      server.child.once('exit', () => {
        if (!stopping) void begin(index).catch((error) => say(error.message));
      });
    };
    await Promise.all(plan.servers.map((_, index) => begin(index)));
    const address = `http://127.0.0.1:${port}`;
    await untilReady(`${address}/api/v1/ready`);
    if (demo) await loadDemo(address);
    return { address, nodes, servers, plan, stop };
  } catch (error) {
    await stop();
    throw error;
  }
}

/** A node that ends by itself looks up where it stands and joins again; where all have, whoever has the most begins. */
function watch(nodes, isStopping) {
  let mending = false;
  const look = async () => {
    if (isStopping() || mending) return;
    const down = nodes.filter((node) => !node.isRunning);
    if (down.length === 0) return;
    mending = true;
    try {
      say(`${down.map(({ name }) => name).join(', ')} ended by itself; starting again.`);
      if (down.length === nodes.length) {
        const first = await startNodes(nodes);
        for (const [index, node] of nodes.entries()) {
          if (index !== first) await node.start({ position: node.position() });
        }
      } else {
        for (const node of down) {
          await node.prepare();
          await node.start({ position: node.position() });
        }
      }
    } catch (error) {
      say(error.message);
    } finally {
      mending = false;
    }
  };
  setInterval(() => void look(), 500).unref();
}

async function untilReady(url) {
  for (let waited = 0; waited < 600; waited += 1) {
    const ready = await fetch(url).then(
      ({ ok }) => ok,
      () => false,
    );
    if (ready) return;
    await sleep(100);
  }
  throw new PlainError('The cluster did not answer within a minute.');
}
