import { action, axle, expect, goTo, test } from './fixtures';

test('a new rig: a marking that cannot be read, a draft that survives, and a plan at the end', async ({ page }) => {
  await page.goto('/rigs/new');
  const size = page.getByLabel('Tire size, as on the sidewall');
  await page.getByLabel('Name', { exact: true }).fill('Sanderling');
  await size.fill('the big ones');
  await size.blur();
  await expect(page.getByRole('alert')).toContainText(
    "This can't be read as a size. Copy it as on the sidewall, like 245/75R16 111T",
  );
  await expect(size).toHaveValue('the big ones');
  await size.fill('3/75R16');
  await expect(page.getByRole('alert')).toContainText('A section width of 3 mm can');

  await size.fill('LT285/70R17 121/118Q E');
  await expect(
    page.getByText(
      'Reads: section 285 mm, sidewall 70 %, 17 in rim, carries 1450 kg alone, 1320 kg as one of a pair, up to 160 km/h, load range E.',
    ),
  ).toBeVisible();
  await expect(page.getByRole('radio', { name: 'E', exact: true }).first()).toBeChecked();
  await page.getByLabel('Front: placard pressure, cold in psi').fill('500');
  await page.getByLabel('Front: axle load in kg').fill('0');
  await page.getByLabel('Rear: placard pressure, cold in psi').fill('5o');
  await action(page, 'Save this rig').click();
  await expect(page.getByText('Expected 102 psi or less. Check the unit.')).toBeVisible();
  await expect(page.getByText('Expected 100 kg or more. Check the unit.')).toBeVisible();
  await expect(page.getByText('Expected a number, like 36 or 2.4.').first()).toBeVisible();

  await goTo(page, 'Today');
  await page.goto('/rigs/new');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Sanderling');
  await expect(page.getByLabel('Front: placard pressure, cold in psi')).toHaveValue('500');

  await page.getByLabel('Front: placard pressure, cold in psi').fill('45');
  await page.getByRole('radio', { name: 'lb', exact: true }).click();
  await page.getByLabel('Front: axle load in lb').fill('2640');
  await page.getByRole('radio', { name: 'Each wheel' }).last().click();
  await page.getByLabel('Rear: placard pressure, cold in psi').fill('50');
  await page.getByLabel('Rear: left in lb').fill('1540');
  await page.getByLabel('Rear: right in lb').fill('1610');
  await action(page, 'Save this rig').click();
  const card = page.getByRole('link', { name: /Sanderling/ });
  await expect(card).toContainText('Rear: LT285/70R17 121/118Q E, 3150 lb weighed, placard 50 psi');

  await card.click();
  await expect(page.getByLabel('Rear: left in lb')).toHaveValue('1540');
  await page.getByRole('radio', { name: 'bar', exact: true }).click();
  await expect(page.getByLabel('Front: placard pressure, cold in bar')).toHaveValue('3.1');
  await page.getByRole('radio', { name: 'psi', exact: true }).click();
  await expect(page.getByLabel('Front: placard pressure, cold in psi')).toHaveValue('45');
  await page.getByLabel('Name', { exact: true }).fill('Sanderling, emptied');
  await action(page, 'Save the changes').click();
  await page.getByRole('link', { name: /Sanderling, emptied/ }).click();

  const id = new URL(page.url()).pathname.split('/').at(-1);
  await page.goto(`/ground?rig=${id}&ground=snow`);
  await expect(axle(page, 'Front')).toContainText('psi');
  await page.goto(`/rigs/${id}`);
  await action(page, 'Put this rig aside').click();
  await expect(page.getByRole('link', { name: /Sanderling/ })).toHaveCount(0);
  await action(page, 'Undo').click();
  await expect(page.getByRole('link', { name: /Sanderling, emptied/ })).toBeVisible();
});

test('rear tires of another size are kept apart from the front ones', async ({ page }) => {
  await page.goto('/rigs/0192f000-0000-7000-8000-000000000101');
  await page.getByRole('switch', { name: 'Rear tires are the same' }).click();
  await page.getByLabel('Tire size, as on the sidewall').last().fill('285/65R17 116T');
  await action(page, 'Save the changes').click();
  const card = page.getByRole('link', { name: /Curlew/ });
  await expect(card).toContainText('Front: 265/65R17 112T');
  await expect(card).toContainText('Rear: 285/65R17 116T');
});

test('a rig saved in two places at once asks which shall stay', async ({ page, context }) => {
  const path = '/rigs/0192f000-0000-7000-8000-000000000103';
  const other = await context.newPage();
  await page.goto(path);
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Redshank, dune runner');
  await other.goto(path);
  await other.getByLabel('Name', { exact: true }).fill('Redshank, other');
  await action(other, 'Save the changes').click();
  await expect(other.getByRole('link', { name: /Redshank, other/ })).toBeVisible();
  await other.close();

  await page.getByLabel('Name', { exact: true }).fill('Redshank, mine');
  await action(page, 'Save the changes').click();
  await expect(page.getByText('This was saved somewhere else in between.')).toBeVisible();
  await action(page, 'What I entered here').click();
  await expect(page.getByText('This was saved somewhere else in between.')).toHaveCount(0);
  await page.reload();
  await page.goto('/rigs');
  await expect(page.getByRole('link', { name: /Redshank, mine/ })).toBeVisible();
});
