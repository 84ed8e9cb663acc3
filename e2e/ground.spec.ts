import { action, axle, chooseGround, expect, settled, test } from './fixtures';

const CURLEW = '0192f000-0000-7000-8000-000000000101';

test('every ground answers with numbers, reasons and pictures, in every unit', async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=gravel`);
  const grounds = [
    ['Gravel, corrugations', '26'],
    ['Rocky, shaly track', '24'],
    ['Forest, hills, mud on a firm base', '21'],
    ['Snow', '19'],
    ['Packed damp sand', '17'],
    ['Soft sand', '15'],
    ['Very soft or steep sand', '12'],
    ['Pavement', '36'],
  ] as const;
  for (const [name, front] of grounds) {
    await chooseGround(page, name);
    await expect(axle(page, 'Front')).toContainText(`${front}psi`);
    await expect(page.getByRole('img', { name: new RegExp(`Staff\\. Front ${front} psi`) })).toBeVisible();
    await expect(page.getByRole('img', { name: /^Contact print\. Front: / })).toBeVisible();
  }
  await chooseGround(page, 'Soft sand');
  await page.getByRole('radio', { name: 'bar', exact: true }).click();
  await expect(axle(page, 'Front')).toContainText('1.05bar');
  await page.getByRole('radio', { name: 'kPa', exact: true }).click();
  await expect(axle(page, 'Front')).toContainText('105kPa');
  await expect(page.getByText(/On the ground/).first()).toBeVisible();
  await page.reload();
  await expect(page).toHaveURL(/ground=softSand/);
  await expect(axle(page, 'Front')).toContainText('105kPa');
});

test('the working shows each step with the values put in and where it is from', async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await action(page, 'Working, front axle').click();
  const steps = page.getByRole('main').getByRole('listitem');
  await expect(steps.filter({ hasText: 'Pressure that gives this stiffness' })).toContainText(
    'p = (Kz − 3.45·c) / (0.00028·√((1.03 − 0.004·AR)·SN·OD))',
  );
  await expect(steps.filter({ hasText: 'Pressure that gives this stiffness' })).toContainText('Published: Rhyne');
  await expect(steps.filter({ hasText: 'Contact length' })).toContainText('k = 0.680, chord =');
  await expect(steps.filter({ hasText: 'Contact length' })).toContainText('Our assumption');
  await expect(steps.filter({ hasText: 'The flat it makes' })).toContainText('Exact');
});

test('below the floor only after saying so, with the dangers in view', async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=stuck`);
  await expect(axle(page, 'Front')).toContainText('12psi');
  await expect(page.getByRole('list', { name: 'Dangers' })).toContainText('letting out air lowers it further');
  await expect(action(page, 'Air is out: keep the pressures')).toHaveCount(0);
  await action(page, 'Stuck, and nothing else helped').click();
  await expect(axle(page, 'Front')).toContainText('7psi');
  await expect(page.getByText('Speed guide: walking pace')).toBeVisible();
  await chooseGround(page, 'Soft sand');
  await chooseGround(page, 'Stuck');
  await expect(axle(page, 'Front')).toContainText('12psi');
});

test('a load that no placard pressure carries gives no number, but what would help', async ({
  page,
  request,
  product,
}) => {
  const url = `${product.address}/api/v1/rigs/${CURLEW}`;
  const { createdAt: _, updatedAt: __, ...rig } = await (await request.get(url)).json();
  rig.axles[1].roadKpa = 180;
  rig.loadCases[0].weighed = [
    { position: 'front', part: 'axle', loadKg: 1140 },
    { position: 'rear', part: 'axle', loadKg: 3200 },
  ];
  expect((await request.put(url, { data: rig })).ok()).toBe(true);
  await page.goto(`/ground?rig=${CURLEW}&ground=gravel`);
  await expect(page.getByText('Rear: no safe pressure. 1600 kg on a wheel')).toBeVisible();
  await expect(axle(page, 'Rear')).toHaveCount(0);
  await action(page, 'Check Curlew, loaded wagon').click();
  await expect(page).toHaveURL(new RegExp(`/rigs/${CURLEW}`));
});

