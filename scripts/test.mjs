import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';

import { DATA, prepare, ROOT } from './prepare.mjs';
import { PlainError, run, say } from './say.mjs';

const RESULTS = path.join(DATA, 'test-results');
/** What checks remember of files that have not changed. */
const CACHE = path.join(DATA, 'test-cache');
const COVERAGE = ['--coverage', '--coverageReporters=text-summary', '--collectCoverageFrom=src/**/*.ts'];

/** How many checks run at once: a machine has two cores at least. */
const CHECKS_AT_ONCE = 2;
const PACKAGES = ['core', 'contract', 'domain', 'paper', 'server', 'app'].map((name) => `packages/${name}`);
const UNITS = PACKAGES.filter((name) => name !== 'packages/server');

/** Runs one of the installed tools with its output in view; true when it ended well. */
function tool(script, args, env = {}, cwd = ROOT) {
  const { status } = spawnSync(process.execPath, [path.join(ROOT, 'node_modules', script), ...args], {
    cwd,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  return status === 0;
}

/** A check that is passed or failed as a whole; its output stands together, when it has ended. */
const check =
  (name, script, ...args) =>
  async () => {
    const child = spawn(process.execPath, [path.join(ROOT, 'node_modules', script), ...args], { cwd: ROOT });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (output += part));
    const [code] = await once(child, 'close');
    say(`— ${name}`);
    if (code !== 0) process.stdout.write(output);
    return code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
  };

async function checked(checks) {
  const results = [];
  const left = [...checks];
  const worker = async () => {
    for (let next = left.shift(); next; next = left.shift()) results.push(await next());
  };
  await Promise.all(Array.from({ length: CHECKS_AT_ONCE }, worker));
  return results;
}

const report = (file) => JSON.parse(readFileSync(path.join(RESULTS, file), 'utf8'));

/** A runner that died without a report has failed once. */
function counted(name, file, runIt, count) {
  say(`— ${name}`);
  const ended = runIt(path.join(RESULTS, file));
  try {
    const { passed, failed } = count(report(file));
    return { passed, failed: failed === 0 && !ended ? 1 : failed };
  } catch {
    return { passed: 0, failed: 1 };
  }
}

const jest = (name, projects, options) =>
  counted(
    name,
    `${projects.length === 1 ? 'server' : 'unit'}.json`,
    (file) =>
      tool('jest/bin/jest.js', [
        '--projects',
        ...projects,
        '--maxWorkers=2',
        '--testTimeout=30000',
        '--json',
        `--outputFile=${file}`,
        ...options,
      ]),
    ({ numPassedTests, numFailedTests, numRuntimeErrorTestSuites }) => ({
      passed: numPassedTests,
      failed: numFailedTests + numRuntimeErrorTestSuites,
    }),
  );

/** The parts of all tests, in order; each gives what passed and failed. */
const PARTS = {
  /** Format, lint and types. */
  async checks() {
    // The names of routes are types too, and made from the files.
    const app = path.join(ROOT, 'packages/app');
    tool('expo/bin/cli', ['customize', 'tsconfig.json'], { EXPO_OFFLINE: '1', CI: '1' }, app);
    const types = (folder) =>
      check(
        `types of ${folder}`,
        'typescript/bin/tsc',
        ...['-p', folder, '--incremental', '--tsBuildInfoFile', path.join(CACHE, `${folder.replace('/', '-')}.json`)],
      );
    return checked([
      check(
        'lint',
        'eslint/bin/eslint.js',
        '.',
        '--max-warnings',
        '0',
        '--cache',
        '--cache-location',
        `${CACHE}/eslint`,
      ),
      types('packages/app'),
      types('packages/server'),
      check('format', 'prettier/bin/prettier.cjs', '--check', '.', '--cache', '--cache-location', `${CACHE}/prettier`),
      ...['packages/core', 'packages/contract', 'packages/domain', 'packages/paper', 'e2e'].map(types),
    ]);
  },
  /** Everything that needs neither server nor browser, with the checks against the world outside. */
  unit: () => [
    process.argv.includes('--coverage')
      ? jest('core and domain, with coverage', ['packages/core', 'packages/domain'], COVERAGE)
      : jest('unit and outside checks', UNITS, []),
  ],
  /** The server against a real database. */
  server: () => [jest('server', ['packages/server'], [])],
  /** A cluster of which parts are killed: passed or failed as a whole. */
  cluster() {
    say('— cluster');
    const script = path.join(ROOT, 'scripts/clusterKills.mjs');
    const { status } = spawnSync(process.execPath, [script, '--short'], { cwd: ROOT, stdio: 'inherit' });
    return [status === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 }];
  },
  /** Walks through the built and started product. */
  async browser() {
    const { ensureWeb } = await import('./web.mjs');
    await ensureWeb();
    return [
      counted(
        'browser',
        'browser.json',
        (file) => tool('@playwright/test/cli.js', ['test', '-c', 'e2e/playwright.config.ts'], { E2E_JSON: file }),
        ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky + stats.skipped }),
      ),
    ];
  },
};

run(async () => {
  const wanted = process.argv.slice(2).filter((each) => !each.startsWith('--'));
  const unknown = wanted.find((each) => !(each in PARTS));
  if (unknown) throw new PlainError(`No part of the tests is called ${unknown}: ${Object.keys(PARTS).join(', ')}.`);
  prepare('mariadb', 'chromium', 'galera', 'haproxy');
  rmSync(RESULTS, { recursive: true, force: true });
  mkdirSync(RESULTS, { recursive: true });
  mkdirSync(CACHE, { recursive: true });

  const results = [];
  for (const [name, part] of Object.entries(PARTS)) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const begun = Date.now();
    results.push(...(await part()));
    say(`— ${name}: ${Math.round((Date.now() - begun) / 1000)} s`);
  }
  const sum = (key) => results.reduce((total, result) => total + result[key], 0);
  say(`${sum('passed')} passed, ${sum('failed')} failed`);
  process.exit(sum('failed') === 0 ? 0 : 1);
});
