import { readFile } from 'node:fs/promises';

import type { APIRequestContext, Page } from '@playwright/test';

import { action, expect, letOut, test, goOn } from './fixtures';

const CURLEW = '0192f000-0000-7000-8000-000000000101';
const SANDERLING = '0192f000-0000-7000-8000-000000000107';
const LAPWING = '0192f000-0000-7000-8000-000000000110';

const leg = (page: Page, number: number) => page.getByRole('group', { name: `Stretch ${number}`, exact: true });
const lines = (page: Page) => page.getByRole('button', { name: /^[\d.]+\skm.* \d+\. / });

/** Taps a stretch on: how long, then its ground. */
async function tap(page: Page, length: string, ground: string): Promise<void> {
  const pick = page.getByRole('radio', { name: length, exact: true });
  if ((await pick.getAttribute('aria-checked')) !== 'true') await pick.click();
  await action(page, `Add ${ground}`).click();
}

test(
  'a beach day, tapped: fewer stops than the table, held against the tide, on paper, and kept',
  { tag: '@wide' },
  async ({ page }) => {
    await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
    await goOn(page, 'A day’s route: which pressures, where to stop');
    await action(page, 'Begin with none').click();
    await expect(page.getByText('Nothing to drive yet: tap the first ground of the day.')).toBeVisible();
    await tap(page, '20 km', 'pavement');
    await tap(page, '10 km', 'gravel, corrugations');
    await tap(page, '5 km', 'packed damp sand');
    await tap(page, '2 km', 'soft sand');
    await tap(page, '5 km', 'packed damp sand');
    await tap(page, '10 km', 'gravel, corrugations');
    await tap(page, '20 km', 'pavement');
    await expect(page.getByText(/^\d stops; gets through \d\d of 100/).first()).toBeVisible();
    await expect(leg(page, 1)).toContainText('front 36, rear 42 psi');
    await expect(leg(page, 4)).not.toContainText('front 36');
    await expect(leg(page, 7)).toContainText('front 36, rear 42 psi');
    await expect(page.getByRole('row', { name: /front 36, rear 42\spsi all day/ }).first()).toBeVisible();
    await expect(page.getByRole('row', { name: /Each ground by its own table/ }).first()).toBeVisible();
    await expect(page.getByText(/is never more than .* wrong\. Take .* if you/)).toBeVisible();

    // The exit has to be behind one before the tide: without a beginning nothing is held against it, and that is said.
    await lines(page).nth(3).click();
    await page.getByLabel('Steepest climb in °').fill('3');
    await page.getByLabel('Through by').fill('23:59');
    await expect(page.getByText(/^Say when the day begins/)).toBeVisible();
    await action(page, /^Begins, tools/).click();
    await page.getByLabel('The day begins at').fill('23:30');
    await expect(page.getByText(/^Too late for 4\. soft sand/)).toBeVisible();
    await page.getByLabel('The day begins at').fill('08:00');
    await expect(page.getByText(/^Too late/)).toBeHidden();

    await action(page, /^Day sheet/).click();
    await expect(page.getByRole('row', { name: /^4\. Soft sand/ })).toContainText(/psi/);
    const [geojson] = await Promise.all([page.waitForEvent('download'), action(page, 'Route (GeoJSON)').click()]);
    const { features } = JSON.parse(await readFile(await geojson.path(), 'utf8'));
    expect(features[0].properties.stretches).toHaveLength(7);

    await page.getByLabel('Called', { exact: true }).fill('Over Samphire Flat');
    await action(page, 'Keep it').click();
    await expect(page.getByText('Over Samphire Flat is kept.')).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Called', { exact: true })).toHaveValue('Over Samphire Flat');
    await expect(lines(page)).toHaveCount(7);
  },
);

