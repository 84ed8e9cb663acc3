import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';

import { DATA, prepare, ROOT } from './prepare.mjs';
import { run, say } from './say.mjs';

const RESULTS = path.join(DATA, 'test-results');

/** Runs one of the installed tools with its output in view; true when it ended well. */
function tool(script, args, env = {}) {
  const { status } = spawnSync(process.execPath, [path.join(ROOT, 'node_modules', script), ...args], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  return status === 0;
}

/** A check that is passed or failed as a whole. */
const check = (name, script, ...args) => {
  say(`— ${name}`);
  return tool(script, args) ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
};

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

run(async () => {
  prepare('mariadb', 'chromium');
  const { ensureWeb } = await import('./web.mjs');
  rmSync(RESULTS, { recursive: true, force: true });
  mkdirSync(RESULTS, { recursive: true });

  const types = ['core', 'contract', 'server', 'app'].map((name) => `packages/${name}`);
  // The names of routes are types too, and made from the files.
  tool('expo/bin/cli', ['customize', 'tsconfig.json', path.join(ROOT, 'packages/app')], { EXPO_OFFLINE: '1', CI: '1' });
  const results = [
    check('format', 'prettier/bin/prettier.cjs', '--check', '.'),
    check('lint', 'eslint/bin/eslint.js', '.', '--max-warnings', '0'),
    ...[...types, 'e2e'].map((folder) => check(`types of ${folder}`, 'typescript/bin/tsc', '-p', folder)),
    counted(
      'unit, server and outside checks',
      'jest.json',
      (file) =>
        tool('jest/bin/jest.js', [
          '--projects',
          ...types,
          '--maxWorkers=2',
          '--testTimeout=30000',
          '--json',
          `--outputFile=${file}`,
        ]),
      ({ numPassedTests, numFailedTests, numRuntimeErrorTestSuites }) => ({
        passed: numPassedTests,
        failed: numFailedTests + numRuntimeErrorTestSuites,
      }),
    ),
  ];
  await ensureWeb();
  results.push(
    counted(
      'browser',
      'browser.json',
      (file) => tool('@playwright/test/cli.js', ['test', '-c', 'e2e/playwright.config.ts'], { E2E_JSON: file }),
      ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky + stats.skipped }),
    ),
  );

  const sum = (key) => results.reduce((total, result) => total + result[key], 0);
  say(`${sum('passed')} passed, ${sum('failed')} failed`);
  process.exit(sum('failed') === 0 ? 0 : 1);
});
