import { action, expect, goTo, test } from './fixtures';

const CURLEW = '/rigs/0192f000-0000-7000-8000-000000000101';
const LAPWING = '/rigs/0192f000-0000-7000-8000-000000000110';

test('a bicycle is asked what a bicycle needs, and weighed on two kitchen scales', async ({ page }) => {
  await page.goto('/rigs/new');
  await action(page, 'Mountain bicycle').click();
  await action(page, 'Enter all of it now').click();
  await expect(page.getByText('Placard')).toHaveCount(0);
  await page.getByLabel('Name', { exact: true }).fill('Stint');
  await page.getByLabel('Tire size, as on the sidewall').fill('29x2.40');
  await expect(page.getByText('Reads: 61 mm wide by its name, 622 mm bead seat (29 in, 28 in, 700C).')).toBeVisible();
  await page.getByLabel('Front wheel: rim width inside in mm').fill('22');
  await page.getByRole('radio', { name: 'Tube', exact: true }).click();
  await action(page, 'Save this rig').click();
  await expect(page.getByText('a tire of 61 mm on a rim of 22 mm inside; 25 to 30 mm suit it').first()).toBeVisible();

  await action(page, 'Enter its load').first().click();
  await page.getByLabel('What this load is called').fill('On the hill');
  await page.getByRole('radio', { name: 'By posture' }).click();
  await page.getByLabel('Rider, dressed in kg').fill('80');
  await page.getByLabel('Bicycle in kg').fill('16');
  await expect(page.getByRole('img', { name: /Front: 36 kg; Rear: 60 kg/ })).toBeVisible();
  await page.getByRole('radio', { name: 'On scales' }).click();
  await page.getByLabel('Front wheel: wheel in kg').fill('20.4+18.6-3');
  await page.getByLabel('Rear wheel: wheel in kg').fill('9000');
  await expect(page.getByText('9000 kg here? Likely is 10 kg to 180 kg. Did you mean 90 kg?')).toBeVisible();
  await action(page, 'Save this load').click();
  await expect(page.getByText('On the hill: 9036 kg on the wheels, weighed.')).toBeVisible();
  await expect(page.getByText('Hardly can be')).toBeVisible();
});

test('a tank is dragged from full to empty and the loads follow, with their working', async ({ page }) => {
  await page.goto(`${LAPWING}/load/0192f000-0000-7000-8000-000000000517`);
  await expect(page.getByRole('img', { name: /Trailer: left 3265 kg, right 3265 kg/ })).toBeVisible();
  const level = page.getByRole('slider', { name: 'Level of tank 2' });
  await level.focus();
  await page.keyboard.press('Home');
  await expect(page.getByRole('img', { name: /Trailer: left 950 kg, right 950 kg/ })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Level of tank 2: 5 %')).toBeVisible();
  await page.keyboard.press('End');
  await action(page, 'Working: what each thing puts on each axle').click();
  const row = page.getByRole('row').filter({ hasText: 'Front weights' });
  await expect(row).toContainText('620 kg');
  await expect(row).toContainText('-170 kg');
  await page.getByLabel('Thing 1: behind the front axle in mm').fill('25000');
  await expect(page.getByText('this load would lift a wheel off the ground').first()).toBeVisible();
});

test('a wheelbase of nothing is asked about, kept, and only what hangs on it waits', async ({ page }) => {
  const dunlin = '/rigs/0192f000-0000-7000-8000-000000000104';
  await page.goto(`${dunlin}/edit`);
  await action(page, /^In it now, where it stands/)
    .nth(1)
    .click();
  await page.getByLabel('Rear axle: behind the front axle in mm').fill('0');
  await expect(page.getByText('0 mm here? Likely is 900 mm to 1800 mm.')).toBeVisible();
  await action(page, 'Save the changes').click();
  await expect(page.getByText('Without the distance between the axles nothing can be worked out.')).toBeVisible();
  await expect(page.getByText('Kept as you typed it. Only what hangs on it waits.')).toBeVisible();
  await expect(page.getByText('Road pressure, cold: 15 psi').first()).toBeVisible();
  await page.reload();
  await page.goto(`${dunlin}/edit`);
  await action(page, /^In it now, where it stands/)
    .nth(1)
    .click();
  await expect(page.getByLabel('Rear axle: behind the front axle in mm')).toHaveValue('0');
});

test('a gauge is held against a trusted one, and what it reads is corrected with the raw reading kept', async ({
  page,
}) => {
  await page.goto('/rigs/gauge/new');
  await page.getByLabel('Name', { exact: true }).fill('Yellow dial');
  await page.getByLabel('Scale to in psi').fill('60');
  await page.getByRole('radio', { name: '1.6' }).click();
  await action(page, 'A comparison').click();
  await page.getByLabel('Comparison 1: this one in psi').fill('38');
  await page.getByLabel('Comparison 1: trusted in psi').fill('36');
  await expect(page.getByText('Reads 2.0 psi too much; compare once more to see how steady.')).toBeVisible();
  await action(page, 'Save this gauge').click();
  await expect(page.getByRole('link', { name: /Yellow dial/ })).toContainText('0 psi to 60 psi, class 1.6');

  await page.goto(`${CURLEW}/edit`);
  await action(page, /^In it now, where it stands/)
    .first()
    .click();
  await page.getByLabel('Front axle: read on the gauge now in psi').fill('37');
  await page.getByRole('radio', { name: 'Yellow dial' }).click();
  await action(page, 'Save the changes').click();
  await expect(page.getByText('In it now: 35 psi (the gauge showed 37 psi)')).toBeVisible();

  await page.goto('/proof/tape/new?rig=0192f000-0000-7000-8000-000000000101');
  await page.getByRole('radio', { name: 'Front left' }).click();
  await action(page, /^Read with/).click();
  await page.getByRole('radio', { name: 'Yellow dial' }).click();
  await expect(
    page.getByText('Type what it shows. The 2.0 psi that it reads too much is allowed for; both are kept.'),
  ).toBeVisible();
  await page.getByLabel('Reading 1: contact length in mm').fill('500');
  await action(page, 'Save this test').click();
  await expect(page.getByText('The test is in the Book.')).toBeVisible();
  await expect(page).not.toHaveURL(/\/proof\/./);
  await goTo(page, 'Proof');
  await expect(page.getByRole('link', { name: /^Tape: / })).toContainText('500 mm at 34 psi');
});

test('a tool is kept', async ({ page }) => {
  await page.goto('/rigs/tool/new');
  await page.getByLabel('Name', { exact: true }).fill('Bottle');
  await page.getByRole('radio', { name: 'CO2 bottle' }).click();
  await expect(page.getByText('CO2 freezes skin')).toBeVisible();
  await action(page, 'Save this tool').click();
  await expect(page.getByRole('link', { name: /Bottle/ })).toContainText('CO2 bottle, one wheel at a time');
});

test('the sidewall reader reads any family and holds two markings against each other', async ({ page }) => {
  await page.goto('/rigs/marking');
  await page.getByLabel('What the sidewall says').fill('27.5x2.25');
  await expect(page.getByRole('heading', { name: '27.5x2.25: a bicycle tire' })).toBeVisible();
  await page.getByLabel('Another, to hold against it (if you like)').fill('57-584');
  await expect(page.getByText('The same size and build, written in two ways.')).toBeVisible();
  await page.getByLabel('What the sidewall says').fill('480/80R50 159A8/B');
  await expect(page.getByText('carries 4375 kg at 40 km/h')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('What the sidewall says')).toHaveValue('480/80R50 159A8/B');
});
