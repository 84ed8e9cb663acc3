import { readFileSync } from 'node:fs';

import { action, axle, chooseGround, expect, goOn, settled, test, unfold } from './fixtures';

const CURLEW = '0192f000-0000-7000-8000-000000000101';

test('every ground answers with numbers, reasons and pictures, in every unit', { tag: '@wide' }, async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=gravel`);
  const grounds = [
    ['Gravel, corrugations', '27'],
    ['Rocky, shaly track', '25'],
    ['Forest, hills, mud on a firm base', '21'],
    ['Rock, crawled', '18'],
    ['Snow', '20'],
    ['Packed damp sand', '18'],
    ['Soft sand', '16'],
    ['Very soft or steep sand', '12'],
    ['Pavement', '36'],
  ] as const;
  for (const [name, front] of grounds) {
    await chooseGround(page, name);
    await unfold(page, 'Why this number');
    await expect(axle(page, 'Front')).toContainText(`${front}psi`);
    await expect(page.getByRole('img', { name: new RegExp(`Staff\\. Front ${front} psi`) })).toBeVisible();
    await expect(page.getByRole('img', { name: /^Contact print\. Front: / })).toBeVisible();
  }
  await chooseGround(page, 'Soft sand');
  await page.getByRole('radio', { name: 'bar', exact: true }).click();
  await expect(axle(page, 'Front')).toContainText('1.05bar');
  await page.getByRole('radio', { name: 'kPa', exact: true }).click();
  await expect(axle(page, 'Front')).toContainText('105kPa');
  await unfold(page, 'Why this number');
  await expect(page.getByText(/On the ground/).first()).toBeVisible();
  await page.reload();
  await expect(page).toHaveURL(/ground=softSand/);
  await expect(axle(page, 'Front')).toContainText('105kPa');
});

test('the working shows each step with the values put in and where it is from', async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await unfold(page, 'Why this number');
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

test('below the floor only after saying so, one rung at a time, and Today holds the way back up', async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=stuck`);
  await expect(axle(page, 'Front')).toContainText('12psi');
  await expect(page.getByText('Reverse out along your own tracks, gently.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Dangers' })).toContainText('letting out air lowers it further');
  await expect(action(page, 'It’s already set')).toHaveCount(0);
  await action(page, 'Stuck, and nothing else helped').click();
  await expect(axle(page, 'Front')).toContainText('8psi');
  await action(page, 'Tried this: the next step down').click();
  await expect(axle(page, 'Front')).toContainText('6psi');
  await expect(page.getByText('Below this nothing is left to let out.')).toBeVisible();
  await action(page, 'It is let out: keep it, with the way back').click();

  await expect(page.getByText(/^You are at stuck pressure/)).toBeVisible();
  await expect(axle(page, 'Front')).toContainText('16psi');
  await page.reload();
  await expect(page.getByText(/^You are at stuck pressure/)).toBeVisible();
  await action(page, 'Every wheel is back up').click();
  await expect(page.getByText('Back at front 16 psi, rear 19 psi.')).toBeVisible();
  await expect(page.getByText(/Prove it with a tape/)).toBeVisible();
});

test('a load that no placard pressure carries gives no number, but what would help', async ({
  page,
  request,
  product,
}) => {
  const url = `${product.address}/api/v1/rigs/${CURLEW}`;
  const { createdAt: _, updatedAt: __, ...rig } = await (await request.get(url)).json();
  rig.axles[1].roadKpa = 90;
  rig.loadCases[0].weighed = [
    { position: 'front', part: 'axle', loadKg: 1140 },
    { position: 'rear', part: 'axle', loadKg: 1800 },
  ];
  expect((await request.put(url, { data: rig })).ok()).toBe(true);
  await page.goto(`/ground?rig=${CURLEW}&ground=gravel`);
  await expect(page.getByText('Rear axle: no safe pressure. 900 kg on a wheel')).toBeVisible();
  await expect(axle(page, 'Rear')).toHaveCount(0);
  await action(page, 'Correct it on Curlew, loaded wagon').click();
  await expect(page.getByLabel('Rear axle: placard pressure, cold in psi')).toBeFocused();
});

