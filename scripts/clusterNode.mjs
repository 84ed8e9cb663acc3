import { spawn, spawnSync } from 'node:child_process';
import { closeSync, existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import { inMaking, makeDataFolder, socketOf } from './database.mjs';
import { endChild, endLeftovers } from './folder.mjs';
import { PlainError } from './say.mjs';

const USER = os.userInfo().username;
/** A node that takes all data from another may take so long, s. */
const READY_SECONDS = 120;
const GALERA = '/usr/lib/galera/libgalera_smm.so';

/**
 * @typedef {{ sql: number, group: number, full: number, partial: number }} NodePorts
 * Where a node answers: to SQL, to the others of its group, for a full and for a partial transfer.
 */

/**
 * One MariaDB of a cluster on loopback, with a data folder of its own.
 * @param {{ name: string, folder: string, ports: NodePorts, groupPorts: readonly number[], transferPassword: string }} options
 */
export function clusterNode({ name, folder, ports, groupPorts, transferPassword }) {
  mkdirSync(folder, { recursive: true });
  const dataFolder = path.join(folder, 'mariadb');
  const pidFile = path.join(folder, 'mariadb.pid');
  const logFile = path.join(folder, 'mariadb.log');
  const stateFile = path.join(dataFolder, 'grastate.dat');
  const socket = socketOf(folder);
  const temporary = path.join(folder, 'tmp');
  let child;

  const own = [
    '--no-defaults',
    `--user=${USER}`,
    `--datadir=${dataFolder}`,
    '--bind-address=127.0.0.1',
    `--port=${ports.sql}`,
    `--socket=${socket}`,
    `--pid-file=${pidFile}`,
    `--tmpdir=${temporary}`,
    '--character-set-server=utf8mb4',
    '--collation-server=utf8mb4_unicode_ci',
    '--skip-name-resolve',
    '--default-time-zone=+00:00',
    '--binlog-format=ROW',
    '--default-storage-engine=InnoDB',
    '--innodb-autoinc-lock-mode=2',
  ];
  const asMember = [
    '--wsrep-on=ON',
    `--wsrep-provider=${GALERA}`,
    '--wsrep-cluster-name=dunlinmoss',
    `--wsrep-cluster-address=gcomm://${groupPorts.map((port) => `127.0.0.1:${port}`).join(',')}`,
    `--wsrep-node-name=${name}`,
    `--wsrep-node-address=127.0.0.1:${ports.group}`,
    '--wsrep-sst-method=mariabackup',
    `--wsrep-sst-auth=sst:${transferPassword}`,
    `--wsrep-sst-receive-address=127.0.0.1:${ports.full}`,
    `--wsrep-provider-options=${[
      `gmcast.listen_addr=tcp://127.0.0.1:${ports.group}`,
      `ist.recv_addr=127.0.0.1:${ports.partial}`,
      `ist.recv_bind=127.0.0.1:${ports.partial}`,
      'gcache.size=32M',
      // A node that is silent for two seconds is left out, so that the others go on.
      'evs.keepalive_period=PT0.5S',
      'evs.suspect_timeout=PT2S',
      'evs.inactive_timeout=PT5S',
    ].join(';')}`,
  ];

  const client = (text) =>
    spawnSync('mariadb', ['--no-defaults', '--batch', '-N', `--socket=${socket}`, `--user=${USER}`], {
      input: text,
      encoding: 'utf8',
    });
  /** Runs SQL as the owner of the node. */
  const admin = (text) => {
    const { status, stdout, stderr } = client(text);
    if (status !== 0) throw new PlainError(`${name} refused its set-up: ${stderr.trim()}`);
    return stdout;
  };
  const status = (variable) => client(`SHOW STATUS LIKE '${variable}'`).stdout?.trim().split('\t')[1];
  const isSynced = () => status('wsrep_ready') === 'ON' && status('wsrep_local_state_comment') === 'Synced';

  /** Where a node that was cut off stands: read from its own log of what was committed. */
  function recoveredPosition() {
    const { stdout, stderr } = spawnSync(
      '/usr/sbin/mariadbd',
      [...own, '--wsrep-on=ON', `--wsrep-provider=${GALERA}`, '--wsrep-recover', '--log-error='],
      { encoding: 'utf8', timeout: READY_SECONDS * 1_000 },
    );
    const found = [...`${stdout}${stderr}`.matchAll(/Recovered position: ([0-9a-f-]{36}):(-?\d+)/g)].at(-1);
    return found ? { uuid: found[1], seqno: Number(found[2]) } : null;
  }

  return {
    name,
    ports,
    socket,
    admin,
    isSynced,
    get pid() {
      return child?.pid;
    },
    get isRunning() {
      return child !== undefined && child.exitCode === null && child.signalCode === null;
    },
    /** Ends what an earlier run left, and makes the data folder where there is none. True where it had data already. */
    async prepare() {
      await endLeftovers(dataFolder, inMaking(dataFolder));
      rmSync(temporary, { recursive: true, force: true });
      mkdirSync(temporary);
      const had = existsSync(path.join(dataFolder, 'mysql'));
      if (!had) makeDataFolder(dataFolder);
      return had && existsSync(stateFile);
    },
    /** What it says of itself since it last ended; `seqno` -1 where it was cut off and has to look. */
    position() {
      if (!existsSync(stateFile)) return null;
      const text = readFileSync(stateFile, 'utf8');
      const [, uuid] = /^uuid:\s*(\S+)/m.exec(text) ?? [];
      const seqno = Number(/^seqno:\s*(-?\d+)/m.exec(text)?.[1] ?? -1);
      return seqno >= 0 && uuid ? { uuid, seqno } : recoveredPosition();
    },
    /** Says that this one may begin the cluster: it has all that any of them has. */
    mayBootstrap() {
      if (!existsSync(stateFile)) return;
      const text = readFileSync(stateFile, 'utf8').replace(/^safe_to_bootstrap:.*$/m, 'safe_to_bootstrap: 1');
      writeFileSync(stateFile, text);
    },
    /**
     * @param {{ first?: boolean, position?: { uuid: string, seqno: number } | null }} how `first` begins the cluster
     */
    async start({ first = false, position = null } = {}) {
      const log = openSync(logFile, 'a');
      child = spawn(
        '/usr/sbin/mariadbd',
        [
          ...own,
          ...asMember,
          ...(position ? [`--wsrep-start-position=${position.uuid}:${position.seqno}`] : []),
          ...(first ? ['--wsrep-new-cluster'] : []),
        ],
        // A group of its own: Ctrl-C must reach the web servers first and the databases last.
        { detached: true, stdio: ['ignore', log, log] },
      );
      closeSync(log);
      const started = child;
      let ended = false;
      started.once('exit', () => (ended = true));
      for (let waited = 0; !isSynced(); waited += 1) {
        if (ended || waited > READY_SECONDS * 5) throw new PlainError(`${name} did not start; see ${logFile}`);
        await sleep(200);
      }
      return started;
    },
    kill: () => child?.kill('SIGKILL'),
    stop: async () => {
      if (child) await endChild(child, 20_000);
    },
  };
}
