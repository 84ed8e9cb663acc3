import type { FamilyCode } from '@dunlinmoss/core';
import type { Locator, Page } from '@playwright/test';

import { action, expect, goTo, test, unfold } from './fixtures';

/** Counts what a newcomer taps and types until the first pressures stand there. */
function counted(page: Page) {
  const spent = { taps: 0, characters: 0 };
  return {
    spent,
    async tap(target: Locator): Promise<void> {
      spent.taps += 1;
      await target.click();
    },
    async type(label: string, text: string): Promise<void> {
      spent.characters += text.length;
      await page.getByLabel(label).first().fill(text);
    },
  };
}

const MOST_TAPS = 6;
const MOST_CHARACTERS = 20;

const NEWCOMERS = [
  [
    'a wagon',
    'Four-wheel drive',
    [
      ['Tire size, as you say it', '265 70 17'],
      ['Pressure on the road', '36'],
    ],
    'Soft sand',
  ],
  ['a gravel bicycle', 'Gravel bicycle', [['Tire size, as you say it', '700x42']], 'Loose gravel'],
  [
    'an adventure motorcycle',
    'Adventure motorcycle',
    [
      ['Tire size, as you say it', '90/90-21'],
      ['Tire size, rear', '150/70B18'],
      ['cold, front', '33'],
      ['cold, rear', '36'],
    ],
    'Dirt road',
  ],
  [
    'a side-by-side',
    'Side-by-side',
    [
      ['Tire size, as you say it', '30x10R14'],
      ['cold, front', '18'],
      ['Tire size, rear', '30x10R14'],
      ['cold, rear', '22'],
    ],
    'Soft sand',
  ],
  [
    'a sprayer',
    'Self-propelled sprayer',
    [
      ['Tire size, as you say it', 'VF380/90R46'],
      ['Pressure on the road', '46'],
    ],
    'Field, moist',
  ],
] as const;

for (const onDemo of [true, false]) {
  test(`a newcomer has pressures within six taps and twenty characters, ${onDemo ? 'on the demo' : 'with nothing there'}`, async ({
    page,
    product,
    request,
  }) => {
    test.setTimeout(120_000);
    if (!onDemo) {
      const { items } = await (await request.get(`${product.address}/api/v1/rigs?limit=100`)).json();
      for (const { id, revision } of items) {
        await request.delete(`${product.address}/api/v1/rigs/${id}?revision=${revision}`);
      }
    }
    for (const [name, kind, fields, ground] of NEWCOMERS) {
      await page.goto('/');
      const { spent, tap, type } = counted(page);
      // With nothing there the first field is on the first screen.
      if (onDemo) await tap(action(page, 'Start my own rig'));
      const first = page.getByRole('table', { name: 'Pressures by ground' });
      let until: { taps: number; characters: number } | undefined;
      for (const [label, text] of fields) {
        spent.taps += 1;
        await type(label, text);
        await page.waitForTimeout(300);
        const other = page.getByRole('radio', { name: kind, exact: true });
        if ((await other.count()) > 0 && !(await other.isChecked())) await tap(other);
        if (!until && (await first.isVisible())) until = { ...spent };
      }
      await expect(first.getByRole('row').filter({ hasText: ground }).first(), name).toContainText(/\d/);
      until ??= spent;
      process.stdout.write(`${name}: first pressure after ${until.taps} taps and ${until.characters} characters\n`);
      expect(until.taps, `${name}: taps`).toBeLessThanOrEqual(MOST_TAPS);
      expect(until.characters, `${name}: characters`).toBeLessThanOrEqual(MOST_CHARACTERS);
      await action(page, 'Keep this rig').click();
      await expect(page.getByText(/^My .* · .* is saved\.$/)).toBeVisible();
      await expect(page.getByRole('group', { name: /axle$/ }).first(), name).toContainText('psi');
      // The next one is a newcomer too.
      const { items } = await (await request.get(`${product.address}/api/v1/rigs?limit=100`)).json();
      for (const { id, revision, demo } of items) {
        if (!demo) await request.delete(`${product.address}/api/v1/rigs/${id}?revision=${revision}`);
      }
    }
  });
}