test('the dangers are in view without scrolling, and nothing runs off the side', { tag: '@wide' }, async ({ page }) => {
  // Many pages one after the other.
  test.setTimeout(120_000);
  await page.goto(`/ground?rig=${CURLEW}&ground=verySoftSand`);
  const dangers = page.getByRole('list', { name: 'Dangers' }).getByRole('listitem');
  // Once the buttons stand over the end of the page.
  await action(page, 'It’s already set').waitFor();
  await expect(dangers.first()).toBeInViewport({ ratio: 1 });
  await expect(dangers.filter({ hasText: 'Air back to road pressure before pavement.' })).toBeInViewport({ ratio: 1 });
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
    '/ground?rig=0192f000-0000-7000-8000-000000000110',
    '/ground/what-if',
    '/ground/day',
    '/ground/day?rig=0192f000-0000-7000-8000-000000000110',
    `/rigs/${CURLEW}/pressures`,
    '/proof',
    '/proof/tape/new',
    '/proof/print/new',
    '/proof/chalk/new',
    '/proof/learned',
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
  const schools = page.getByRole('radiogroup', { name: 'Choose by' });
  await unfold(page, 'Why this number');
  await action(page, 'Way of choosing').click();
  await expect(schools.getByRole('radio', { name: /By load, tire and road/ })).toBeChecked();
  await expect(schools.getByRole('radio', { name: /By load and tire/ })).toContainText('15 / 20 psi');
  await expect(schools.getByRole('radio', { name: /One table for every rig/ })).toContainText('16 / 16 psi');
  await schools.getByRole('radio', { name: /One table for every rig/ }).click();
  await expect(axle(page, 'Rear')).toContainText('16psi');
  await expect(page.getByText(/: One table for every rig\./)).toBeVisible();
  await action(page, 'Working, rear axle').click();
  await expect(
    page.getByRole('main').getByRole('listitem').filter({ hasText: 'same number for every rig' }),
  ).toContainText('Common practice, no source');
  await page.reload();
  await expect(axle(page, 'Rear')).toContainText('16psi');
  await unfold(page, 'Why this number');
  await action(page, 'Way of choosing').click();
  await schools.getByRole('radio', { name: /By load, tire and road/ }).click();
  await expect(axle(page, 'Rear')).toContainText('19psi');
});

test('what the gauge should show on warm tires up high stands beside the cold number', async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await unfold(page, 'Why this number');
  await action(page, /^On the gauge now/).click();
  await page.getByLabel('Tires now in °C').fill('400');
  await expect(page.getByText('Expected −40 to 110 °C.')).toBeVisible();
  await page.getByLabel('Tires now in °C').fill('50');
  await expect(page.getByText('front 19 psi, rear 22 psi')).toBeVisible();
  await expect(axle(page, 'Front')).toContainText('16psi');
  await page.reload();
  await unfold(page, 'Why this number');
  await expect(page.getByText('front 19 psi, rear 22 psi')).toBeVisible();
  await action(page, /^On the gauge now/).click();
  await action(page, 'Tires are cold again').click();
  await expect(page.getByText('As above, while the tires are cold')).toBeVisible();
});