/** A beach day that was kept before. */
async function keepBeachDay(request: APIRequestContext, address: string): Promise<void> {
  const now = new Date();
  const inFiveHours = (now.getHours() * 60 + now.getMinutes() + 300) % 1_440;
  const stretch = (groundCode: string, index: number) => ({
    id: `0192f000-0000-7000-8000-00000000090${index}`,
    groundCode,
    lengthM: groundCode === 'softSand' ? 2_000 : 10_000,
    climbDeg: groundCode === 'softSand' ? 3 : 0,
    loadCaseId: null,
    endLoadCaseId: null,
    speedKmh: null,
    sureness: 'usual',
    noStopping: false,
    freeAir: false,
    opensAtMin: null,
    closesAtMin: groundCode === 'softSand' ? inFiveHours : null,
    found: null,
  });
  const id = '0192f000-0000-7000-8000-000000000900';
  const saved = await request.put(`${address}/api/v1/routes/${id}`, {
    data: {
      id,
      revision: 0,
      name: 'Over Samphire Flat',
      rigId: CURLEW,
      keptAt: '2026-11-29T06:00:00.000Z',
      startsAtMin: 480,
      plan: 'surest',
      bogMin: null,
      pullOverMin: null,
      central: false,
      prices: { harsh: null, pressed: null, soft: null },
      stretches: ['pavement', 'dampSand', 'softSand', 'dampSand', 'pavement'].map(stretch),
      track: null,
      drive: null,
    },
  });
  expect(saved.ok(), await saved.text()).toBe(true);
}

test('a kept route is driven: Today leads, and plans anew half way with no signal', async ({
  page,
  context,
  request,
  product,
}) => {
  await keepBeachDay(request, product.address);
  await page.goto(`/ground/day?rig=${CURLEW}`);
  await page.getByRole('link', { name: /^Over Samphire Flat/ }).click();
  await action(page, 'Drive it').click();
  await expect(page.getByRole('heading', { name: '1 of 5: Pavement' })).toBeVisible();
  await expect(page.getByText(/^Drive on as it is, at front 36, rear 42\spsi\.$/)).toBeVisible();
  await expect(page.getByText(/until 3\. soft sand closes at \d\d:\d\d; you are through at/)).toBeVisible();
  await action(page, 'As thought').click();
  await expect(page.getByRole('heading', { name: '2 of 5: Packed damp sand' })).toBeVisible();
  await context.setOffline(true);
  await action(page, 'As thought').click();
  await expect(page.getByRole('heading', { name: '3 of 5: Soft sand' })).toBeVisible();
  await expect(page.getByText(/before you go on\.$/)).toBeVisible();
  await expect(page.getByRole('group', { name: 'Rear axle' })).toContainText(/1\d\s*psi/);
  await action(page, 'It’s already set').click();
  // What was planned is no reading: the gauge is asked for, and a limit of this ground says so.
  await expect(page.getByText('Planned: 14\u00a0psi').first()).toBeVisible();
  await page.getByLabel('Rear axle in psi').fill('14');
  await action(page, 'Keep what I read').click();
  await expect(page.getByRole('alert').filter({ hasText: 'Expected a number' })).toHaveCount(1);
  await page.getByLabel('Front axle in psi').fill('9');
  await expect(page.getByText(/^Below the floor of/)).toHaveCount(1);
  await page.getByLabel('Front axle in psi').fill('13');
  await expect(page.getByText(/^Below the floor of/)).toHaveCount(0);
  await action(page, 'Keep what I read').click();
  await expect(page.getByText(/^Drive on as it is, at front 13, rear 14\spsi/)).toBeVisible();
  await action(page, 'Softer').click();
  await expect(page.getByRole('heading', { name: '4 of 5: Packed damp sand' })).toBeVisible();
  await action(page, 'The whole day').click();
  await action(page, 'Change the route').click();
  await expect(lines(page).nth(2)).toContainText('was softer');
  await context.setOffline(false);
});

test('at a stop of a route the air goes to what the route asks for, wheel by wheel', async ({ page }) => {
  await page.goto(`/ground/day?rig=${CURLEW}`);
  await expect(page.getByText(/^2 stops/).first()).toBeVisible();
  await action(page, 'Drive it').click();
  for (const next of ['2 of 5', '3 of 5']) {
    await action(page, 'As thought').click();
    await expect(page.getByRole('heading', { name: new RegExp(next) })).toBeVisible();
  }
  await action(page, 'Let it out').click();
  await expect(page.getByText(/36\spsi → 16\spsi/).first()).toBeVisible();
  await action(page, 'Begin at front left').click();
  for (const reads of ['16', '19', '19', '16']) await letOut(page, reads);
  await action(page, 'Every wheel is down: keep it').click();
  await page.goto('/');
  await expect(page.getByText(/^Drive on as it is, at front 16, rear 19\spsi/)).toBeVisible();
  await action(page, 'Firmer').click();
  // Corrugations on the way home: back up to what its plan asks for.
  await expect(page.getByRole('heading', { name: /4 of 5/ })).toBeVisible();
  await action(page, 'Pump up').click();
  await expect(page.getByText(/16\spsi → \d\d\spsi/).first()).toBeVisible();
});

