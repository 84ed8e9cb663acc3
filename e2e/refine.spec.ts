import type { Page } from '@playwright/test';

import { action, axle, expect, test, unfold } from './fixtures';

/** A new rig of a kind with what a newcomer types of it. */
async function begin(page: Page, family: string, fields: readonly (readonly [string, string])[]): Promise<void> {
  await page.goto(`/rigs/new?family=${family}`);
  for (const [label, text] of fields) await page.getByLabel(label, { exact: true }).fill(text);
}

test('one line of a sidewall is load line and maximum, and goes back to the number it was asked from', async ({
  page,
}) => {
  await begin(page, 'sideBySide', [
    ['Tire size, front axle', '30x10R15'],
    ['Tire size, rear axle', '30x10R15'],
    ['Pressure on the road, cold, front axle in psi', '14'],
    ['Pressure on the road, cold, rear axle in psi', '16'],
  ]);
  await action(page, 'Keep this rig').click();
  await unfold(page, 'Why this number');
  await expect(page.getByRole('heading', { name: 'How do you choose?' })).toBeVisible();
  await unfold(page, 'Refine it');
  await action(page, 'Read off the sidewall').click();
  await action(page, 'A line').first().click();
  await page.getByLabel('Front axle: line 1, at in psi').fill('22');
  await page.getByLabel('Front axle: line 1, carries in kg').fill('580');
  await expect(page.getByText(/The one line is the maximum too: 22\spsi\./).first()).toBeVisible();
  await action(page, 'Save what it says').click();
  await expect(page.getByText(/^Kept\. Front \d+\spsi/)).toBeVisible();
  await expect(page).toHaveURL(/\/ground/);
  await expect(axle(page, 'Front')).toContainText('psi');
});

test('a data sheet is pasted, the sprayer weighed full and empty, and its pressure follows the tank on Ground', async ({
  page,
}) => {
  await begin(page, 'sprayer', [
    ['Tire size, as you say it', 'VF380/90R46 173D'],
    ['Pressure on the road, cold in psi', '46'],
  ]);
  await page.getByLabel(/aste the table of the data sheet/).fill('bar 1.6 2.4 3.2\n10 4800 6100');
  await expect(page.getByText(/^Line 2 does not fit|^Line 1 does not fit/)).toBeVisible();
  await page
    .getByLabel(/aste the table of the data sheet/)
    .fill('bar 1.6 2.4 3.2\n10 4000 6100 7300\n40 2600 4600 5600');
  await expect(page.getByText(/Reads 6 rows: 23–46\spsi, 10 to 40\skm\/h, 2600\skg to 7300\skg/)).toBeVisible();
  await action(page, 'Take these rows').click();
  await action(page, 'Keep this rig').click();
  await unfold(page, 'Refine it');
  await page.getByRole('button', { name: 'Weigh wheels or axles' }).click();
  await page.getByRole('radio', { name: /^Full and empty/ }).click();
  for (const [label, kg] of [
    ['What this load is called', 'By the tank'],
    ['Front axle: whole axle in kg', '6400'],
    ['Rear axle: whole axle in kg', '11800'],
    ['Front axle, empty in kg', '3900'],
    ['Rear axle, empty in kg', '12000'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(kg);
  await expect(page.getByText(/18200\skg on the wheels/)).toBeVisible();
  await page.getByLabel('Rear axle, empty in kg', { exact: true }).fill('14500');
  await expect(page.getByText(/full must be more\. Were they changed over/)).toBeVisible();
  await page.getByLabel('Rear axle, empty in kg', { exact: true }).fill('4700');
  await action(page, 'Save this load').click();
  await expect(page).toHaveURL(/\/ground/);

  const full = await axle(page, 'Rear').innerText();
  const tank = page.getByRole('slider', { name: 'How full today' });
  await expect(tank).toHaveAttribute('aria-valuetext', 'full');
  await tank.press('Home');
  await expect(tank).toHaveAttribute('aria-valuetext', 'empty');
  await expect.poll(() => axle(page, 'Rear').innerText()).not.toBe(full);
  const psi = (text: string): number => Number(/(\d+)\s*psi/.exec(text)![1]);
  expect(psi(await axle(page, 'Rear').innerText())).toBeLessThan(psi(full));
  await page.reload();
  await expect(tank).toHaveAttribute('aria-valuetext', 'empty');
});

test('pounds bring miles and gallons along, and each can be set apart', async ({ page }) => {
  await page.goto('/rigs');
  await action(page, /^Units/).click();
  await page.getByRole('radio', { name: 'lb', exact: true }).click();
  await page.goto('/ground?rig=0192f000-0000-7000-8000-000000000101&ground=gravel');
  await expect(page.getByText(/Speed: \d+\smph/)).toBeVisible();
  await action(page, /^The day/).click();
  await page.getByLabel('Speed needed in mph').fill('30');
  await expect(action(page, /30\smph needed/)).toBeVisible();
  await page.goto('/rigs');
  await action(page, /^Units psi, lb, in, mph/).click();
  await page.getByRole('radio', { name: 'km/h', exact: true }).click();
  await page.reload();
  await expect(action(page, /^Units psi, lb, in, km\/h/)).toBeVisible();
});