/** An odd rig of every family: sizes and road pressures, psi, one of each axle where they differ. */
const ODD_RIGS: Readonly<Record<FamilyCode, readonly (readonly [size: string, psi: string])[]>> = {
  fourWheel: [['37x12.5R17', '35']],
  vanTruck: [['11.00R20', '75']],
  quad: [['AT22x7-10', '4']],
  sideBySide: [['35x10R15', '20']],
  adventureTwin: [
    ['110/80R19', '33'],
    ['150/70R17', '36'],
  ],
  trailSingle: [
    ['2.75-21', '6.5'],
    ['4.00R18', '5'],
  ],
  lightSingle: [
    ['70/100-19', '13'],
    ['90/100-16', '13'],
  ],
  gravelBike: [['33-622', '']],
  mountainBike: [['27.5x3.0', '']],
  fatBike: [['27.5x4.5', '']],
  electricBike: [['20x4.0', '']],
  roadBike: [['700x23C', '']],
  cityBike: [['60-559', '']],
  tractor: [
    ['14.9-24', '26'],
    ['18.4R38', '18'],
  ],
  sprayer: [['IF520/85R42', '35']],
  farmTrailer: [['28L-26', '28']],
};

test('every family, oddly shod, comes from an empty space to a number, and out where it is stuck', async ({
  page,
  product,
  request,
}) => {
  test.setTimeout(240_000);
  const { items } = await (await request.get(`${product.address}/api/v1/rigs?limit=100`)).json();
  for (const { id, revision } of items) {
    await request.delete(`${product.address}/api/v1/rigs/${id}?revision=${revision}`);
  }
  for (const [family, told] of Object.entries(ODD_RIGS)) {
    await page.goto(`/rigs/new?family=${family}`);
    const sizes = page.getByLabel(/^Tire size/);
    await sizes.first().waitFor();
    for (const [index, size] of (await sizes.all()).entries()) await size.fill(told[index % told.length]![0]);
    for (const [index, road] of (await page.getByLabel(/^Pressure on the road/).all()).entries()) {
      await road.fill(told[index % told.length]![1]);
    }
    await expect(page.getByRole('table', { name: 'Pressures by ground' }), family).toContainText(/\d/);
    await action(page, 'Keep this rig').click();
    await expect(page.getByRole('group', { name: /axle$/ }).first(), family).toContainText('psi');
    await page.goto(`/ground?rig=${new URL(page.url()).searchParams.get('rig')}&ground=stuck`);
    await expect(page.getByText('1. ', { exact: false }).first(), family).toBeVisible();
    const stepDown = action(page, 'Stuck, and nothing else helped');
    // Tires that are at their last already have no step down, and are told so with the number.
    const noStep = page.getByText(/^Less air is no help here: .*psi/);
    await expect(stepDown.or(noStep), family).toBeVisible();
    if (await noStep.isVisible()) continue;
    await stepDown.click();
    await expect(page.getByRole('heading', { name: /, step 1 of [12]$/ }), family).toBeVisible();
    await expect(page.getByText(/^Then back up to .*psi/), family).toBeVisible();
  }
});

test('the demo is hidden with one tap and brought back from Files', async ({ page }) => {
  await page.goto('/');
  await action(page, 'Hide the demo').click();
  await expect(page.getByText('How much air to let out', { exact: false })).toBeVisible();
  await page.goto('/rigs/files');
  await action(page, 'Bring the demo back').click();
  await goTo(page, 'Rigs');
  await expect(page.getByRole('link', { name: /Curlew/ })).toBeVisible();
});

