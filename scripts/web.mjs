import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

import { ROOT } from './prepare.mjs';
import { PlainError, say } from './say.mjs';

export const WEB_ROOT = path.join(ROOT, 'packages/app/dist');
const STAMP = path.join(WEB_ROOT, '.source-hash');

function* filesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* filesBelow(file);
    else yield file;
  }
}

/** A hash over everything that goes into the web build. */
function sourceHash() {
  const hash = createHash('sha256');
  const packages = readdirSync(path.join(ROOT, 'packages')).filter((name) => name !== 'server');
  const sources = [...packages.map((name) => `${name}/src`), 'app/public']
    .map((folder) => path.join(ROOT, 'packages', folder))
    .flatMap((folder) => (existsSync(folder) ? [...filesBelow(folder)] : []));
  const settings = ['app.json', 'package.json', 'metro.config.js', 'babel.config.js', 'barrels.js'].map((name) =>
    path.join(ROOT, 'packages/app', name),
  );
  for (const file of [...sources, ...settings, path.join(ROOT, 'package-lock.json')].sort()) {
    if (/\.test\.tsx?$/.test(file) || !existsSync(file)) continue;
    hash.update(path.relative(ROOT, file)).update(readFileSync(file));
  }
  return hash.digest('hex');
}

/** Exports an Expo application for the web and gives back what it printed. */
export function exportWeb(folder, output, env = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(
      process.execPath,
      [path.join(ROOT, 'node_modules/expo/bin/cli'), 'export', '--platform', 'web', '--output-dir', output],
      {
        cwd: folder,
        env: { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1', NODE_ENV: 'production', ...env },
      },
    );
    let text = '';
    child.stdout.on('data', (part) => (text += part));
    child.stderr.on('data', (part) => (text += part));
    child.once('exit', (code) =>
      code === 0 ? resolve(text) : reject(new PlainError(`The web build failed:\n${text}`)),
    );
  });
}

/**
 * Writes the service worker: everything that was built is kept on the device, so that every address opens without a
 * server. A newer version waits until the person takes it.
 */
async function makeShell(folder) {
  const { generateSW } = await import('workbox-build');
  const { warnings } = await generateSW({
    globDirectory: folder,
    swDest: path.join(folder, 'sw.js'),
    globPatterns: ['**/*.{html,js,css,ttf,woff2,png,ico,svg,webmanifest}'],
    globIgnores: ['sw.js', '**/*.map', 'metadata.json'],
    maximumFileSizeToCacheInBytes: 8 * 2 ** 20,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//, /^\/\.well-known\//],
    // Their names change with what is in them.
    dontCacheBustURLsMatching: /-[0-9a-f]{32}\.|\.[0-9a-f]{32}\./,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    skipWaiting: false,
    clientsClaim: true,
    cleanupOutdatedCaches: true,
  });
  if (warnings.length > 0) throw new PlainError(`The application shell: ${warnings.join('; ')}`);
}

/**
 * The scripts of the page as one file, in their order: each of several is asked for, waited for and begun by itself, which
 * a slow phone feels. Nothing else asks for them by name.
 */
function joinScripts(folder) {
  const page = path.join(folder, 'index.html');
  const html = readFileSync(page, 'utf8');
  const tags = [...html.matchAll(/<script src="\/([^"]+)" defer><\/script>/g)];
  const parts = tags.map(([, name]) => readFileSync(path.join(folder, name), 'utf8'));
  if (parts.length === 0 || html.split('<script').length - 1 !== parts.length) {
    throw new PlainError(`Expected scripts that are deferred, and no others, in ${page}`);
  }
  // A part may end without a line's end, and within a comment of one line.
  const all = parts.join('\n');
  const name = `_expo/static/js/web/first-${createHash('md5').update(all).digest('hex')}.js`;
  for (const [, part] of tags) rmSync(path.join(folder, part));
  writeFileSync(path.join(folder, name), all);
  const [first, ...others] = tags.map(([tag]) => tag);
  const joined = others.reduce((rest, tag) => rest.replace(tag, ''), html);
  writeFileSync(page, joined.replace(first, `<script src="/${name}" defer></script>`));
}

/** Has the typefaces fetched along with the code that asks for them. */
function preloadFonts(folder) {
  const page = path.join(folder, 'index.html');
  const links = [...filesBelow(path.join(folder, 'assets'))]
    .filter((file) => file.endsWith('.ttf'))
    .map((file) => `/${path.relative(folder, file)}`)
    .map((href) => `<link rel="preload" as="font" type="font/ttf" crossorigin href="${href}" />`);
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${links.join('')}</head>`));
}

const [brotli, gzipped] = [promisify(brotliCompress), promisify(gzip)];
const COMPRESSED = /\.(js|css|svg|ttf)$/;

/**
 * Lays files of which the names change with what is in them beside themselves, as small as they get: made anew for everyone
 * who asks, they are a tenth larger and come later. A browser asks for the smaller kind over a safe line only.
 */
export async function compressFiles(folder) {
  const files = ['_expo', 'assets'].flatMap((name) => [...filesBelow(path.join(folder, name))]);
  await Promise.all(
    files
      .filter((file) => COMPRESSED.test(file))
      .map(async (file) => {
        const bytes = readFileSync(file);
        writeFileSync(`${file}.br`, await brotli(bytes));
        writeFileSync(`${file}.gz`, await gzipped(bytes, { level: constants.Z_BEST_COMPRESSION }));
      }),
  );
}

/** Builds the web application when a source of it has changed since the last build. */
export async function ensureWeb() {
  const hash = sourceHash();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === hash) return;
  say('Building the web application (a minute or two, when it has changed) …');
  // A build that is cut off is no build.
  rmSync(STAMP, { force: true });
  rmSync(WEB_ROOT, { recursive: true, force: true });
  const { version } = JSON.parse(readFileSync(path.join(ROOT, 'package.json'), 'utf8'));
  await exportWeb(path.join(ROOT, 'packages/app'), WEB_ROOT, {
    // Told in Files, so that two devices can be held against one another.
    EXPO_PUBLIC_VERSION: `${version} (${hash.slice(0, 8)})`,
  });
  joinScripts(WEB_ROOT);
  preloadFonts(WEB_ROOT);
  await makeShell(WEB_ROOT);
  await compressFiles(WEB_ROOT);
  writeFileSync(STAMP, hash);
}
