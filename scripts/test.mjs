import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { stripVTControlCharacters } from 'node:util';

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

/** What failed is told again when all has ended, as far as this: the rest of its output stands where it ran. */
const TOLD_LINES = 30;

/** Runs a script of which all the output is wanted; `heard` hears it as it comes. */
async function heardRun(script, args, heard = () => undefined) {
  const child = spawn(process.execPath, [script, ...args], { cwd: ROOT });
  let output = '';
  for (const stream of [child.stdout, child.stderr]) {
    stream.setEncoding('utf8').on('data', (part) => {
      output += part;
      heard(part);
    });
  }
  const [code] = await once(child, 'close');
  return { ended: code === 0, output };
}

/** What passed or failed as a whole; how it ended stands last. */
const asWhole = (name, { ended, output }) =>
  ended
    ? { passed: 1, failed: 0, told: [] }
    : { passed: 0, failed: 1, told: [[name, output.trimEnd().split('\n').slice(-TOLD_LINES).join('\n')]] };

/** A check that is passed or failed as a whole; its output stands together, when it has ended. */
const check =
  (name, script, ...args) =>
  async () => {
    const result = await heardRun(path.join(ROOT, 'node_modules', script), args);
    say(`— ${name}`);
    if (!result.ended) process.stdout.write(result.output);
    return asWhole(name, result);
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

/** A runner that died without a report has failed once. `told`: what failed by name, each with why. */
function counted(name, file, runIt, count) {
  say(`— ${name}`);
  const ended = runIt(path.join(RESULTS, file));
  const died = [[name, 'It ended with an error: see its output.']];
  try {
    const { passed, failed, told } = count(report(file));
    return failed === 0 && !ended ? { passed, failed: 1, told: died } : { passed, failed, told };
  } catch {
    return { passed: 0, failed: 1, told: died };
  }
}

/** The tests of a report of Jest that failed, and the files that could not be run at all. */
const failedOfJest = (suites) =>
  suites.flatMap(({ name, status, message, assertionResults }) => {
    const failed = assertionResults.filter((each) => each.status === 'failed');
    const file = path.relative(ROOT, name);
    if (failed.length === 0) return status === 'failed' ? [[file, message]] : [];
    return failed.map((each) => [`${file} › ${each.fullName}`, each.failureMessages.join('\n')]);
  });

/** The walks of a report of Playwright that did not pass. */
const failedOfPlaywright = (suites) =>
  suites.flatMap((suite) => [
    ...failedOfPlaywright(suite.suites ?? []),
    ...(suite.specs ?? []).flatMap((spec) =>
      spec.tests
        .filter((each) => each.status !== 'expected')
        .map((each) => [
          `[${each.projectName}] ${spec.file}:${spec.line} › ${spec.title}`,
          each.results.flatMap(({ errors }) => errors.map((error) => error.message)).join('\n') || each.status,
        ]),
    ),
  ]);

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
    ({ numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults }) => ({
      passed: numPassedTests,
      failed: numFailedTests + numRuntimeErrorTestSuites,
      told: failedOfJest(testResults),
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
  async cluster() {
    say('— cluster');
    const script = path.join(ROOT, 'scripts/clusterKills.mjs');
    return [asWhole('cluster', await heardRun(script, ['--short'], (part) => process.stdout.write(part)))];
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
        ({ stats, suites }) => ({
          passed: stats.expected,
          failed: stats.unexpected + stats.flaky + stats.skipped,
          told: failedOfPlaywright(suites),
        }),
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
  for (const [name, why] of results.flatMap(({ told }) => told)) {
    // Colors of a terminal would stand as signs in a file.
    const lines = stripVTControlCharacters(why).split('\n');
    say(['', `FAILED ${name}`, ...lines.slice(0, TOLD_LINES).map((line) => `  ${line}`)].join('\n'));
  }
  const sum = (key) => results.reduce((total, result) => total + result[key], 0);
  say(`${sum('passed')} passed, ${sum('failed')} failed`);
  process.exit(sum('failed') === 0 ? 0 : 1);
});
