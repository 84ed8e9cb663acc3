import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';

import { seeded } from './seeded';
import { aRig } from './testServer';

interface Told {
  readonly address: string;
  readonly databasePid: number;
  readonly serverPid: number;
  readonly problem?: string;
}

const ROOT = path.resolve(__dirname, '../../..');
let folder: string;
let running: ChildProcess[] = [];

/** Begins a whole product on the folder; what it tells once it is up, or why it is not. */
function begin(env: Record<string, string> = {}): {
  readonly child: ChildProcess;
  readonly told: Promise<Told | null>;
} {
  const child = spawn(process.execPath, [path.join(__dirname, 'starter.mjs'), folder], {
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    env: { ...process.env, ...env },
  });
  running.push(child);
  const told = new Promise<Told | null>((resolve) => {
    child.once('message', (message) => resolve(message as Told));
    child.once('exit', () => resolve(null));
  });
  return { child, told };
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Processes whose command line names the folder, or that are its server. */
function processesOf(words: RegExp): number[] {
  return readdirSync('/proc').flatMap((name) => {
    if (!/^\d+$/.test(name) || Number(name) === process.pid) return [];
    try {
      const command = readFileSync(`/proc/${name}/cmdline`, 'utf8');
      return words.test(command) && command.includes(folder) ? [Number(name)] : [];
    } catch {
      return [];
    }
  });
}

const kill = (pid: number): void => {
  try {
    process.kill(pid, 'SIGKILL');
  } catch {
    // It had ended by itself.
  }
};

async function save(address: string): Promise<string> {
  const rig = aRig();
  const response = await fetch(`${address}/api/v1/rigs/${rig.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(rig),
  });
  expect(response.status).toBe(200);
  return rig.id;
}

async function ended(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  await new Promise((resolve) => child.once('exit', resolve));
}

beforeEach(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-kills-'));
  running = [];
});
afterEach(async () => {
  for (const child of running) {
    child.kill('SIGTERM');
    // The killed ones have ended; of the others Jest's own limit takes care.
    await ended(child);
  }
  processesOf(/mariadb|starter/).forEach(kill);
  rmSync(folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
});

describe('a start that is killed', () => {
  it('comes up afterwards, whatever was killed at whatever moment, and keeps what was saved', async () => {
    const kept: string[] = [];
    // While the data folder is made, while the database comes up, while tables are made, while it runs.
    const moments = [150, 500, 900, 1_500, 2_200, 3_000];
    for (const [index, moment] of moments.entries()) {
      const { child, told } = begin();
      await pause(moment);
      if (index % 2 === 1) processesOf(/mariadb/).forEach(kill);
      kill(child.pid!);
      await ended(child);
      await told;
    }
    for (let round = 0; round < 2; round += 1) {
      const { child, told } = begin();
      const up = await told;
      expect(up?.problem).toBeUndefined();
      kept.push(await save(up!.address));
      for (const id of kept) expect((await fetch(`${up!.address}/api/v1/rigs/${id}`)).status).toBe(200);
      kill(child.pid!);
      kill(up!.databasePid);
      await ended(child);
    }
  }, 120_000);
});

describe('a database that nobody knows of', () => {
  it.each([
    ['still being made', /--bootstrap/],
    ['still starting, before it has written which process it is', /mariadbd\0.*--port=/],
  ])(
    'is ended by the next start: %s',
    async (_, words) => {
      const { child, told } = begin();
      while (processesOf(words).length === 0) await pause(5);
      const left = processesOf(words);
      // It stands still, as on a machine that has no time for it.
      for (const pid of left) process.kill(pid, 'SIGSTOP');
      kill(child.pid!);
      await ended(child);
      await told;
      const next = await begin().told;
      expect(next?.problem).toBeUndefined();
      expect(left.filter(isAlive)).toEqual([]);
      expect(processesOf(/mariadbd\0/)).toEqual([next!.databasePid]);
      await save(next!.address);
    },
    60_000,
  );
});

describe('one owner of a folder', () => {
  it('refuses a second start and leaves the first one alone; a database or server that dies is started again', async () => {
    const first = await begin().told;
    const id = await save(first!.address);
    const second = await begin().told;
    expect(second?.problem).toContain('Another Dunlinmoss is running on');
    expect((await fetch(`${first!.address}/api/v1/rigs/${id}`)).status).toBe(200);

    for (const pid of [first!.databasePid, first!.serverPid]) {
      kill(pid);
      let status = 0;
      for (let run = 0; run < 150 && status !== 200; run += 1) {
        await pause(100);
        status = await fetch(`${first!.address}/api/v1/rigs/${id}`).then(
          (response) => response.status,
          () => 0,
        );
      }
      expect(status).toBe(200);
    }
  }, 60_000);

  it('ends the server of a start that was killed, and takes its database over', async () => {
    const { child, told } = begin();
    const first = await told;
    kill(child.pid!);
    await ended(child);
    expect(processesOf(/mariadbd/)).toEqual([first!.databasePid]);
    const next = await begin().told;
    expect(next?.problem).toBeUndefined();
    expect(processesOf(/mariadbd/)).toEqual([next!.databasePid]);
    for (let run = 0; run < 50 && isAlive(first!.serverPid); run += 1) await pause(100);
    expect(isAlive(first!.serverPid)).toBe(false);
  }, 60_000);
});

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

describe('an upgrade', () => {
  it('writes everything as it was aside before it changes a table', async () => {
    const { child, told } = begin();
    const { address } = (await told)!;
    const id = await save(address);
    // As if the newest change were still to come: nothing of it is left to do.
    const made = spawnSync('mariadb', [
      '--no-defaults',
      `--socket=${path.join(folder, 'mariadb.sock')}`,
      `--user=${os.userInfo().username}`,
      'dunlinmoss',
      '-e',
      "DELETE FROM migrations WHERE name = '0013_lists.sql'; INSERT INTO migration_steps VALUES ('0013_lists.sql', 7, 7)",
    ]);
    expect(made.status).toBe(0);
    child.kill('SIGTERM');
    await ended(child);
    const again = await begin().told;
    expect((await fetch(`${again!.address}/api/v1/rigs/${id}`)).status).toBe(200);
    const dumps = readdirSync(path.join(folder, 'backups')).filter((name) => name.startsWith('before-upgrade-'));
    expect(dumps).toHaveLength(1);
    expect(gunzipSync(readFileSync(path.join(folder, 'backups', dumps[0]!))).toString('utf8')).toContain(id);
  }, 60_000);
});

describe('a server on one address of the machine', () => {
  it('is asked there by its own start', async () => {
    const { child, told } = begin({ DUNLINMOSS_HOST: '127.0.0.7' });
    const { address } = (await told)!;
    expect(address).toContain('//127.0.0.7:');
    await save(address);
    child.kill('SIGTERM');
    await ended(child);
  }, 60_000);
});

describe('backup and restore', () => {
  const script = (name: string, ...args: string[]) =>
    spawnSync(process.execPath, [path.join(ROOT, 'scripts', name), ...args], {
      env: { ...process.env, DUNLINMOSS_DATA: folder },
      encoding: 'utf8',
    });

  it('writes a backup while it runs, and brings back what was saved before it', async () => {
    const { child, told } = begin();
    const { address } = (await told)!;
    const before = await save(address);
    const backup = script('backup.mjs');
    expect(backup.stderr).toBe('');
    const file = /(\/\S+\.sql\.gz)/.exec(backup.stdout)![1]!;
    const after = await save(address);
    expect(script('restore.mjs', file).stderr).toContain('Another Dunlinmoss is running on');
    child.kill('SIGTERM');
    await ended(child);

    const restored = script('restore.mjs', file);
    expect(restored.stderr).toBe('');
    expect(restored.stdout).toContain('before-restore-');
    const again = await begin().told;
    expect((await fetch(`${again!.address}/api/v1/rigs/${before}`)).status).toBe(200);
    expect((await fetch(`${again!.address}/api/v1/rigs/${after}`)).status).toBe(404);
  }, 60_000);

  it('refuses a backup that is damaged, cut off or another’s, and changes nothing', async () => {
    const { child, told } = begin();
    const { address } = (await told)!;
    const kept = await save(address);
    const file = /(\/\S+\.sql\.gz)/.exec(script('backup.mjs').stdout)![1]!;
    child.kill('SIGTERM');
    await ended(child);
    const whole = readFileSync(file);
    const sql = gunzipSync(whole).toString('latin1');
    const withoutDigest = sql.slice(0, sql.lastIndexOf('-- dunlinmoss-sha256'));
    const next = seeded(7);
    const flipped = Array.from({ length: 20 }, () => {
      const bytes = Buffer.from(whole);
      // Behind the header of gzip, whose time and flags say nothing of what is in it.
      const at = 10 + next(bytes.length - 10);
      bytes[at]! ^= 1 << next(8);
      return bytes;
    });
    const other = path.join(folder, 'other.sql.gz');
    const packed = (text: string): Buffer => gzipSync(Buffer.from(text, 'latin1'));
    for (const bytes of [
      ...flipped,
      whole.subarray(0, whole.length - 20),
      whole.subarray(0, whole.length / 2),
      packed(sql.replace(kept, 'f'.repeat(kept.length))),
      packed(withoutDigest.slice(0, -200)),
      packed('SELECT 1;\n-- Dump completed\n'),
    ]) {
      writeFileSync(other, bytes);
      const refused = script('restore.mjs', other);
      expect(refused.stderr).toMatch(/^\S+ is not restored: .* Nothing was changed\.\n$/);
      expect(refused.status).toBe(1);
    }
    // As earlier versions wrote them.
    writeFileSync(other, packed(withoutDigest));
    expect(script('restore.mjs', other).stdout).toContain('no digest');
    const again = await begin().told;
    expect((await fetch(`${again!.address}/api/v1/rigs/${kept}`)).status).toBe(200);
  }, 180_000);

  it('does not start on half a restored backup, and says what to do', async () => {
    writeFileSync(path.join(folder, 'restoring'), JSON.stringify({ file: '/some/file', before: '/what/was' }));
    const problem = (await begin().told)?.problem;
    expect(problem).toContain('npm run restore -- /some/file');
    expect(problem).toContain('go back to what was here before it: npm run restore -- /what/was');
    expect(script('restore.mjs', '/no/such.sql.gz').stderr).toContain('There is no file');
  }, 30_000);
});
