import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

import { PlainError, say } from './say.mjs';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
/** Everything the product makes and keeps on this machine; never in the repository. */
export const DATA = process.env.DUNLINMOSS_DATA ?? path.join(ROOT, '.data');

const LOG = path.join(DATA, 'prepare.log');
const PACKAGES = {
  mariadb: { needs: ['/usr/sbin/mariadbd', '/usr/bin/mariadb-install-db'], debian: 'mariadb-server' },
  galera: {
    needs: ['/usr/lib/galera/libgalera_smm.so', '/usr/bin/mariadb-backup', '/usr/bin/socat'],
    debian: 'galera-4 mariadb-backup socat',
  },
  haproxy: { needs: ['/usr/sbin/haproxy'], debian: 'haproxy' },
  chromium: { needs: ['/usr/bin/chromium'], debian: 'chromium' },
};

/** Runs a command to its end, its output into the log; a failure names the log. */
function logged(command, args, options = {}) {
  mkdirSync(DATA, { recursive: true });
  const result = spawnSync(command, args, { cwd: ROOT, encoding: 'utf8', maxBuffer: 1 << 28, ...options });
  writeFileSync(LOG, `$ ${command} ${args.join(' ')}\n${result.stdout ?? ''}${result.stderr ?? ''}\n`, { flag: 'a' });
  return result.status === 0;
}

/** Installs the Debian packages that are missing. Needs root or sudo for that, and for nothing else. */
function ensureSystem(names) {
  const missing = names.map((name) => PACKAGES[name]).filter(({ needs }) => !needs.every((file) => existsSync(file)));
  if (missing.length === 0) return;
  const wanted = missing.flatMap(({ debian }) => debian.split(' '));
  const hint = `apt-get install --no-install-recommends ${wanted.join(' ')}`;
  if (!existsSync('/usr/bin/apt-get'))
    throw new PlainError(`Missing here: ${wanted.join(', ')}. Install it and start again.`);
  say(`Installing ${wanted.join(' and ')} …`);
  const root = process.getuid() === 0;
  const apt = (...args) =>
    logged(root ? 'apt-get' : 'sudo', root ? args : ['-n', 'apt-get', ...args], {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  apt('update', '-qq');
  if (!apt('install', '-y', '-qq', '--no-install-recommends', ...wanted)) {
    throw new PlainError(
      `Could not install ${wanted.join(', ')}. Run this as root, then start again: ${hint} (log: ${LOG})`,
    );
  }
}

/** Installs the npm packages of the lock file, once for each state of it. */
function ensureModules() {
  const lock = readFileSync(path.join(ROOT, 'package-lock.json'));
  const hash = createHash('sha256').update(lock).update(process.version).digest('hex');
  const stamp = path.join(ROOT, 'node_modules', '.lock-hash');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return;
  say('Installing the npm packages (about two minutes, once) …');
  // One more try: registries are sometimes slow to answer.
  if (!logged('npm', ['ci', '--no-audit', '--no-fund']) && !logged('npm', ['ci', '--no-audit', '--no-fund'])) {
    throw new PlainError(`npm ci failed; its output is in ${LOG}`);
  }
  writeFileSync(stamp, hash);
}

/** Gets a machine that has only Node ready: system packages, then npm packages. */
export function prepare(...systemPackages) {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new PlainError(`Node 20.19 or later is needed; this is ${process.version}.`);
  }
  mkdirSync(DATA, { recursive: true });
  ensureSystem(systemPackages);
  ensureModules();
}
