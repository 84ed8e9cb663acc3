import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import { prepare, ROOT } from './prepare.mjs';
import { run, say } from './say.mjs';

const OUT = path.join(ROOT, 'docs/screenshots');
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };
const CURLEW = '0192f000-0000-7000-8000-000000000101';
const SNIPE = '0192f000-0000-7000-8000-000000000106';
const LAPWING = '0192f000-0000-7000-8000-000000000110';
const LIME = `/rigs/${LAPWING}/load/0192f000-0000-7000-8000-000000000517`;

/** One picture a main view, from the demo data: file name, address, size, and what is done before it is taken. */
const VIEWS = [
  { name: 'today-phone', path: '/', size: PHONE },
  { name: 'rigs-phone', path: '/rigs', size: PHONE },
  { name: 'rig-phone', path: `/rigs/${SNIPE}`, size: PHONE },
  { name: 'rig-wide', path: `/rigs/${LAPWING}`, size: WIDE },
  { name: 'load-phone', path: LIME, size: PHONE, before: (page) => scrollTo(page, '2. Tank') },
  { name: 'marking-phone', path: '/rigs/marking', size: PHONE, before: readMarking },
  { name: 'ground-phone', path: '/ground', size: PHONE },
  { name: 'ground-pictures-phone', path: '/ground', size: PHONE, before: (page) => scrollTo(page, 'The staff') },
  { name: 'ground-night-phone', path: '/ground?ground=verySoftSand', size: PHONE, light: 'dark' },
  { name: 'ground-wide', path: '/ground', size: WIDE },
  { name: 'what-if-phone', path: '/ground/what-if', size: PHONE },
  {
    name: 'pressures-phone',
    path: `/rigs/${CURLEW}/pressures`,
    size: PHONE,
    before: (page) => scrollTo(page, 'Curlew'),
  },
  { name: 'working-phone', path: '/ground', size: PHONE, before: openWorking },
  { name: 'proof-phone', path: '/proof', size: PHONE },
  {
    name: 'tape-phone',
    path: '/proof/tape/0192f000-0000-7000-8000-000000000301',
    size: PHONE,
    before: (page) => scrollTo(page, 'What it says'),
  },
  { name: 'book-phone', path: '/book', size: PHONE },
  { name: 'watch-phone', path: `/air/watch?rig=${CURLEW}`, size: PHONE, before: leak },
  // These two begin something: last.
  { name: 'airing-phone', path: '/air/out?ground=softSand', size: PHONE, before: letOut },
  { name: 'airing-wide', path: '/air/out?ground=softSand', size: WIDE, before: goOn },
];

const scrollTo = (page, heading) =>
  page.getByRole('heading', { name: heading }).evaluate((element) => element.scrollIntoView({ block: 'start' }));

async function readMarking(page) {
  await page.getByRole('radio', { name: 'Farm' }).click();
  await page.getByLabel('What the sidewall says').fill('VF380/90R46 173D');
}

/** Monitors with a slow leak at one wheel. */
async function leak(page) {
  await page.getByRole('button', { name: /Monitors/ }).click();
  await page.getByRole('button', { name: 'Switch them on' }).click();
  await page.getByRole('radio', { name: 'Rear right' }).click();
  await page.getByRole('switch', { name: 'Slow leak' }).click();
  await page.reload();
  await page
    .getByText(/find the leak/)
    .first()
    .waitFor();
  await page.waitForTimeout(4_500); // until the notice of a moment has gone
}

/** Air on its way out of the first wheel. */
async function letOut(page) {
  await page.getByRole('button', { name: /^Begin at/ }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForTimeout(14_000);
}

/** The first wheel read, the next one under way. */
async function goOn(page) {
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await page.getByLabel(/ reads in psi$/).fill('15');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForTimeout(7_000);
}

async function openWorking(page) {
  const fold = page.getByRole('button', { name: 'Working, front axle' });
  await fold.click();
  await fold.evaluate((element) => element.scrollIntoView({ block: 'start' }));
}

run(async () => {
  prepare('mariadb', 'chromium');
  const { chromium } = await import('@playwright/test');
  const { ensureWeb } = await import('./web.mjs');
  const { startProduct } = await import('./product.mjs');
  await ensureWeb();
  const folder = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-screenshots-'));
  const product = await startProduct({ folder });
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    for (const { name, path: address, size, light = 'light', before } of VIEWS) {
      const context = await browser.newContext({ viewport: size, colorScheme: light, reducedMotion: 'reduce' });
      const page = await context.newPage();
      await page.goto(product.address + address);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await page.waitForFunction(() => !document.body.innerText.includes('Fetching …'));
      await before?.(page);
      await page.waitForTimeout(600); // for what glides into its place
      await page.screenshot({ path: path.join(OUT, `${name}.png`) });
      await context.close();
      say(name);
    }
  } finally {
    await browser.close();
    await product.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
