import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';

import { freePort } from './ports.mjs';
import { prepare, ROOT } from './prepare.mjs';
import { PlainError, run, say } from './say.mjs';

const temporary = (name) => mkdtempSync(path.join(os.tmpdir(), `dunlinmoss-bench-${name}-`));

/**
 * Runs one of the TypeScript benches and reads the figures it prints. This process goes on meanwhile: it is the one that
 * starts a fallen server again and empties its pipes.
 */
async function figures(script, args = [], env = {}) {
  const child = spawn(process.execPath, ['--import', 'tsx', path.join(ROOT, 'scripts/bench', script), ...args], {
    cwd: path.join(ROOT, 'packages/server'),
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let printed = '';
  child.stdout.setEncoding('utf8').on('data', (part) => (printed += part));
  const [code] = await once(child, 'close');
  if (code !== 0) throw new PlainError(`${script} failed.`);
  return JSON.parse(printed);
}

/** Gzipped bytes of the JavaScript that the first page loads: every script that its index.html names. */
function initialBytes(folder) {
  const html = readFileSync(path.join(folder, 'index.html'), 'utf8');
  const scripts = [...html.matchAll(/<script[^>]+src="([^"]+)"/g)].map((match) => match[1]);
  if (scripts.length === 0) throw new PlainError(`No script in ${folder}/index.html`);
  return scripts.reduce((total, src) => total + gzipSync(readFileSync(path.join(folder, src)), { level: 9 }).length, 0);
}

async function javascript() {
  const { ensureWeb, exportWeb, WEB_ROOT } = await import('./web.mjs');
  await ensureWeb();
  const empty = path.join(temporary('empty'), 'dist');
  await exportWeb(path.join(ROOT, 'scripts/bench/empty-app'), empty);
  const [ours, yardstick] = [initialBytes(WEB_ROOT), initialBytes(empty)];
  rmSync(path.dirname(empty), { recursive: true, force: true });
  const chunks = readdirSync(path.join(WEB_ROOT, '_expo/static/js/web')).filter((name) => name.endsWith('.js')).length;
  say(
    `initial JavaScript, gzip: ${ours} bytes in ${chunks} file(s), ${(ours / yardstick).toFixed(2)} × an empty Expo Router + Paper application (${yardstick})`,
  );
}

async function reads() {
  const { startProduct } = await import('./product.mjs');
  const folder = temporary('reads');
  const product = await startProduct({ folder });
  const { p50Ratio, p95Ratio, apiP50Ms, selectP50Ms } = await figures(
    'reads.ts',
    [product.address],
    product.database.env,
  );
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  say(
    `a rig through the API against the same SELECTs, 2000 reads, 8 at once: p50 ${p50Ratio.toFixed(1)} ×, p95 ${p95Ratio.toFixed(1)} × (p50 ${apiP50Ms.toFixed(2)} ms against ${selectP50Ms.toFixed(2)} ms)`,
  );
}

async function people() {
  const { startProduct, startServer } = await import('./product.mjs');
  const folder = temporary('people');
  const product = await startProduct({ folder });
  const port = await freePort();
  const far = await startServer({ port, databaseEnv: product.database.env });
  const told = await figures('people.ts', [product.address, `http://127.0.0.1:${port}`], product.database.env);
  await far.stop();
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  say(
    `a read with a session against one where nobody signs in, in turns: p50 ${told.p50Ratio.toFixed(2)} × (${told.p50Ms.toFixed(1)} ms), p95 ${told.p95Ratio.toFixed(2)} ×`,
  );
  say(
    `${told.followers} phones of 20 crews following changes on two servers: lag p50 ${told.lagP50Ms.toFixed(0)} ms, p95 ${told.lagP95Ms.toFixed(0)} ms, ${told.lost} not told, ${told.dropped} dropped`,
  );
}

async function crews() {
  const { startProduct, startServer } = await import('./product.mjs');
  const folder = temporary('crews');
  const product = await startProduct({ folder });
  const port = await freePort();
  const far = await startServer({ port, databaseEnv: product.database.env });
  const told = await figures('crews.ts', [product.address, `http://127.0.0.1:${port}`], product.database.env);
  await far.stop();
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  say(
    `p95 of a request with 10,000 crews in the database against 10: ${(told.manyMs / told.fewMs).toFixed(2)} × (${told.manyMs.toFixed(1)} ms against ${told.fewMs.toFixed(1)} ms)`,
  );
  say(
    `p95 of a quiet crew beside a noisy one (16 at once, ${told.noise.toLocaleString('en')} lists) against alone: ${(told.besideMs / told.aloneMs).toFixed(1)} × (${told.besideMs.toFixed(1)} ms against ${told.aloneMs.toFixed(1)} ms)`,
  );
  say(
    `two servers of one database against one, answers a second, all on the same cores: ${(told.both / told.single).toFixed(2)} × (${told.both.toFixed(0)} against ${told.single.toFixed(0)})`,
  );
}

async function serving() {
  const { startProduct } = await import('./product.mjs');
  const folder = temporary('serving');
  const product = await startProduct({ folder, demo: false });
  const told = await figures(
    'serving.ts',
    [product.address, String(product.server.child.pid), folder],
    product.database.env,
  );
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  const { malformed, pages, windows, few, many, archive } = told;
  say(
    `${malformed.sent.toLocaleString('en')} malformed requests, seeded: ${malformed.crashed ? 'crashed' : 'no crash'}, ${malformed.dropped} dropped, ${malformed.serverErrors} answers of 5xx, ${malformed.leaks} leaks`,
  );
  say(
    `a page of 50 of 15,000 rigs behind 13,500 others against the first: ${(pages.deepMs / pages.firstMs).toFixed(2)} × (${pages.deepMs.toFixed(1)} ms against ${pages.firstMs.toFixed(1)} ms)`,
  );
  say(
    `a log of 1,000,000 readings thinned: a week ${windows.weekMs.toFixed(0)} ms, the whole year ${windows.wholeMs.toFixed(0)} ms`,
  );
  say(
    `goodput at 500 clients against 16: ${(many.perSecond / few.perSecond).toFixed(2)} × (${many.perSecond.toFixed(0)} against ${few.perSecond.toFixed(0)} answers a second; refused ${(100 * many.refusedShare).toFixed(1)} % and ${(100 * few.refusedShare).toFixed(1)} %)`,
  );
  say(
    `archive of 15,000 rigs and 1,000,000 readings: out ${(archive.outMs / 1000).toFixed(0)} s, in again ${(archive.inMs / 1000).toFixed(0)} s; the server's memory ${archive.restMb.toFixed(0)} MB before, ${archive.peakMb.toFixed(0)} MB at its peak`,
  );
}

/** Kills of server, database or starter at chance moments while clients save; what was answered must be there, once. */
async function kills() {
  const { killsSurvived } = await import('./bench/kills.mjs');
  const told = await killsSurvived(temporary('kills'), 20);
  say(
    `${told.kills} kills of starter, server or database while saving, ${told.survived} survived; ${told.answered} saves answered, ${told.lost} lost, ${told.doubled} doubled`,
  );
}

async function loads() {
  const { startProduct } = await import('./product.mjs');
  const folder = temporary('loads');
  const product = await startProduct({ folder, demo: false });
  const figure = await figures('loads.ts', [product.address], product.database.env);
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  say(
    `100,000 loads taken in through the API against LOAD DATA of the same rows: ${figure.applyRatio.toFixed(1)} × (${(figure.applyMs / 1000).toFixed(1)} s against ${(figure.loadDataMs / 1000).toFixed(1)} s); only asked, line by line: ${figure.askRatio.toFixed(1)} ×`,
  );
  say(
    `first page of ten rigs out of 10,000 against out of 10, p95 of 300: ${figure.listRatio.toFixed(2)} × (${figure.listManyMs.toFixed(1)} ms)`,
  );
}

async function air() {
  const { startProduct } = await import('./product.mjs');
  const folder = temporary('air');
  const product = await startProduct({ folder, demo: false });
  const { log, stream, airUpUs } = await figures(
    'air.ts',
    [product.address, String(product.server.child.pid)],
    product.database.env,
  );
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  say(
    `a log of 1,000,000 readings through the API against LOAD DATA of the same rows: ${log.ratio.toFixed(1)} × (${(log.apiMs / 1000).toFixed(1)} s against ${(log.loadDataMs / 1000).toFixed(1)} s); the server's memory ${log.restMb.toFixed(0)} MB before, ${log.peakMb.toFixed(0)} MB at its peak`,
  );
  say(
    `a reading lies in ${log.bytesARow.toFixed(0)} bytes; a month of ${Math.round(log.monthRows).toLocaleString('en')} of them that nobody keeps let go in ${log.monthMs.toFixed(0)} ms`,
  );
  say(
    `200 phones on one rig's live stream: lag p95 ${stream.lagP95Ms.toFixed(0)} ms, ${(100 * stream.cpuShare).toFixed(1)} % of a core, ${stream.dropped} dropped, each heard at least ${stream.leastHeard} of ${stream.expected} slots`,
  );
  say(`a whole air-up of four wheels simulated: ${airUpUs.toFixed(1)} µs`);
}

async function proof() {
  const { ensureWeb } = await import('./web.mjs');
  const { startProduct } = await import('./product.mjs');
  const { photoFigures } = await import('./bench/browser.mjs');
  await ensureWeb();
  const folder = temporary('proof');
  const product = await startProduct({ folder });
  const photo = path.join(folder, 'print.jpg');
  let told;
  let page;
  try {
    told = await figures('proof.ts', [product.address, photo], product.database.env);
    page = await photoFigures(product.address, photo);
  } finally {
    await product.stop();
  }
  const { print, estimate, list } = told;
  rmSync(folder, { recursive: true, force: true });
  say(
    `a print in a photo of 12 megapixels against the same steps by an image library: ${(print.oursMs / print.theirsMs).toFixed(1)} × (${(print.oursMs / 1000).toFixed(1)} s against ${(print.theirsMs / 1000).toFixed(1)} s), ${print.memoryMb.toFixed(0)} MB for both; in the browser's worker, from the tap to the outline, ${(page.ms / 1000).toFixed(1)} s, longest task of the page meanwhile ${page.longestTaskMs === null ? 'under 50 ms' : `${page.longestTaskMs.toFixed(0)} ms`}`,
  );
  say(
    `the constants of a tire from 5 readings ${estimate.fewMs.toFixed(1)} ms, from 500 ${estimate.manyMs.toFixed(1)} ms: ${(estimate.manyMs / estimate.fewMs).toFixed(0)} ×`,
  );
  say(
    `first page of tests out of 100,000 against out of 100, p95: ${(list.manyMs / list.fewMs).toFixed(2)} × (${list.manyMs.toFixed(1)} ms against ${list.fewMs.toFixed(1)} ms)`,
  );
}

async function markings() {
  const { readPerSecond, timeOfBothOverRead } = await figures('markings.ts');
  say(
    `markings read over all notations: ${Math.round(readPerSecond)} a second; read and written again ${timeOfBothOverRead.toFixed(1)} × the time`,
  );
}

async function plans() {
  const { plansPerSecond, timeOf12OverTimeOf1, timeOf120OverTimeOf12, cards, sweptPlans, sweepS } =
    await figures('plans.ts');
  say(
    `full plans of a rig: ${Math.round(plansPerSecond)} a second; 12 grounds take ${timeOf12OverTimeOf1.toFixed(1)} × the time of 1, 10 rigs on 12 grounds ${timeOf120OverTimeOf12.toFixed(1)} × that`,
  );
  say(`the sweep: ${sweptPlans} plans in ${sweepS.toFixed(2)} s`);
  const each = Object.entries(cards).map(([family, perSecond]) => `${family} ${Math.round(perSecond)}`);
  say(`every ground by every school, rigs a second: ${each.join(', ')}`);
}

async function draws() {
  const { oursMs, plainMs, ratio } = await figures('margin.ts');
  say(
    `20,000 draws of one axle: ${ratio.toFixed(1)} × the same loop written out plainly (${oursMs.toFixed(0)} ms against ${plainMs.toFixed(0)} ms)`,
  );
}

async function paper() {
  const { fewMs, manyMs, bytes, singleMs } = await figures('paper.ts');
  const eachMs = manyMs / 300;
  say(
    `cards of 300 machines as one PDF: ${(manyMs / 1000).toFixed(1)} s, ${Math.round(bytes / 1000)} kB; a card takes ${(eachMs / fewMs).toFixed(2)} × what it takes among 30, ${(eachMs / singleMs).toFixed(2)} × what it takes by itself`,
  );
}

function sayFrames(told) {
  for (const [what, { frames, longestMs, overShare }] of told) {
    say(
      `${what}, at a quarter of the speed: ${frames} frames, longest ${longestMs.toFixed(1)} ms, ${(100 * overShare).toFixed(1)} % over 16.7 ms`,
    );
  }
}

async function inBrowser() {
  const { ensureWeb } = await import('./web.mjs');
  const { startProduct } = await import('./product.mjs');
  const { browserFigures } = await import('./bench/browser.mjs');
  await ensureWeb();
  const folder = temporary('browser');
  const product = await startProduct({ folder });
  const { drags, wide, draws: sure, card, year } = await browserFigures(product.address);
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  sayFrames([
    ['a page on which nothing moves, dragged in turns with these', drags.empty],
    ['the staff dragged', drags.staff],
    ['the bulb below a tire, its pressure dragged', drags.bulb],
    ['a wide page on which nothing moves, dragged in turns with the next', wide.empty],
    ['the staff dragged on a wide page', wide.staff],
  ]);
  say(
    `how sure, 2 × 20,000 draws in a worker, tap to answer: ${sure.ms.toFixed(0)} ms; longest task of the page meanwhile ${sure.longestTaskMs === null ? 'under 50 ms' : `${sure.longestTaskMs.toFixed(0)} ms`}`,
  );
  say(
    `a year of one rig's log, ${year.readings.toLocaleString('en')} readings, from the address to the picture: ${year.ms.toFixed(0)} ms; longest task of the page ${year.longestTaskMs === null ? 'under 50 ms' : `${year.longestTaskMs.toFixed(0)} ms`}`,
  );
  say(
    `pressure card as PDF: first ${card.firstMs.toFixed(0)} ms, next ${card.nextMs.toFixed(0)} ms, ${Math.round(card.bytes / 1000)} kB`,
  );
}

async function drives() {
  const { perSecond, stepUs, judgeMs, choices } = await figures('drives.ts');
  say(
    `practice drives of the first beach: ${perSecond.toFixed(0)} a second, ${stepUs.toFixed(1)} µs a step; a decision between ${choices} judged in ${judgeMs.toFixed(0)} ms`,
  );
  const { ensureWeb } = await import('./web.mjs');
  const { startProduct } = await import('./product.mjs');
  const { drivesFigures } = await import('./bench/browser.mjs');
  await ensureWeb();
  const folder = temporary('drives');
  const product = await startProduct({ folder });
  const { empty, bulb, played } = await drivesFigures(product.address);
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  sayFrames([
    ['a page on which nothing moves, dragged in turns with the next', empty],
    ['the bulb below a tire, its pressure dragged', bulb],
    ['two practice drives played, one below the other', played],
  ]);
}

async function routes() {
  const { searchMs, searchRatio, shortMs, longMs } = await figures('routes.ts');
  say(
    `a day's route: 200 stretches by 12 pressures and 7 states of a pump searched in ${searchMs.toFixed(1)} ms, ${searchRatio.toFixed(1)} × the time of 20; all of a plan, softness drawn: 6 stretches ${shortMs.toFixed(0)} ms, 200 of them ${longMs.toFixed(0)} ms`,
  );
  const { ensureWeb } = await import('./web.mjs');
  const { startProduct } = await import('./product.mjs');
  const { trackFigures } = await import('./bench/browser.mjs');
  await ensureWeb();
  const folder = temporary('routes');
  const product = await startProduct({ folder });
  const track = await trackFigures(product.address);
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  say(
    `a track of ${track.points.toLocaleString('en')} points, from the tap to its profile: ${track.ms.toFixed(0)} ms; longest task of the page ${track.longestTaskMs === null ? 'under 50 ms' : `${track.longestTaskMs.toFixed(0)} ms`}`,
  );
}

/** How quick it is on a slow phone, against an empty application of the same frame, from the same server. */
async function quick() {
  const { compressFiles, ensureWeb, exportWeb } = await import('./web.mjs');
  const { startProduct } = await import('./product.mjs');
  const { quickFigures } = await import('./bench/quick.mjs');
  await ensureWeb();
  const folder = temporary('quick');
  const dist = path.join(folder, 'empty');
  await exportWeb(path.join(ROOT, 'scripts/bench/empty-app'), dist);
  await compressFiles(dist);
  const product = await startProduct({ folder: path.join(folder, 'ours') });
  const yardstick = await startProduct({
    folder: path.join(folder, 'yardstick'),
    demo: false,
    env: { DUNLINMOSS_WEB_ROOT: dist },
  });
  const { empty, ours, shell, places } = await quickFigures(product.address, yardstick.address);
  await Promise.all([product.stop(), yardstick.stop()]);
  rmSync(folder, { recursive: true, force: true });
  const ratio = (ms, emptyMs) => `${(ms / emptyMs).toFixed(2)} × (${ms.toFixed(0)} ms against ${emptyMs.toFixed(0)})`;
  const against = ({ ms, quickMs }) => `${ratio(ms, empty.ms)}; the quicker quarter ${ratio(quickMs, empty.quickMs)}`;
  say(`first screen with its rows, cold, at a quarter of the speed, against an empty application: ${against(ours)}`);
  say(`the same with the shell and all rows on the device: ${against(shell)}`);
  for (const [place, { ms, longestMs }] of Object.entries(places)) {
    say(`${place}, the first time, from the tap: ${ms.toFixed(0)} ms, longest task ${longestMs.toFixed(0)} ms`);
  }
  say(
    `longest task while it opens: cold ${ours.longestMs.toFixed(0)} ms, with the shell ${shell.longestMs.toFixed(0)}; of the empty application ${empty.longestMs.toFixed(0)}`,
  );
}

/** What the screens behind the places take on a slow phone, from a tap. */
async function further() {
  const { ensureWeb } = await import('./web.mjs');
  const { startProduct } = await import('./product.mjs');
  const { furtherFigures } = await import('./bench/quick.mjs');
  await ensureWeb();
  const folder = temporary('further');
  const product = await startProduct({ folder });
  const longest = await furtherFigures(product.address);
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  const each = Object.entries(longest).map(([screen, ms]) => `${screen} ${ms.toFixed(0)}`);
  say(`longest task from a tap until its screen stands, at a quarter of the speed, ms: ${each.join(', ')}`);
}

/** How a large farm comes onto a device. */
async function fills() {
  const { ensureWeb } = await import('./web.mjs');
  const { startProduct } = await import('./product.mjs');
  const { fillFigures } = await import('./bench/quick.mjs');
  await ensureWeb();
  const folder = temporary('fills');
  const product = await startProduct({ folder });
  const { rows, first, again } = await fillFigures(product.address);
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  for (const [what, { ms, longestMs }] of [
    ['come onto a device for the first time, until Today stands', first],
    ['are on the device, until Today stands', again],
  ]) {
    say(`${rows.toLocaleString('en')} rigs ${what}: ${ms.toFixed(0)} ms, longest task ${longestMs.toFixed(0)} ms`);
  }
}

/** Seconds from `npm start` in a folder to the first answer. */
async function secondsToAnswer(clone, port) {
  const begun = performance.now();
  const child = spawn('npm', ['start'], {
    cwd: clone,
    env: { ...process.env, DUNLINMOSS_PORT: String(port) },
    stdio: 'ignore',
    detached: true,
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  for (;;) {
    const answered = await fetch(`http://127.0.0.1:${port}/`)
      .then((response) => response.ok)
      .catch(() => false);
    if (answered) break;
    if (child.exitCode !== null) throw new PlainError('npm start ended by itself');
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  const seconds = (performance.now() - begun) / 1000;
  process.kill(-child.pid, 'SIGINT');
  await ended;
  return seconds;
}

async function starts() {
  const clone = path.join(temporary('clone'), 'clone');
  const cloned = spawnSync('git', ['clone', '--quiet', ROOT, clone], { encoding: 'utf8' });
  if (cloned.status !== 0) throw new PlainError(`No clone: ${cloned.stderr}`);
  const port = await freePort();
  const first = await secondsToAnswer(clone, port);
  const second = await secondsToAnswer(clone, port);
  rmSync(path.dirname(clone), { recursive: true, force: true });
  say(
    `npm start to first answer: first run on a fresh clone ${first.toFixed(0)} s (npm packages and web build in it), second ${second.toFixed(1)} s: ${(first / second).toFixed(0)} ×`,
  );
}

/** Histories of two devices by chance against a real server: any that loses something ends the bench. */
async function histories() {
  const { startProduct } = await import('./product.mjs');
  const folder = temporary('histories');
  const product = await startProduct({ folder, demo: false });
  const count = 1000;
  const jest = spawn(
    process.execPath,
    [
      path.join(ROOT, 'node_modules/jest/bin/jest.js'),
      ...['--projects', 'packages/app', '--testPathPattern', 'data/histories'],
    ],
    {
      cwd: ROOT,
      env: { ...process.env, DUNLINMOSS_HISTORIES: String(count), DUNLINMOSS_HISTORIES_AT: product.address },
      stdio: ['ignore', 'inherit', 'inherit'],
    },
  );
  const [code] = await once(jest, 'close');
  await product.stop();
  rmSync(folder, { recursive: true, force: true });
  if (code !== 0) throw new PlainError('A history lost something: see above.');
  say(
    `${count} histories of two devices against a server and its database: 0 lost, 0 doubled, 0 overwritten in silence`,
  );
}

const BENCHES = {
  ...{
    plans,
    routes,
    drives,
    draws,
    markings,
    paper,
    loads,
    air,
    reads,
    people,
    crews,
    serving,
    kills,
    histories,
    proof,
    inBrowser,
    quick,
    further,
    fills,
    javascript,
    starts,
  },
};

run(async () => {
  prepare('mariadb', 'chromium');
  // `npm run bench -- proof reads` measures these alone.
  const wanted = process.argv.slice(2);
  for (const [name, measure] of Object.entries(BENCHES))
    if (wanted.length === 0 || wanted.includes(name)) await measure();
});
