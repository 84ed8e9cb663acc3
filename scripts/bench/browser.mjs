import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

import { slowPhone } from './slowPhone.mjs';

/** How much slower than this machine a phone is taken to be. */
const SLOWDOWN = 4;
const FRAME_MS = 1000 / 60;
/** What the clock of frames scatters by itself. */
const JITTER_MS = 1;
const CURLEW = '0192f000-0000-7000-8000-000000000101';
const LAPWING = '0192f000-0000-7000-8000-000000000110';

const slowed = async (page) => {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });
};

/** Where something to be dragged stands, once it does; null before. */
const boxOf = (name) => {
  const found = [...document.querySelectorAll('[role=slider], input[type=range]')].find(
    (each) => each.getAttribute('aria-label') === name,
  );
  if (!found) return null;
  found.scrollIntoViewIfNeeded();
  const { x, y, width, height } = found.getBoundingClientRect();
  return { x, y, width, height };
};

/** Frames while something is dragged to and fro at a quarter of this machine's speed, some sixty moves a second. */
async function drag(phone, place, name, upright) {
  const visitor = await phone.visitor();
  const page = await visitor.open();
  await page.go(place);
  const box = await page.until(boxOf, name);
  await sleep(1_500);
  await page.slow();
  await page.run(() => {
    window.frames_ = [];
    let last = performance.now();
    const tick = (now) => {
      window.frames_.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  const to = (type, share) =>
    upright
      ? page.mouse(type, box.x + box.width / 2, box.y + box.height * share)
      : page.mouse(type, box.x + box.width * share, box.y + box.height / 2);
  await to('mousePressed', 0.5);
  for (let move = 0; move < 240; move += 1) {
    await to('mouseMoved', 0.5 + 0.35 * Math.sin(move / 12));
    await sleep(8);
  }
  await to('mouseReleased', 0.5);
  const frames = (await page.run(() => window.frames_)).slice(2);
  await visitor.leave();
  return frames;
}

const told = (frames) => ({
  frames: frames.length,
  longestMs: Math.max(...frames),
  overShare: frames.filter((ms) => ms > FRAME_MS + JITTER_MS).length / frames.length,
});

const bulbOf = (address) => [`${address}/ground/depth?rig=${LAPWING}&ground=fieldMoist`, 'Pressure', false];
const WIDE = { width: 1280, height: 800 };
const ROUNDS = 5;
/** A page on which nothing moves but the knob under the finger: what is late here is late for this machine. */
const EMPTY = [
  'data:text/html,<input type=range aria-label=Pressure style="width:340px;height:48px">',
  'Pressure',
  false,
];

/**
 * Drags of several things, `{ staff: [place, name, upright] }`, and of an empty page, in turns in one browser: a machine is not
 * always as quick. Each with all frames of its rounds.
 */
async function draggedInTurns(things, size) {
  const phone = await slowPhone(size);
  const all = { empty: EMPTY, ...things };
  const frames = Object.fromEntries(Object.keys(all).map((name) => [name, []]));
  try {
    for (let round = 0; round < ROUNDS; round += 1) {
      for (const [name, thing] of Object.entries(all)) frames[name].push(...(await drag(phone, ...thing)));
    }
  } finally {
    await phone.close();
  }
  return Object.fromEntries(Object.entries(frames).map(([name, each]) => [name, told(each)]));
}

/** How long the draws of How sure take from the tap to the answer, and the longest task of the page meanwhile. */
async function draws(browser, address) {
  const page = await browser.newPage({ locale: 'en-AU', viewport: { width: 390, height: 844 } });
  await page.goto(`${address}/ground?rig=${CURLEW}&ground=softSand`);
  await page.getByRole('button', { name: 'Why this number' }).click();
  const fold = page.getByRole('button', { name: 'How sure is that?' });
  await fold.waitFor();
  await fold.scrollIntoViewIfNeeded();
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    window.tasks = [];
    new PerformanceObserver((list) => window.tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({
      entryTypes: ['longtask'],
    });
  });
  const begun = performance.now();
  await fold.click();
  await page.getByRole('group', { name: 'How sure, rear' }).waitFor();
  const ms = performance.now() - begun;
  await page.waitForTimeout(300);
  const tasks = await page.evaluate(() => window.tasks);
  await page.close();
  return { ms, longestTaskMs: tasks.length === 0 ? null : Math.max(...tasks) };
}

/** The pressure card as a PDF: the first, with its maker still to be fetched, and the next. */
async function card(browser, address) {
  const page = await browser.newPage({ locale: 'en-AU', viewport: { width: 390, height: 844 } });
  await page.goto(`${address}/rigs/${CURLEW}/pressures`);
  const button = page.getByRole('button', { name: 'PDF' });
  await button.waitFor();
  const once = async () => {
    const begun = performance.now();
    const [download] = await Promise.all([page.waitForEvent('download'), button.click()]);
    const ms = performance.now() - begun;
    return { ms, bytes: readFileSync(await download.path()).length };
  };
  const first = await once();
  const next = await once();
  await page.close();
  return { firstMs: first.ms, nextMs: next.ms, bytes: next.bytes };
}

const YEAR_READINGS = 1_000_000;

/** A year of a rig's log, read in first: from asking for the page to its picture, and the longest task on the way. */
async function year(browser, address) {
  const start = Date.now() - 365 * 86_400_000;
  const wheels = ['front,left', 'rear,left', 'rear,right', 'front,right'];
  const stepMs = (365 * 86_400_000) / (YEAR_READINGS / wheels.length);
  const lines = ['time,axle,wheel,pressure_kpa,temp_c'];
  for (let index = 0; index < YEAR_READINGS / wheels.length; index += 1) {
    const at = new Date(Math.round(start + index * stepMs)).toISOString();
    wheels.forEach((wheel, each) =>
      lines.push(`${at},${wheel},${(240 + each + 12 * Math.sin(index / 700)).toFixed(1)},15`),
    );
  }
  const response = await fetch(`${address}/api/v1/import/log/${CURLEW}`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: lines.join('\n'),
  });
  if (!response.ok) throw new Error(`The log was not read in: ${response.status} ${await response.text()}`);
  await response.text();
  const page = await browser.newPage({ locale: 'en-AU', viewport: { width: 390, height: 844 } });
  // The application itself is there already, as it is for whoever opens its log.
  await page.goto(`${address}/air?rig=${CURLEW}`);
  await page.getByRole('link', { name: /^Log/ }).waitFor();
  await page.waitForTimeout(1_000);
  await page.evaluate(() => {
    window.tasks = [];
    new PerformanceObserver((list) => window.tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({
      entryTypes: ['longtask'],
    });
  });
  const begun = performance.now();
  await page.getByRole('link', { name: /^Log/ }).click();
  await page.getByRole('img', { name: /Pressures over time/ }).waitFor();
  const ms = performance.now() - begun;
  await page.waitForTimeout(300);
  const tasks = await page.evaluate(() => window.tasks);
  await page.close();
  return { readings: YEAR_READINGS, ms, longestTaskMs: tasks.length === 0 ? null : Math.max(...tasks) };
}

const TRACK_POINTS = 20_000;

/** A long track, from the tap to its profile on the page, and the longest task of the page meanwhile. */
export async function trackFigures(address) {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const points = Array.from({ length: TRACK_POINTS }, (_, index) => {
      const elevation = 60 + 40 * Math.sin(index / 700) + 3 * Math.sin(index * 12.9898);
      return `<trkpt lat="${(54 + index / 40_000).toFixed(6)}" lon="${(8 + Math.sin(index / 900) / 100).toFixed(6)}"><ele>${elevation.toFixed(1)}</ele></trkpt>`;
    });
    const gpx = `<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${points.join('')}</trkseg></trk></gpx>`;
    // From the disk, as a person's file: sent in through the page it would be a task of the page.
    const folder = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-track-'));
    const file = path.join(folder, 'long.gpx');
    writeFileSync(file, gpx);
    const page = await browser.newPage({ locale: 'en-AU', viewport: { width: 390, height: 844 } });
    await page.goto(`${address}/ground/day?rig=${CURLEW}`);
    await page
      .getByText(/^2 stops/)
      .first()
      .waitFor();
    await page.evaluate(() => {
      window.tasks = [];
      new PerformanceObserver((list) =>
        window.tasks.push(...list.getEntries().map(({ duration }) => duration)),
      ).observe({ entryTypes: ['longtask'] });
    });
    const begun = performance.now();
    await page.getByLabel('From a track (GPX, GeoJSON)').setInputFiles(file);
    await page.getByRole('slider').first().waitFor();
    const ms = performance.now() - begun;
    await page
      .getByText(/^\d+ stops?|^One stop|^no stop/)
      .first()
      .waitFor();
    const tasks = await page.evaluate(() => window.tasks);
    await page.close();
    rmSync(folder, { recursive: true, force: true });
    return { points: TRACK_POINTS, ms, longestTaskMs: tasks.length === 0 ? null : Math.max(...tasks) };
  } finally {
    await browser.close();
  }
}

/** What only a browser tells. */
export async function browserFigures(address) {
  const staff = [`${address}/ground/what-if?rig=${CURLEW}&ground=softSand`, 'Front, pressure to try', true];
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    return {
      drags: await draggedInTurns({ staff, bulb: bulbOf(address) }),
      wide: await draggedInTurns({ staff }, WIDE),
      draws: await draws(browser, address),
      card: await card(browser, address),
      year: await year(browser, address),
    };
  } finally {
    await browser.close();
  }
}