/** A ride of some 24 km over three hills, with the jitter of a receiver. */
const gpx = (): string => {
  const points = Array.from({ length: 2_400 }, (_, index) => {
    const elevation = 40 + 30 * Math.sin(index / 130) + 2 * Math.sin(index * 12.9898);
    return `<trkpt lat="${(54 + index / 11_120).toFixed(6)}" lon="${(8 + Math.sin(index / 200) / 300).toFixed(6)}"><ele>${elevation.toFixed(1)}</ele></trkpt>`;
  });
  return `<?xml version="1.0"?><gpx version="1.1" creator="walk" xmlns="http://www.topografix.com/GPX/1/1"><trk><name>Survey round</name><trkseg>${points.join('')}</trkseg></trk></gpx>`;
};

test('a gravel ride from a track: its climbs, marks to drag, and files that are no track', async ({ page }) => {
  await page.goto(`/ground/day?rig=${SANDERLING}`);
  await expect(page.getByRole('heading', { name: 'A day’s route' })).toBeVisible();
  // Nobody picks a file before the page has its rows; what is given to it sooner is not heard.
  await expect(leg(page, 2)).toContainText('psi');
  const input = page.getByLabel('From a track (GPX, GeoJSON)');
  const file = (name: string, text: string) => ({
    name,
    mimeType: 'application/octet-stream',
    buffer: Buffer.from(text),
  });
  await input.setInputFiles(file('bomb.gpx', '<!DOCTYPE x [<!ENTITY a "aaaa">]><gpx>&a;</gpx>'));
  await expect(page.getByText(/defines words of its own/)).toBeVisible();
  await input.setInputFiles(file('empty.gpx', ''));
  await expect(page.getByText(/no GPX or GeoJSON file/)).toBeVisible();
  await input.setInputFiles(file('round.gpx', gpx()));
  await expect(page.getByText(/^2400 points read, thinned to \d+\. Drag the marks/)).toBeVisible();
  const mark = page.getByRole('slider', { name: /^Where rock begins/ });
  await expect(mark).toBeVisible();
  const before = await lines(page).nth(1).innerText();
  const { x, y, width, height } = (await mark.boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 - 90, y + height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(lines(page).nth(1)).not.toHaveText(before);
  await expect(lines(page).nth(1)).toContainText(/climbs \d+°/);
  await action(page, 'Add a stretch').click();
  await action(page, 'Add hardpack trail').click();
  await expect(lines(page)).toHaveCount(3);
  await expect(leg(page, 3)).toContainText('psi');
  await action(page, 'Keep it').click();
  await expect(page.getByText(/is kept\.$/)).toBeVisible();
  await page.reload();
  await expect(lines(page)).toHaveCount(3);
  await expect(page.getByRole('slider')).toHaveCount(2);
  const [track] = await Promise.all([page.waitForEvent('download'), action(page, 'Track (GPX)').click()]);
  expect(await readFile(await track.path(), 'utf8')).toContain('<name>Survey round</name>');
});

test('a spreader’s day, six times: full out, empty home, and central inflation spares its stops', async ({ page }) => {
  await page.goto(`/ground/day?rig=${LAPWING}`);
  await expect(page.getByRole('heading', { name: 'A day’s route' })).toBeVisible();
  await lines(page).nth(1).click();
  await action(page, /^Loaded/).click();
  await page
    .getByRole('radiogroup', { name: 'And at its end' })
    .getByRole('radio', { name: 'Spreader empty, road home' })
    .click();
  await expect(lines(page).nth(1)).toContainText('to Spreader empty, road home');
  await lines(page).nth(1).click();
  await action(page, 'Add a stretch').click();
  for (let round = 0; round < 5; round += 1) await action(page, 'The same round once more').click();
  await expect(lines(page)).toHaveCount(18);
  await expect(leg(page, 17)).toBeVisible();
  await action(page, /^Begins, tools/).click();
  await page.getByLabel('Central inflation').click();
  await expect(page.getByText(/while driving/).first()).toBeVisible();
  await page.getByRole('radio', { name: /^Surest/ }).click();
  await action(page, 'Keep it').click();
  await expect(page.getByText(/is kept\.$/)).toBeVisible();
});
