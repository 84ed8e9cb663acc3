import { execFileSync } from 'node:child_process';
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
const OYSTERCATCHER = '0192f000-0000-7000-8000-000000000102';
const TRIAL = '/proof/bracket/0192f000-0000-7000-8000-000000000305';

/** One picture a main view, from the demo data: file name, address, size, and what is done before it is taken. */
const VIEWS = [
  { name: 'today-phone', path: '/', size: PHONE },
  { name: 'new-rig-phone', path: '/rigs/new?family=fourWheel', size: PHONE, before: firstNumbers },
  { name: 'rig-phone', path: `/rigs/${SNIPE}`, size: PHONE },
  { name: 'ground-phone', path: '/ground', size: PHONE },
  { name: 'compare-wide', path: `/ground/compare/new?rig=${CURLEW}&ground=softSand`, size: WIDE, before: otherTire },
  { name: 'route-night-phone', path: `/ground/day?rig=${CURLEW}`, size: PHONE, light: 'dark', before: planned },
  { name: 'ground-wide', path: '/ground', size: WIDE },
  { name: 'what-if-phone', path: '/ground/what-if', size: PHONE },
  { name: 'depth-phone', path: `/ground/depth?rig=${LAPWING}&ground=fieldMoist`, size: PHONE },
  { name: 'drive-phone', path: `/ground/drives/firstBeach?rig=${CURLEW}`, size: PHONE, before: dugIn },
  { name: 'proof-phone', path: '/proof', size: PHONE },
  { name: 'photo-phone', path: `/proof/print/new?rig=${CURLEW}`, size: PHONE, before: findPrint },
  { name: 'coach-phone', path: TRIAL, size: PHONE, before: (page) => scrollTo(page, 'Result') },
  {
    name: 'learned-phone',
    path: `/proof/learned?rig=${OYSTERCATCHER}`,
    size: PHONE,
    before: (page) => scrollTo(page, /^Front/),
  },
  { name: 'book-phone', path: '/book', size: PHONE },
  { name: 'watch-phone', path: `/air/watch?rig=${CURLEW}`, size: PHONE, before: leak },
  // These two begin something: last.
  { name: 'airing-phone', path: '/air/out?ground=softSand', size: PHONE, before: letOut },
  { name: 'airing-wide', path: '/air/out?ground=softSand', size: WIDE, before: goOn },
  // And from here on people sign in.
  { name: 'crew-wide', path: '/crew', size: WIDE, before: letOthersIn },
];

const scrollTo = (page, heading) =>
  page
    .getByRole('heading', { name: heading })
    .first()
    .evaluate((element) => element.scrollIntoView({ block: 'start' }));

/** Onto the sand as it is, and a foot kept down. */
async function dugIn(page) {
  await page.getByRole('button', { name: 'Drive on as it is' }).click();
  await page.getByRole('button', { name: 'Keep your foot down' }).click();
  await page.getByText(/^Spun /).waitFor();
}

/** A size as it is said and a road pressure, with the first pressures below. */
async function firstNumbers(page) {
  await page.getByLabel('Tire size, as you say it').fill('265 70 17');
  await page
    .getByLabel(/^Pressure on the road/)
    .first()
    .fill('36');
  await page.getByRole('table', { name: 'Pressures by ground' }).waitFor();
}

/** The plan of the day is worked out beside the page. */
async function planned(page) {
  await page
    .getByText(/^2 stops/)
    .first()
    .waitFor();
}

/** The second setup on a wider tire. */
async function otherTire(page) {
  await page.getByLabel('Second: another tire').fill('35x12.50R17LT');
  await page.getByText(/^The second against the first/).waitFor();
}

/** The print in a photo, found. */
async function findPrint(page) {
  const corners = [
    [0.14, 0.1],
    [0.88, 0.07],
    [0.94, 0.93],
    [0.08, 0.9],
  ];
  const question = { lengthMm: 226, widthMm: 190, width: 900, height: 1200, corners };
  const painter = path.join(ROOT, 'e2e/paintPrint.ts');
  const buffer = execFileSync(process.execPath, ['--import', 'tsx', painter, JSON.stringify(question)], {
    maxBuffer: 20e6,
  });
  await page.locator('input[type=file]').setInputFiles({ name: 'print.jpg', mimeType: 'image/jpeg', buffer });
  await page.getByRole('radio', { name: 'A3' }).click();
  const photo = page.getByAltText('The photo of the print');
  for (const [index, [x, y]] of corners.entries()) {
    const corner = page.getByRole('button', { name: `Corner ${index + 1}` });
    await corner.scrollIntoViewIfNeeded();
    const [from, box] = [await corner.boundingBox(), await photo.boundingBox()];
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + x * box.width, box.y + y * box.height, { steps: 3 });
    await page.mouse.up();
  }
  await page.getByRole('button', { name: 'Find the print' }).click();
  await page.getByRole('button', { name: 'Accept this print' }).waitFor();
  await scrollTo(page, 'From a photo');
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
  await page.getByLabel(/ reads in psi$/).fill('16');
  await page.getByRole('button', { name: /keep that$/ }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForTimeout(7_000);
}

/** A crew with machines of its own, and an invitation to it. */
async function letOthersIn(page) {
  const press = (name) => page.getByRole('button', { name }).click();
  await page.getByLabel('Name', { exact: true }).fill('Rushy');
  await page.getByLabel('New pass-phrase').fill('samphire on the sea wall');
  await press('Share with others');
  await page.getByLabel('Name of the crew').fill('Sluice crew');
  await press('Make the crew');
  await page.getByRole('link', { name: /crew Sluice crew$/ }).click();
  await press('Make an invitation');
  await page.getByRole('img', { name: /camera/ }).waitFor();
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
      const context = await browser.newContext({
        locale: 'en-AU',
        viewport: size,
        colorScheme: light,
        reducedMotion: 'reduce',
      });
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
