import { appendFileSync, cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';

import type { Page } from '@playwright/test';
import { PDFDocument } from 'pdf-lib';

import { startProduct } from '../scripts/product.mjs';
import { action, axle, expect, test } from './fixtures';

test.use({ serviceWorkers: 'allow' });

/** The shell is on the device, and everything of the person's too. */
async function isHere(page: Page): Promise<void> {
  await page.goto('/rigs/files');
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await expect(
    page.getByText(/^Your rigs, outings, tests and readings are on this device: it opens and works/),
  ).toBeVisible();
}

/** What an empty application of the same frame loads, bytes of gzip, by `npm run bench -- javascript`. */
const EMPTY_APPLICATION = 369_000;

const CURLEW = '0192f000-0000-7000-8000-000000000101';

test('with the server gone every address opens, fonts, workers and rows with it', async ({ page, product }) => {
  await isHere(page);
  await product.server.stop();
  const opens: readonly [address: string, sees: string | RegExp][] = [
    ['/', 'Samphire Flat, survey stakes'],
    ['/rigs', 'Curlew, loaded wagon'],
    [`/rigs/${CURLEW}`, '265/65R17 112T'],
    [`/ground?rig=${CURLEW}&ground=softSand`, 'Why this number'],
    [`/air/out?rig=${CURLEW}&ground=softSand`, 'Front left'],
    [`/ground/drives/firstBeach?rig=${CURLEW}`, 'Let out to 16'],
    ['/proof', 'No test yet. Begin with a print or a tape'],
    ['/book', 'Soft sand'],
    ['/rigs/wall', 'Wall sheet'],
    ['/waiting', 'Everything is saved on the server.'],
  ];
  for (const [address, sees] of opens) {
    await page.goto(address);
    await expect(page.getByText(sees).first(), address).toBeVisible();
  }
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await expect(axle(page, 'Front')).toContainText('16psi');
  expect(await page.evaluate(() => document.fonts.check('16px SourceSans3_400Regular'))).toBe(true);
});

test('a card of each machine is made by the device with the server gone', async ({ page, product }) => {
  await isHere(page);
  await product.server.stop();
  await page.goto('/office');
  const rows = page.getByRole('row');
  await expect(rows.first()).toBeVisible();
  const many = (await rows.count()) - 1;
  await page.getByRole('button', { name: 'A card for each machine' }).click();
  await page.getByRole('radio', { name: 'Tires and loads' }).click();
  await page.getByRole('radio', { name: 'A5' }).click();
  const [download] = await Promise.all([page.waitForEvent('download'), action(page, `Make ${many} cards`).click()]);
  expect(download.suggestedFilename()).toBe('rig cards.pdf');
  const pdf = await PDFDocument.load(readFileSync(await download.path()));
  expect(pdf.getPages().map((of) => of.getWidth())).toEqual(Array.from({ length: many }, () => 419.53));
  await expect(page.getByRole('status').filter({ hasText: 'the PDF is saved' })).toBeVisible();
});

test('a day without a signal, from a new rig to the Book, over reloads; then all of it arrives, once', async ({
  page,
  product,
  request,
}) => {
  await isHere(page);
  await product.server.stop();

  await page.goto('/rigs/new');
  await action(page, /^Four-wheel drive/)
    .first()
    .click();
  await page.getByLabel('Tire size, as you say it').fill('265 70 17');
  await page.getByLabel('Pressure on the road').fill('36');
  await expect(page.getByRole('table', { name: 'Pressures by ground' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Tire size, as you say it')).toHaveValue('265 70 17');
  await action(page, 'Keep this rig').click();
  await expect(page.getByText(/^My .* is kept on this device until the store is back\.$/)).toBeVisible();
  await page.goto('/rigs');
  await expect(page.getByText("The store can't be reached just now.").first()).toBeVisible();
  await expect(page.getByRole('link', { name: /^My four-wheel/i }).first()).toBeVisible();

  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await action(page, 'It’s already set').click();
  await action(page, 'It reads as planned, front 16, rear 19').click();
  await expect(page.getByText('Air is out. Prove it with a tape')).toBeVisible();
  await page.reload();
  await page.goto('/');
  await expect(page.getByText('Air is out. Prove it with a tape')).toBeVisible();
  await action(page, 'Measure the contact length').click();
  await page.getByLabel('Reading 1: contact length in mm').fill('498');
  await page.reload();
  await expect(page.getByLabel('Reading 1: contact length in mm')).toHaveValue('498');
  await page.getByLabel('Reading 2: contact length in mm').fill('555');
  await action(page, 'Save this test').click();
  await action(page, 'Write the decision').click();
  await page.getByRole('radio', { name: 'Keep this pressure' }).click();
  await action(page, 'Write it in the Book').click();
  await page.goto('/book');
  await expect(page.getByText('Keep this pressure').first()).toBeVisible();
  await page.goto('/waiting');
  await expect(page.getByText(/^My four-wheel/i).first()).toBeVisible();
  await expect(page.getByText('Kept on this device; saved when the store is back.').first()).toBeVisible();

  await product.server.start();
  await expect(page.getByText('Everything is saved on the server.')).toBeVisible({ timeout: 20_000 });
  const rows = async (path: string): Promise<{ name?: string; rigId?: string; decision?: unknown }[]> =>
    (await (await request.get(`${product.address}/api/v1/${path}?limit=100`)).json()).items;
  expect((await rows('rigs')).filter(({ name }) => name?.startsWith('My '))).toHaveLength(1);
  expect((await rows('tests')).filter(({ rigId }) => rigId === CURLEW).length).toBeGreaterThan(0);
  expect((await rows('outings')).some(({ decision }) => decision !== null)).toBe(true);
});

test('a newer version is offered, taken with one tap, and comes at the same address with what was typed', async ({
  context,
}) => {
  const page = await context.newPage();
  const folder = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-update-'));
  const web = path.join(folder, 'web');
  cpSync(path.join(import.meta.dirname, '../packages/app/dist'), web, { recursive: true });
  const product = await startProduct({ folder, env: { DUNLINMOSS_WEB_ROOT: web } });
  try {
    await page.goto(`${product.address}/rigs/files`);
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await page.goto(`${product.address}/rigs/gauge/new`);
    await page.getByLabel('Name').fill('Brass stick');
    appendFileSync(path.join(web, 'sw.js'), '\n// A newer one.\n');
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update());
    await expect(page.getByText('A newer version is on this device.')).toBeVisible();
    await expect(page.getByLabel('Name')).toHaveValue('Brass stick');
    const loaded = page.waitForEvent('load');
    await action(page, 'Take it').click();
    await loaded;
    await expect(page).toHaveURL(/\/rigs\/gauge\/new$/);
    await expect(page.getByLabel('Name')).toHaveValue('Brass stick');
    await expect(page.getByText('A newer version is on this device.')).toHaveCount(0);
  } finally {
    await product.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});

test('two tabs see the same, and what one leaves waiting the other sends', async ({
  page,
  context,
  product,
  request,
}) => {
  await isHere(page);
  const other = await context.newPage();
  await other.goto('/rigs/0192f000-0000-7000-8000-000000000102/edit');
  await expect(other.getByLabel('Name', { exact: true })).toHaveValue('Oystercatcher, post truck');
  await page.goto('/rigs');
  await product.server.stop();
  await other.getByLabel('Name', { exact: true }).fill('Oystercatcher, on the causeway');
  await action(other, 'Save the changes').click();
  await expect(page.getByRole('link', { name: /on the causeway/ })).toBeVisible();
  await expect(page.getByText('One entry is kept on this device')).toBeVisible();
  await other.close();
  await product.server.start();
  await expect(page.getByText('One entry is kept on this device')).toHaveCount(0, { timeout: 20_000 });
  const row = await (await request.get(`${product.address}/api/v1/rigs/0192f000-0000-7000-8000-000000000102`)).json();
  expect(row).toMatchObject({ name: 'Oystercatcher, on the causeway', revision: 2 });
});

test('two tabs while everything comes for the first time: the one that fetches it is closed, and the other has all', async ({
  page,
  context,
  product,
  request,
}) => {
  // Three pages of changes and more.
  const like = await (await request.get(`${product.address}/api/v1/rigs/${CURLEW}`)).json();
  const { createdAt: _, updatedAt: __, savedBy: ___, keeperId: ____, ...body } = like;
  const made = Array.from(
    { length: 600 },
    (_each, index) => `0192f0aa-0000-7000-8000-${String(index).padStart(12, '0')}`,
  );
  for (let first = 0; first < made.length; first += 20) {
    await Promise.all(
      made.slice(first, first + 20).map(async (id) => {
        const data = { ...body, id, revision: 0, name: `Machine ${id.slice(-3)}` };
        expect((await request.put(`${product.address}/api/v1/rigs/${id}`, { data })).ok()).toBe(true);
      }),
    );
  }
  const asked: string[] = [];
  await context.route('**/api/v1/changes*', async (route) => {
    asked.push(route.request().url());
    // The second page never comes to the tab that asks for it first.
    if (asked.length !== 2) await route.continue();
  });
  const other = await context.newPage();
  await other.goto('/rigs');
  await expect.poll(() => asked.length).toBe(2);
  await page.goto('/rigs');
  await expect(page.getByRole('heading', { name: 'Rigs' })).toBeVisible();
  await other.close();
  await expect(page.getByLabel('Find')).toBeVisible();
  await page.getByLabel('Find').fill('Machine 599');
  await expect(page.getByRole('link', { name: /Machine 599/ })).toBeVisible();
  // It went on where the other was: nothing was asked for from the beginning again.
  expect(asked.filter((url) => !url.includes('after='))).toHaveLength(1);
  await isHere(page);
  await product.server.stop();
  await page.goto('/rigs');
  await page.getByLabel('Find').fill('Machine 000');
  await expect(page.getByRole('link', { name: /Machine 000/ })).toBeVisible();
});

test('what is weighed on one device and renamed on another is put together without a word', async ({
  page,
  product,
  request,
}) => {
  const rows = `${product.address}/api/v1/rigs/${CURLEW}`;
  await isHere(page);
  await page.goto(`/rigs/${CURLEW}/edit`);
  await page.getByLabel('Name', { exact: true }).fill('Curlew, renamed here');
  const there = await (await request.get(rows)).json();
  const { createdAt: _, updatedAt: __, ...body } = there;
  const weighed = { ...body, loadCases: [{ ...body.loadCases[0], name: 'Weighed there' }, ...body.loadCases.slice(1)] };
  expect((await request.put(rows, { data: weighed })).ok()).toBe(true);
  await action(page, 'Save the changes').click();
  await expect(page.getByText('Curlew, renamed here is saved.')).toBeVisible();
  const both = await (await request.get(rows)).json();
  expect(both).toMatchObject({ name: 'Curlew, renamed here', loadCases: [{ name: 'Weighed there' }, {}, {}] });
});

test('what the first page loads stays small', () => {
  const dist = path.join(import.meta.dirname, '../packages/app/dist');
  const html = readFileSync(path.join(dist, 'index.html'), 'utf8');
  const scripts = [...html.matchAll(/<script[^>]+src="([^"]+)"/g)].map((match) => match[1]!);
  const bytes = scripts.reduce(
    (sum, src) => sum + gzipSync(readFileSync(path.join(dist, src)), { level: 9 }).length,
    0,
  );
  expect(scripts.length).toBeGreaterThan(0);
  expect(bytes / EMPTY_APPLICATION).toBeLessThan(1.35);
});