/** Frames of a practice drive that is played, from when both of its pictures stand. */
async function played(browser, address) {
  const page = await browser.newPage({ locale: 'en-AU', viewport: { width: 390, height: 844 } });
  await page.goto(`${address}/ground/drives/softExit?rig=${CURLEW}`);
  const choice = page.getByRole('button', { name: /with a run-up$/ });
  await choice.waitFor();
  await page.waitForTimeout(3000);
  await slowed(page);
  await choice.click();
  await page.getByRole('slider', { name: /^Look back/ }).waitFor();
  // The verdict is drawn with it: what counts is what moves after.
  await page.waitForTimeout(1000);
  const frames = await page.evaluate(
    () =>
      new Promise((resolve) => {
        const all = [];
        let last = performance.now();
        const began = last;
        const tick = (now) => {
          all.push(now - last);
          last = now;
          if (now - began < 5000) requestAnimationFrame(tick);
          else resolve(all.slice(2));
        };
        requestAnimationFrame(tick);
      }),
  );
  await page.close();
  return {
    frames: frames.length,
    longestMs: Math.max(...frames),
    overShare: frames.filter((ms) => ms > FRAME_MS + JITTER_MS).length / frames.length,
  };
}

/** The bulb dragged and a practice drive played, beside a page on which nothing follows. */
export async function drivesFigures(address) {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    return { ...(await draggedInTurns({ bulb: bulbOf(address) })), played: await played(browser, address) };
  } finally {
    await browser.close();
  }
}

