import type { APIRequestContext } from '@playwright/test';

import { action, expect, goTo, settled, test } from './fixtures';

const CURLEW = '0192f000-0000-7000-8000-000000000101';
const REDSHANK = '0192f000-0000-7000-8000-000000000103';
const PSI = 6.894757293;

/** An outing with the air let out to so much, as another phone would have saved it. */
async function letDown(request: APIRequestContext, address: string, id: string, rigId: string, psi: number) {
  const saved = await request.put(`${address}/api/v1/outings/${id}`, {
    data: {
      id,
      revision: 0,
      rigId,
      loadCaseId: null,
      groundCode: 'softSand',
      title: '',
      startedAt: '2026-11-20T07:00:00.000Z',
      state: 'lowered',
      pressures: [
        { position: 'front', pressureKpa: psi * PSI },
        { position: 'rear', pressureKpa: psi * PSI },
      ],
      pressuresAt: '2026-11-20T07:10:00.000Z',
      decision: null,
    },
  });
  expect(saved.ok(), await saved.text()).toBe(true);
}

test(
  'two machines out stand on the board of every device until their wheels are read',
  { tag: '@wide' },
  async ({ page, browser, product, request }) => {
    await letDown(request, product.address, '0192f000-0000-7000-8000-0000000000d1', CURLEW, 16);
    await letDown(request, product.address, '0192f000-0000-7000-8000-0000000000d2', REDSHANK, 12);
    await page.goto('/');
    const wagon = page.getByRole('listitem', { name: 'Curlew, loaded wagon' });
    const runner = page.getByRole('listitem', { name: 'Redshank, dune runner' });
    await expect(wagon).toContainText(/front 16\spsi, rear 16\spsi · set, not read since/);
    await expect(runner).toContainText(/front 12\spsi, rear 12\spsi/);
    await page.reload();
    await expect(wagon).toBeVisible();

    // The other device sees both; what is ended there without a reading stays low here.
    const other = await (await browser.newContext()).newPage();
    await other.goto(product.address);
    await expect(other.getByRole('listitem', { name: 'Redshank, dune runner' })).toBeVisible();
    await other.getByRole('button', { name: 'Redshank, dune runner: all of it' }).click();
    await action(other, 'Write the decision').or(action(other, 'Measure the contact length')).first().waitFor();
    await other.goto(`${product.address}/air/road?rig=${REDSHANK}`);
    await expect(other.getByRole('heading', { name: 'Not ready for pavement' })).toBeVisible();
    await expect(other.getByText(/12\spsi → 28\spsi/).first()).toBeVisible();
    await other.context().close();

    // The rig that was chosen goes along through every place.
    await runner.getByRole('button', { name: /all of it$/ }).click();
    await expect(action(page, 'All 2 machines')).toBeVisible();
    await action(page, 'Measure the contact length').click();
    await expect(page.getByText(/^Redshank, dune runner\./).first()).toBeVisible();
    for (const place of ['Ground', 'Air', 'Proof']) {
      await goTo(page, place);
      await expect(page.getByText('Redshank, dune runner').first()).toBeVisible();
    }

    // A warm reading ends nothing; a cold one of every wheel does.
    await page.goto(`/air/road?rig=${REDSHANK}`);
    await expect(page.getByLabel('Just driven')).toBeChecked();
    const readAll = async (psi: string): Promise<void> => {
      for (const wheel of ['Front left', 'Front right', 'Rear left', 'Rear right']) {
        await page.getByLabel(`${wheel} reads in psi`).fill(psi);
      }
      await action(page, 'Keep what they read').click();
    };
    await readAll('31');
    await expect(page.getByText('a warm reading closes no road check', { exact: false })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Not ready for pavement' })).toBeVisible();
    await page.getByLabel('Just driven').click();
    await readAll('28');
    await action(page, 'Ready for the road: end the outing').click();
    // One alone fills the screen.
    await expect(page.getByRole('listitem', { name: 'Redshank, dune runner' })).toHaveCount(0);
    await expect(page.getByText(/^Curlew, loaded wagon · Soft sand/)).toBeVisible();
  },
);

test('a warm reading of 19 on a set 16 is left alone, and 24 is not', async ({ page, product, request }) => {
  await letDown(request, product.address, '0192f000-0000-7000-8000-0000000000d1', CURLEW, 16);
  await page.goto(`/air/watch?rig=${CURLEW}`);
  await action(page, 'Read a round by hand').click();
  const field = page.getByLabel('Front left reads in psi');
  await field.fill('19');
  await expect(page.getByText(/Warm from driving: still the 16\spsi that was set\. Leave it\./)).toBeVisible();
  await field.fill('24');
  await expect(page.getByText(/More than driving warms it from 16\spsi: let out \d\spsi\./)).toBeVisible();
  await field.fill('12');
  await expect(page.getByText(/4\spsi less than the 16\spsi that was set: it leaks/)).toBeVisible();
  // Nothing is kept of wheels that nobody read.
  await action(page, 'Keep this round').click();
  await goTo(page, 'Air');
  await expect(page.getByText(/^read warm, /)).toHaveCount(1);
});

test('an outing for a day to come waits beside the others', async ({ page }) => {
  await page.goto('/');
  await action(page, 'Another outing').click();
  await page.getByRole('radio', { name: 'Snipe, peat motorcycle' }).click();
  await page.getByRole('radio', { name: 'Another day' }).click();
  await action(page, 'Plan the outing').click();
  await expect(page.getByRole('alert')).toContainText('Choose the day.');
  await expect(page.getByLabel('Day', { exact: true })).toBeFocused();
  await page.getByLabel('Day', { exact: true }).fill('2027-02-28');
  await action(page, 'Plan the outing').click();
  await expect(page.getByRole('heading', { name: 'To come' })).toBeVisible();
  await expect(page.getByRole('link', { name: /28 Feb 2027/ })).toContainText('Snipe, peat motorcycle');
  await expect(page.getByRole('heading', { name: 'Samphire Flat, survey stakes' })).toBeVisible();
});

test('an airing in which no wheel was touched leaves no trace', async ({ page }) => {
  await page.goto(`/air/out?rig=${CURLEW}&ground=softSand`);
  await action(page, /^Begin at/).click();
  for (let wheel = 0; wheel < 4; wheel += 1) await action(page, 'Skip this wheel').click();
  await action(page, 'Every wheel is down: keep it').click();
  await expect(page.getByText('No wheel was touched: nothing is kept of it.')).toBeVisible();
  await goTo(page, 'Today');
  await expect(page.getByText('Soft sand ahead. Let air out before you drive on it.')).toBeVisible();
});

test('a clock that is a day off is told of, and told no more once it is right', async ({ page }) => {
  await page.clock.setSystemTime(Date.now() + 86_400_000);
  await page.goto('/');
  await expect(page.getByText(/^The clock of this device is 24\sh\sahead. Set it right/)).toBeVisible();
  await page.clock.setSystemTime(Date.now());
  await page.reload();
  await settled(page);
  await expect(page.getByText(/^The clock of this device/)).toHaveCount(0);
});
