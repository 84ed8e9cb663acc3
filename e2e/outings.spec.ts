import { readFile } from 'node:fs/promises';

import { action, axle, chooseGround, expect, goTo, test } from './fixtures';

const SNIPE = '0192f000-0000-7000-8000-000000000106';

test('a ride: set the pressure, say how it went, end it; no tape, no pavement', async ({ page }) => {
  await page.goto('/');
  await action(page, 'Let it out').waitFor();
  // What is under way with the wagon is archived first.
  await page.goto('/book/0192f000-0000-7000-8000-000000000204');
  await action(page, 'Archive this outing').click();
  await expect(page.getByRole('heading', { name: 'Book', level: 1 })).toBeVisible();
  await goTo(page, 'Today');
  await page.getByRole('radio', { name: 'Knot, hill rounds' }).click();
  await chooseGround(page, 'Rock');
  await page.getByLabel('Where, what for (if you like)').fill('Cairn ridge');
  await action(page, 'Start the outing').click();
  await expect(page.getByText('Rock ahead. Set the pressure before you ride.')).toBeVisible();
  await expect(axle(page, 'Front')).toContainText(/\d\d(\.5)?psi/);
  await action(page, 'See why, or it’s already set').click();
  await action(page, 'It’s already set').click();
  await page.getByLabel('Front axle in psi').fill('24.5');
  await page.getByLabel('Rear axle in psi').fill('10');
  await expect(page.getByText(/Below the floor of .* the rim is struck/)).toBeVisible();
  await page.getByLabel('Rear axle in psi').fill('27');
  await action(page, 'Keep what I read').click();

  await expect(page.getByText(/^Pressures are set\. When you know how it went/)).toBeVisible();
  await expect(page.getByText('Before pavement')).toHaveCount(0);
  await action(page, 'Write the decision').click();
  await expect(action(page, 'Prove it')).toBeVisible();
  await page.getByRole('radio', { name: 'Go lower next time' }).click();
  await action(page, 'Write it in the Book').click();
  await action(page, 'End the ride').click();
  await expect(page.getByRole('heading', { name: 'Where to today?' })).toBeVisible();
  await goTo(page, 'Book');
  const line = page.getByRole('link', { name: /Cairn ridge/ });
  await expect(line).toContainText('Ridden');
  await expect(line).toContainText('Set: front 24.5 psi, rear 27 psi');
});

test('a motorcycle that is stuck begins an outing below its floor, and is led back up', async ({ page }) => {
  await page.goto(`/ground?rig=${SNIPE}&ground=stuck`);
  await action(page, 'Stuck, and nothing else helped').click();
  await expect(page.getByText(/^Below the floor, step 1 of/)).toBeVisible();
  await expect(page.getByText(/what “Soft sand” asks for, before you drive on\./)).toBeVisible();
  await action(page, 'Free, or another way: leave the ladder').click();
  await expect(page.getByText('Before letting out more')).toBeVisible();
  await expect(page.getByText('The floor, if you are not there yet:')).toBeVisible();
});

test('the Book tells rides and field days in their own words', async ({ page }) => {
  await page.goto('/book');
  const field = page.getByRole('link', { name: /Wet meadow, lime/ });
  await expect(field).toContainText('Back at road pressure');
  await expect(page.getByRole('link', { name: /Survey round, north dyke/ })).toContainText('Ridden');
  await field.click();
  await expect(page.getByText('The day: pulling hard or uphill.')).toBeVisible();
});

test('the Book is looked through by ground, machine and words, and a season stands on one page', async ({ page }) => {
  await page.goto('/book');
  await action(page, /^Find Everything/).click();
  await page.getByLabel('Words to find in the Book').fill('CREST run-up');
  await expect(page.getByRole('link', { name: /Marram ridge/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Low-water line/ })).toHaveCount(0);
  await page.getByLabel('Words to find in the Book').fill('');
  await action(page, /^Ground Every ground/).click();
  await page.getByRole('radio', { name: 'Packed damp sand' }).click();
  await expect(action(page, /^Find 1 of \d+ outings/)).toBeVisible();
  await page.getByRole('radio', { name: '30 days' }).click();
  await expect(page.getByText('No outing is like that. Take something out of “Find”.')).toBeVisible();
  await action(page, 'Show everything again').click();
  await expect(page.getByRole('link', { name: /Cairn track/ })).toBeVisible();

  await action(page, 'A season in one page').click();
  await page.getByRole('radio', { name: 'All' }).click();
  await expect(page.getByText('Pressures that worked')).toBeVisible();
  await expect(page.getByText(/^18 \/ 23\spsi$/)).toBeVisible();
  const download = page.waitForEvent('download');
  await action(page, 'Table (CSV)').click();
  const csv = await readFile(await (await download).path(), 'utf8');
  expect(csv).toMatch(/Pressures that worked\r\nMachine,Ground,Kept last,After\r\n"?Curlew/);
  expect(csv).toMatch(/Time on soft tires/);
});