test('the lowest that is accepted is one of the trade’s floors or one’s own, and a floor above the road is told', async ({
  page,
}) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=verySoftSand`);
  await expect(axle(page, 'Front')).toContainText('not below 12 psi');
  await unfold(page, 'Why this number');
  await action(page, /^The lowest you accept/).click();
  await page.getByRole('radio', { name: /Cautious/ }).click();
  await expect(axle(page, 'Front')).toContainText('not below 20 psi');
  await expect(axle(page, 'Front')).toContainText('20psi');
  await page.reload();
  await unfold(page, 'Why this number');
  await expect(page.getByText('20 psi: cautious')).toBeVisible();
  await action(page, /^The lowest you accept/).click();
  await page.getByLabel('Your own lowest in psi').fill('3');
  await expect(page.getByText('Expected 6 psi to 58 psi.')).toBeVisible();
  await page.getByLabel('Your own lowest in psi').fill('40');
  await action(page, 'Hold my own').click();
  await expect(page.getByText('is above the road pressure of 36 psi, so there is nothing to let out.')).toBeVisible();
  await action(page, /^The lowest you accept/).click();
  await action(page, 'Back to the common one').click();
  await expect(axle(page, 'Front')).toContainText('not below 12 psi');
});

const DUNLIN = '0192f000-0000-7000-8000-000000000104';
const SNIPE = '0192f000-0000-7000-8000-000000000106';
const SANDERLING = '0192f000-0000-7000-8000-000000000107';
const KNOT = '0192f000-0000-7000-8000-000000000109';
const LAPWING = '0192f000-0000-7000-8000-000000000110';

test('a rig of every kind has its own grounds, schools and limits', async ({ page }) => {
  const school = (name: RegExp) => page.getByRole('radiogroup', { name: 'Choose by' }).getByRole('radio', { name });
  const ways = async (): Promise<void> => {
    await unfold(page, 'Why this number');
    await action(page, 'Way of choosing').click();
  };
  await page.goto(`/ground?rig=${KNOT}&ground=rock`);
  await ways();
  await expect(page.getByText(/The floor: below it the rim is struck/).first()).toBeVisible();
  await expect(page.getByText('Judge by the worst hit of the ride')).toBeVisible();
  await expect(school(/The trade’s starts/)).toBeChecked();
  await expect(school(/The sidewall’s middle/)).toContainText('needs the lowest and highest on the sidewall');
  await expect(school(/A fifth of your weight/)).toContainText('psi');

  await page.goto(`/ground?rig=${DUNLIN}&ground=plowing`);
  await ways();
  await expect(school(/The sidewall rules/)).toBeChecked();
  await expect(page.getByText('The plow’s weight is on the front')).toBeVisible();

  await page.goto(`/ground?rig=${SNIPE}&ground=mud`);
  await ways();
  await expect(school(/The class table/)).toBeChecked();
  await expect(school(/The maker’s figure/)).toContainText('psi');

  await page.goto(`/ground?rig=${LAPWING}&ground=fieldMoist`);
  await unfold(page, 'Why this number');
  await expect(page.getByText(/below it the tire does not carry this load at this speed/).first()).toBeVisible();
  await expect(page.getByText('Most of the damage to soil is done in the first pass')).toBeVisible();

  await page.goto(`/ground?rig=${SANDERLING}`);
  await expect(page.getByRole('img', { name: /^Staff\. Front [\d.]+ psi/ })).toBeVisible();
  await expect(page.getByText('Ground', { exact: true }).first()).toBeVisible();
});

test('what is said of the day is counted in, survives a reload, and a speed that cannot be is told', async ({
  page,
}) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=verySoftSand`);
  await action(page, /^The day/).click();
  await page.getByRole('switch', { name: 'Hot day' }).click();
  await unfold(page, 'Why this number');
  await expect(page.getByText('Counted in: hot day.')).toBeVisible();
  await expect(page.getByText('Speed: 15 km/h', { exact: false })).toBeVisible();
  await page.getByLabel('Speed needed in km/h').fill('900');
  await expect(page.getByText('Expected 1 to 300 km/h, or nothing.')).toBeVisible();
  await page.getByLabel('Speed needed in km/h').fill('60');
  await expect(page.getByRole('list', { name: 'Dangers' })).toContainText(
    'Faster than the 20 km/h that people drive on this ground',
  );
  await page.getByLabel('Speed needed in km/h').fill('250');
  await expect(page.getByRole('alert')).toContainText('made for 190 km/h at the most');
  await action(page, 'Go by the guide of the ground').click();
  await unfold(page, 'Why this number');
  await expect(page.getByText('Counted in: hot day.')).toBeVisible();
  await page.reload();
  await expect(action(page, /^The day Hot day/)).toBeVisible();
});

test('what is said of the day stays with the outing, so that Today says the same', async ({ page }) => {
  await page.goto('/ground');
  await action(page, /^The day/).click();
  await page.getByRole('switch', { name: 'Hot day' }).click();
  await expect(axle(page, 'Rear')).toContainText('18psi');
  await page.goto('/');
  await expect(axle(page, 'Rear')).toContainText('18psi');
});