test('the whole weight refines the number, and says what it changed', async ({ page }) => {
  await page.goto('/rigs/new?family=fourWheel');
  await page.getByLabel('Tire size, as you say it').fill('265/70/17');
  await page.getByLabel('Pressure on the road').first().fill('36');
  await action(page, 'Keep this rig').click();
  await expect(page.getByText('Rule of thumb, until weighed.')).toBeVisible();
  await expect(page.getByText(/may move by up to \d+\spsi/)).toBeVisible();
  await unfold(page, 'Refine it');
  await action(page, 'Enter the whole weight: half a minute').click();
  await page.getByLabel('The whole, as it stands now in kg').fill('2900');
  await page.getByRole('radio', { name: 'Loaded behind' }).click();
  await action(page, 'Save this load').click();
  await expect(page.getByText(/^Kept\. Front \d+\spsi.*; Rear \d+\spsi, was 16\.$/)).toBeVisible();
  await expect(page.getByText('Rule of thumb, until weighed.')).toHaveCount(0);
});

test('from place to place nothing stands in for a screen that is here already', async ({ page }) => {
  await page.goto('/');
  const places = page.getByRole('navigation', { name: 'Places' });
  await expect(page.getByText('Samphire Flat', { exact: false }).first()).toBeVisible();
  // What Today has from the other screens is drawn: they are here.
  await expect(page.getByRole('img', { name: /^Staff\./ }).first()).toBeVisible();
  await page.evaluate(() => {
    const seen: string[] = ((window as unknown as { seen: string[] }).seen = []);
    new MutationObserver((changes) => {
      for (const { addedNodes } of changes)
        for (const node of addedNodes) if (node.textContent?.includes('Fetching …')) seen.push(location.pathname);
    }).observe(document.body, { subtree: true, childList: true });
  });
  for (const [place, words] of [
    ['Rigs', 'Touring, water and stakes'],
    ['Ground', 'Decided by: what the trade runs'],
    ['Air', 'Warm-up or leak, by hand'],
    ['Proof', 'How long one wheel stands on the ground'],
    ['Book', 'Cairn track, fence posts'],
  ] as const) {
    await places.getByText(place, { exact: true }).click();
    await expect(page.getByText(words, { exact: false }).first()).toBeVisible();
  }
  expect(await page.evaluate(() => (window as unknown as { seen: string[] }).seen)).toEqual([]);
});

test('the first screen asks the browser’s tables of languages nothing', async ({ page }) => {
  // The first question to them takes 20 to 50 ms on a slow phone, and a sort by names is soon written.
  await page.addInitScript(() => {
    const asked: string[] = [];
    Object.assign(window, { asked });
    const listen = (of: object, name: string): void => {
      const own = Reflect.get(of, name) as (...all: unknown[]) => unknown;
      const told = function (this: unknown, ...all: unknown[]): unknown {
        asked.push(name);
        return new.target ? Reflect.construct(own, all) : own.apply(this, all);
      };
      Reflect.set(of, name, told);
    };
    for (const name of ['Collator', 'DateTimeFormat', 'NumberFormat', 'PluralRules']) listen(Intl, name);
    for (const name of ['localeCompare', 'normalize', 'toLocaleLowerCase']) listen(String.prototype, name);
    for (const name of ['toLocaleString', 'toLocaleTimeString', 'toLocaleDateString']) listen(Date.prototype, name);
    listen(Number.prototype, 'toLocaleString');
  });
  await page.goto('/');
  await expect(page.getByText('Samphire Flat').first()).toBeVisible();
  expect(await page.evaluate(() => (window as unknown as { asked: string[] }).asked)).toEqual([]);
  // What listens does listen.
  await page.evaluate(() => new Intl.Collator().compare('a', 'b'));
  expect(await page.evaluate(() => (window as unknown as { asked: string[] }).asked)).toEqual(['Collator']);
});

test('an address that leads nowhere says so, and none tells how this is built', async ({ page }) => {
  for (const address of ['/_sitemap', '/rigs/none/such']) {
    await page.goto(address);
    await expect(page.getByRole('heading', { name: 'Nothing here', level: 1 })).toBeVisible();
    await expect(page.getByText('.tsx')).toHaveCount(0);
  }
  await action(page, 'Go to Today').click();
  await expect(page.getByRole('heading', { name: 'Samphire Flat, survey stakes' })).toBeVisible();
});
