import type { Page } from '@playwright/test';

import { action, expect, goTo, test, unfold } from './fixtures';

const CURLEW = '0192f000-0000-7000-8000-000000000101';

async function reading(page: Page, row: number, pressure: string, length: string): Promise<void> {
  await page.getByLabel(`Reading ${row}: gauge in psi`).fill(pressure);
  await page.getByLabel(`Reading ${row}: contact length in mm`).fill(length);
}

test('readings are judged in words as they are typed', { tag: '@wide' }, async ({ page }) => {
  await page.goto(`/proof/tape/new?rig=${CURLEW}`);
  await page.getByRole('radio', { name: 'Front left' }).click();
  await page.getByRole('radio', { name: 'Marks' }).click();
  await reading(page, 1, '36', '160');
  await expect(page.getByText('Measure the same wheel on the same spot once more')).toBeVisible();
  await reading(page, 2, '35', '162');
  await expect(page.getByText('These pressures are too close together.')).toBeVisible();
  await reading(page, 2, '15', '170');
  await expect(page.getByText('A stiff carcass or a light load')).toBeVisible();
  await reading(page, 2, '15', '290');
  await expect(page.getByText('Check the load on this wheel and the gauge')).toBeVisible();
  await reading(page, 2, '15', '228');
  await expect(page.getByText('The tire does what the model says.')).toBeVisible();
  await expect(page.getByText('Grew 68 mm; predicted 68 mm: 100 % of it.')).toBeVisible();
  await expect(
    page.getByRole('img', { name: /Contact length over pressure. Measured 160 mm at 36 psi, 228 mm at 15 psi/ }),
  ).toBeVisible();
});

test('a saved test can be corrected and thinned, and the plan follows', async ({ page }) => {
  await page.goto(`/proof/tape/new?rig=${CURLEW}`);
  await page.getByRole('radio', { name: 'Front left' }).click();
  await page.getByRole('radio', { name: 'Marks' }).click();
  await reading(page, 1, '36', '150');
  await reading(page, 2, '15', '214');
  await action(page, 'Another reading').click();
  await reading(page, 3, '24', '999');
  await action(page, 'Save this test').click();
  await expect(page.getByText('The test is in the Book.')).toBeVisible();
  // One wild reading is named, and hardly counts.
  await page.goto(`/proof/learned?rig=${CURLEW}`);
  await expect(
    page.getByText(/(Hardly counted|These contradict each other).*999\smm at 24\spsi/).first(),
  ).toBeVisible();

  await goTo(page, 'Proof');
  await page.getByRole('link', { name: /^Tape: / }).click();
  await action(page, 'Remove reading 3').click();
  await action(page, 'Undo').click();
  await expect(page.getByLabel('Reading 3: contact length in mm')).toHaveValue('999');
  await page.getByLabel('Reading 3: contact length in mm').fill('178');
  await action(page, 'Save the changes').click();
  await expect(page.getByText('The test is in the Book.')).toBeVisible();
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await unfold(page, 'Why this number');
  await expect(page.getByRole('heading', { name: 'Measured by you' })).toBeVisible();
  await expect(page.getByText(/Print length over chord: assumed 0\.68, yours 0\.6\d \(/).first()).toBeVisible();

  // The same wheel on soft ground stands beside it: the tape reads longer, for it sinks in.
  await page.goto(`/proof/tape/new?rig=${CURLEW}`);
  await page.getByRole('radio', { name: 'Front left' }).click();
  await page.getByRole('radio', { name: 'Soft' }).click();
  await reading(page, 1, '24', '480');
  await expect(page.getByText(/Front left at 24\spsi: 302\smm longer on soft ground than on firm/)).toBeVisible();

  await goTo(page, 'Proof');
  await page.getByRole('link', { name: /^Tape: / }).click();
  await action(page, 'Archive this test').click();
  await expect(page.getByRole('link', { name: /^Tape: / })).toHaveCount(0);
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await unfold(page, 'Why this number');
  await expect(page.getByText('Contact is estimated.').first()).toBeVisible();
});

test('what is wrong with a reading stands beside it, and nothing typed is lost', async ({ page }) => {
  await page.goto(`/proof/tape/new?rig=${CURLEW}`);
  await page.getByRole('radio', { name: 'Front left' }).click();
  await reading(page, 1, 'thirty', '5');
  await action(page, 'Save this test').click();
  await expect(page.getByRole('alert').filter({ hasText: 'Expected a number' })).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'Expected 20 mm or more' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Reading 1: gauge in psi')).toHaveValue('thirty');
});

test('a gauge that nobody read stands empty or is marked, wheel by wheel', async ({ page }) => {
  await page.goto(`/proof/chalk/new?rig=${CURLEW}`);
  const gauge = page.getByLabel('Line 1: gauge in psi');
  await expect(gauge).toHaveValue('');
  await expect(page.getByText('On the road you run 36 psi; type what your gauge says.')).toBeVisible();
  await page.getByRole('radio', { name: 'Rear left' }).click();
  await expect(page.getByText('On the road you run 42 psi; type what your gauge says.')).toBeVisible();
  await gauge.fill('40');
  await action(page, 'Another line').click();
  // The next wheel is on the same axle: as that one read, and marked until it is typed over.
  const filledIn = page.getByText('Filled in, read by nobody yet: type what your gauge says.');
  await expect(page.getByLabel('Line 2: gauge in psi')).toHaveValue('40');
  await expect(filledIn).toBeVisible();
  await page.getByLabel('Line 2: gauge in psi').fill('41');
  await expect(filledIn).toBeHidden();
  await action(page, 'Another line').click();
  await expect(page.getByLabel('Line 3: gauge in psi')).toHaveValue('');
});