test('the dangers are in view without scrolling, and nothing runs off the side', async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=verySoftSand`);
  const dangers = page.getByRole('list', { name: 'Dangers' }).getByRole('listitem');
  await expect(dangers.first()).toBeInViewport();
  await expect(dangers.filter({ hasText: 'Air back to road pressure before pavement.' })).toBeInViewport();
  for (const path of [
    '/',
    '/rigs',
    '/rigs/new',
    '/rigs/new?family=tractor',
    `/rigs/${CURLEW}`,
    `/rigs/${CURLEW}/edit`,
    `/rigs/${CURLEW}/card`,
    `/rigs/${CURLEW}/load/new`,
    '/rigs/marking',
    '/rigs/tools',
    '/rigs/files',
    '/ground',
    '/proof',
    '/proof/tape/new',
    '/book',
  ]) {
    await page.goto(path);
    await settled(page);
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(overflow, path).toBeLessThanOrEqual(0);
  }
});

test('schools stand side by side, one is held for the rig, and the plan and its working follow', async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  const schools = page.getByRole('radiogroup', { name: 'The school to hold' });
  await expect(schools.getByRole('radio', { name: /Equal deflection/ })).toBeChecked();
  await expect(schools.getByRole('radio', { name: /Equal deflection/ })).toContainText('15 / 20 psi');
  await expect(schools.getByRole('radio', { name: /The fixed table/ })).toContainText('16 / 16 psi');
  await schools.getByRole('radio', { name: /The fixed table/ }).click();
  await expect(axle(page, 'Rear')).toContainText('16psi');
  await expect(page.getByText('goes by the fixed table.')).toBeVisible();
  await action(page, 'Working, rear axle').click();
  await expect(
    page.getByRole('main').getByRole('listitem').filter({ hasText: 'same number for every rig' }),
  ).toContainText('Common practice, no source');
  await page.reload();
  await expect(axle(page, 'Rear')).toContainText('16psi');
  await schools.getByRole('radio', { name: /Equal deflection/ }).click();
  await expect(axle(page, 'Rear')).toContainText('20psi');
});

test('what the gauge should show on warm tires up high stands beside the cold number', async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await action(page, /^On the gauge now/).click();
  await page.getByLabel('Tires now in °C').fill('400');
  await expect(page.getByText('Expected −40 to 110 °C.')).toBeVisible();
  await page.getByLabel('Tires now in °C').fill('50');
  await expect(page.getByText('front 18 psi, rear 24 psi')).toBeVisible();
  await expect(axle(page, 'Front')).toContainText('15psi');
  await page.reload();
  await expect(page.getByText('front 18 psi, rear 24 psi')).toBeVisible();
  await action(page, /^On the gauge now/).click();
  await action(page, 'Tires are cold again').click();
  await expect(page.getByText('As above, while the tires are cold')).toBeVisible();
});

test('the lowest that is accepted is one of the trade’s floors or one’s own, and a floor above the road is told', async ({
  page,
}) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=verySoftSand`);
  await expect(axle(page, 'Front')).toContainText('floor 12 psi');
  await action(page, /^The lowest you accept/).click();
  await page.getByRole('radio', { name: /Cautious/ }).click();
  await expect(axle(page, 'Front')).toContainText('floor 20 psi');
  await expect(axle(page, 'Front')).toContainText('20psi');
  await page.reload();
  await expect(page.getByText('20 psi: cautious')).toBeVisible();
  await action(page, /^The lowest you accept/).click();
  await page.getByLabel('Your own lowest in psi').fill('3');
  await expect(page.getByText('Expected 6 psi to 58 psi.')).toBeVisible();
  await page.getByLabel('Your own lowest in psi').fill('40');
  await action(page, 'Hold my own').click();
  await expect(page.getByText('is above the road pressure of 36 psi, so there is nothing to let out.')).toBeVisible();
  await action(page, /^The lowest you accept/).click();
  await action(page, 'Back to the common one').click();
  await expect(axle(page, 'Front')).toContainText('floor 12 psi');
});
