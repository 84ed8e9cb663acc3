import { action, axle, expect, goTo, test } from './fixtures';

test('the database goes away: the screen says so, keeps what was typed, and saves when it is back', async ({
  page,
  product,
  request,
}) => {
  await page.goto('/rigs');
  await expect(page.getByRole('link', { name: /Curlew/ })).toBeVisible();
  await page.goto('/rigs/0192f000-0000-7000-8000-000000000102/edit');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Oystercatcher, post truck');
  await product.database.stop();

  await page.getByLabel('Name', { exact: true }).fill('Oystercatcher, on the causeway');
  await action(page, 'Save the changes').click();
  await expect(page.getByText('One entry is kept on this device and saved when it is back.')).toBeVisible();
  await goTo(page, 'Rigs');
  await expect(page.getByRole('link', { name: /on the causeway/ })).toBeVisible();

  await page.reload();
  await expect(page.getByRole('link', { name: /on the causeway/ })).toBeVisible();
  await goTo(page, 'Ground');
  await expect(axle(page, 'Front')).toContainText('psi');

  await product.database.start();
  await expect(page.getByText('kept on this device')).toHaveCount(0, { timeout: 20_000 });
  const row = await (await request.get(`${product.address}/api/v1/rigs/0192f000-0000-7000-8000-000000000102`)).json();
  expect(row).toMatchObject({ name: 'Oystercatcher, on the causeway', revision: 2 });
  expect(product.server.child.exitCode).toBeNull();
});