test(
  'the staff is dragged, everything follows, and two settings stand side by side',
  { tag: '@wide' },
  async ({ page }) => {
    await page.goto(`/ground/what-if?rig=${CURLEW}&ground=softSand`);
    const staff = page.getByRole('slider', { name: 'Front, pressure to try' });
    await expect(staff).toHaveAttribute('aria-valuetext', /16.psi/);
    await expect(page.getByText('Inside every limit.')).toBeVisible();
    await action(page, 'Keep this beside it').click();
    const box = (await staff.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.6);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.8, { steps: 5 });
    await page.mouse.up();
    await expect(page.getByRole('alert')).toContainText('Past bead');
    // What is said beside it is of the plan, and says so.
    await expect(page.getByText('At the plan’s 16\u00a0psi; lower, go by Fastest here.')).toBeVisible();
    const table = page.getByRole('table', { name: 'What the tire does' });
    await expect(table.getByRole('columnheader', { name: 'Beside' })).toBeVisible();
    await expect(table.getByRole('row', { name: /Pressure, cold/ })).toContainText('16 psi');
    await expect(page.getByRole('img', { name: /The wheel from the side.*held/ })).toBeVisible();
    await staff.focus();
    await page.keyboard.press('PageUp');
    await page.keyboard.press('PageUp');
    await expect(page.getByText('Inside every limit.')).toBeVisible();
    await action(page, 'Back to the ground').click();
    await expect(page).toHaveURL(/\/ground\?.*ground=softSand/);
  },
);

test('how sure it is comes from draws in a worker, by the gauge that is chosen', async ({ page }) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await unfold(page, 'Why this number');
  await action(page, 'How sure is that?').click();
  const front = page.getByRole('group', { name: 'How sure, front' });
  await expect(front).toContainText(/Likely 15–17\spsi in the tire\./);
  await expect(front).toContainText(/The floor is not crossed in \d+ of 100\./);
  await page.getByRole('radio', { name: 'Long stick' }).click();
  await expect(front).toContainText(/Likely 1[0-2]–(1[89]|20)\spsi in the tire\./);
});

test('the pressure card has every ground on one page, as PDF and as text', { tag: '@wide' }, async ({ page }) => {
  await page.goto(`/rigs/${CURLEW}/pressures`);
  const row = (name: RegExp) => page.getByRole('row', { name });
  await expect(row(/^Soft sand/)).toContainText(/16 \(15–16\) ≥\s12/);
  await page.getByRole('radio', { name: 'Empty, driver only' }).click();
  await expect(page.getByText(/loaded: Empty, driver only/)).toBeVisible();
  const [pdf] = await Promise.all([page.waitForEvent('download'), action(page, 'PDF').click()]);
  expect(pdf.suggestedFilename()).toBe('Curlew-loaded-wagon-pressures.pdf');
  const [text] = await Promise.all([page.waitForEvent('download'), action(page, 'Text').click()]);
  expect(readFileSync(await text.path(), 'utf8')).toMatch(/Pavement +36 +/);
});

test(
  'a wet field: how deep the spreader presses, what helps the most, and what waiting spares',
  { tag: '@wide' },
  async ({ page }) => {
    await page.goto(`/ground?rig=0192f000-0000-7000-8000-000000000110&ground=fieldMoist`);
    await goOn(page, 'How deep it presses, and what helps');
    await expect(page.getByRole('heading', { name: 'How deep it presses' })).toBeVisible();
    const bulb = page.getByRole('img', { name: /^Soil that gives way below the tire: / });
    const before = await bulb.getAttribute('aria-label');
    await expect(page.getByText(/^1\. /)).toBeVisible();
    await expect(page.getByText(/too much for moist subsoil/)).toBeVisible();

    // Lighter and softer: less gives way. Then as it stands again.
    await page.getByRole('slider', { name: 'Load on the tire' }).fill('0.4');
    await expect(page.getByText(/too much for moist subsoil/)).toHaveCount(0);
    const chances = (text: string | null): number[] =>
      [...text!.matchAll(/ (\d+)\s%/g)].map(([, share]) => Number(share));
    const lighter = chances(await bulb.getAttribute('aria-label'));
    chances(before).forEach((chance, index) => expect(lighter[index]!).toBeLessThanOrEqual(chance));
    await action(page, 'As it stands').click();
    await expect(bulb).toHaveAttribute('aria-label', before!);

    // Below what the tire may have under this load it is said.
    await page.getByRole('slider', { name: 'Pressure' }).fill('40');
    await expect(page.getByText(/the tire and its limits allow \d+\spsi at the least/)).toBeVisible();
    await action(page, 'As it stands').click();

    // Dry weeks, and clay: kept for the next machine on this device.
    await page.getByRole('slider', { name: 'Since rain' }).fill('12');
    await action(page, /^Soil Loam/).click();
    await page.getByRole('radio', { name: 'Clay', exact: true }).click();
    await page.reload();
    await expect(action(page, /^Soil Clay/)).toBeVisible();
    await expect(page.getByText('Since rain: 12 days')).toBeVisible();
  },
);
