import { action, expect, test } from './fixtures';

test('the keys lead along the path and are listed', { tag: '@wide' }, async ({ page }) => {
  await page.goto('/');
  await expect(action(page, 'See why, or it’s already set')).toBeVisible();
  for (const [key, path] of [
    ['2', '/rigs'],
    ['3', '/ground'],
    ['4', '/air'],
    ['5', '/proof'],
    ['6', '/book'],
    ['1', '/'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page).toHaveURL(new RegExp(`${path}(\\?.*)?$`));
    await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  }
  await expect(page).toHaveTitle(/ · Dunlinmoss$/);
  await page.keyboard.press('u');
  await expect(page.getByText('Pressures are in bar now.')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'bar', exact: true })).toBeChecked();
  const dialog = page.getByRole('dialog', { name: 'Keys' });
  await page.keyboard.press('?');
  await expect(dialog).toContainText('Next pressure unit');
  // It comes to its button first, and what lies below it rests.
  await expect(dialog.getByRole('button', { name: 'Close', exact: true })).toBeFocused();
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/\/$/);
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
  await page.keyboard.press('?');
  // The keyboard stays within it.
  for (let tab = 0; tab < 3; tab += 1) await page.keyboard.press('Tab');
  expect(await dialog.evaluate((all) => all.contains(document.activeElement))).toBe(true);
  await dialog.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(dialog).toHaveCount(0);
  await page.getByRole('radio', { name: 'kPa', exact: true }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('radio', { name: 'kPa', exact: true })).toBeChecked();

  await page.goto('/rigs/new?family=fourWheel&all=yes');
  await page.getByLabel('Name', { exact: true }).fill('2u?');
  await expect(page).toHaveURL(/\/rigs\/new/);
  await page.keyboard.press('Tab');
  const focused = await page.evaluate(() => document.activeElement?.getAttribute('aria-label'));
  expect(focused).toBe('Tire size, as on the sidewall');
});

test(
  'the keyboard comes past the frame first; single keys can be switched off and on again',
  { tag: '@wide' },
  async ({ page }) => {
    await page.goto('/rigs');
    await expect(page).toHaveTitle('Rigs · Dunlinmoss');
    await page.keyboard.press('Tab');
    const skip = page.getByRole('button', { name: 'Skip to the screen' });
    await expect(skip).toBeFocused();
    await expect(skip).toBeInViewport();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('main')).toBeFocused();
    await expect(skip).not.toBeInViewport();

    await page.goto('/rigs/files');
    const single = page.getByRole('switch', { name: 'Single keys' });
    const heading = page.getByRole('heading', { level: 1 });
    await single.click();
    await heading.click();
    await page.keyboard.press('3');
    await page.keyboard.press('?');
    await expect(page).toHaveURL(/\/rigs\/files$/);
    await expect(page.getByRole('dialog', { name: 'Keys' })).toHaveCount(0);
    await single.click();
    await heading.click();
    await page.keyboard.press('3');
    await expect(page).toHaveURL(/\/ground/);
  },
);