/** A print found in a photo of 12 megapixels, from the tap to the outline, and the longest task of the page meanwhile. */
export async function photoFigures(address, file) {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const page = await browser.newPage({ locale: 'en-AU', viewport: { width: 390, height: 844 } });
    await page.goto(`${address}/proof/print/new?rig=${CURLEW}`);
    await page.locator('input[type=file]').setInputFiles(file);
    await page.getByRole('radio', { name: 'A3' }).click();
    const photo = page.getByAltText('The photo of the print');
    const corners = [
      [0.14, 0.1],
      [0.88, 0.07],
      [0.94, 0.93],
      [0.08, 0.9],
    ];
    for (const [index, [x, y]] of corners.entries()) {
      const corner = page.getByRole('button', { name: `Corner ${index + 1}` });
      await corner.scrollIntoViewIfNeeded();
      const [from, box] = [await corner.boundingBox(), await photo.boundingBox()];
      await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
      await page.mouse.down();
      await page.mouse.move(box.x + x * box.width, box.y + y * box.height, { steps: 3 });
      await page.mouse.up();
    }
    await page.evaluate(() => {
      window.tasks = [];
      new PerformanceObserver((list) =>
        window.tasks.push(...list.getEntries().map(({ duration }) => duration)),
      ).observe({
        entryTypes: ['longtask'],
      });
    });
    const begun = performance.now();
    await page.getByRole('button', { name: 'Find the print' }).click();
    await page.getByRole('button', { name: 'Accept this print' }).waitFor();
    const ms = performance.now() - begun;
    await page.waitForTimeout(300);
    const tasks = await page.evaluate(() => window.tasks);
    return { ms, longestTaskMs: tasks.length === 0 ? null : Math.max(...tasks) };
  } finally {
    await browser.close();
  }
}
