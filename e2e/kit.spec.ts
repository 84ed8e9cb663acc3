import { action, axle, expect, test, unfold } from './fixtures';

const CURLEW = '0192f000-0000-7000-8000-000000000101';
const LAPWING = '0192f000-0000-7000-8000-000000000110';
const SANDERLING = '0192f000-0000-7000-8000-000000000107';
const KPA = 6.894757293;

test('a kerb that shows room lets the rear down; a rim that was struck puts it up, and left out it is as before', async ({
  page,
}) => {
  const floor = /not below ([\d.]+)\spsi/;
  const rearFloor = async (): Promise<number> =>
    Number(floor.exec((await axle(page, 'Rear').innerText()).replaceAll('\u00a0', ' '))![1]);
  await page.goto(`/ground?rig=${SANDERLING}&ground=climb`);
  await unfold(page, 'Why this number');
  await expect(page.getByText(/^Rear: .*the rim is struck/)).toBeVisible();
  const before = await rearFloor();

  const kerb = async (psi: string, seen: string): Promise<void> => {
    await page.goto(`/proof/kerb/new?rig=${SANDERLING}`);
    await expect(page.getByText('Still missing: gauge, edge and rim.')).toBeVisible();
    await page.getByRole('radio', { name: 'Rear' }).click();
    await page.getByLabel('Run 1: gauge in psi').fill(psi);
    await page.getByRole('radio', { name: seen }).click();
    await action(page, 'Save this test').click();
    await expect(page.getByText('The test is in the Book.')).toBeVisible();
  };
  await kerb(String(before - 5), 'Far off');
  await page.goto(`/ground?rig=${SANDERLING}&ground=climb`);
  // One press, one step, however far below it was made.
  await expect.poll(rearFloor).toBe(before - 2);
  await unfold(page, 'Why this number');
  await expect(page.getByText('by what you tried on an edge', { exact: false }).first()).toBeVisible();

  await kerb(String(before + 2), 'Touches');
  await page.goto(`/ground?rig=${SANDERLING}&ground=climb`);
  await expect.poll(rearFloor).toBeGreaterThan(before);
});

test('deflators that stop at 20 are told of against today’s 12, with how to set them', async ({ page }) => {
  await page.goto('/rigs/tool/new');
  await page.getByLabel('Name').fill('Brass four');
  await page.getByRole('radio', { name: /^Preset deflators/ }).click();
  await page.getByLabel('They stop at in psi').fill('20');
  await action(page, /^Valves it fits/).click();
  await page.getByRole('switch', { name: /^Presta/ }).click();
  await action(page, 'Save this tool').click();
  await expect(page.getByText('Brass four is saved.')).toBeVisible();

  // Said on Today, before anybody is at the sand.
  await page.goto('/');
  await expect(page.getByText(/^Front: your deflators stop at 20\spsi, today’s plan is 16\spsi\./)).toBeVisible();
  await expect(page.getByText(/^Brass four needs an adapter: front and rear have Schrader valves/)).toBeVisible();

  await page.goto(`/air/out?rig=${CURLEW}&ground=verySoftSand`);
  await action(page, /^With/).click();
  await page.getByRole('radio', { name: /^Brass four/ }).click();
  await expect(
    page.getByText(/^Front: your deflators stop at 20\spsi, today’s plan is 12\spsi\. Set them, or let the rest out/),
  ).toBeVisible();
  await expect(page.getByText(/^Brass four needs an adapter: front and rear have Schrader valves/)).toBeVisible();
  await action(page, 'Set preset deflators to another pressure').click();
  await expect(page.getByText(/Ring down, then screw the body fully in/)).toBeVisible();
});

test('pumps are compared before going: a wagon home from the sand, a bicycle up to the ground’s number', async ({
  page,
}) => {
  await page.goto(`/air/tools?rig=${CURLEW}&ground=softSand`);
  await page.getByRole('radio', { name: 'Getting home' }).click();
  await expect(page.getByText(/16\spsi → 36\spsi, 19\spsi → 42\spsi/)).toBeVisible();
  await expect(page.getByText(/It runs out at .*: \d+\sL short\./)).toBeVisible();
  await expect(page.getByText('Bicycle hand pump')).toHaveCount(0);

  await page.goto(`/air/tools?rig=${SANDERLING}&ground=brokenPavement`);
  await expect(page.getByText(/to ride on broken pavement/)).toBeVisible();
  await expect(page.getByText('Track pump')).toBeVisible();
  await expect(page.getByText('Hoses on a manifold')).toHaveCount(0);
});

test(
  'two setups side by side are kept in the Book, and opened again as they were',
  { tag: '@wide' },
  async ({ page }) => {
    await page.goto(`/ground/compare/new?rig=${CURLEW}&ground=softSand`);
    await page.getByLabel('Second: another tire').fill('35x12.50R17LT');
    await expect(page.getByText(/^The second against the first: footprint \+\d+\s%/)).toBeVisible();
    await page.getByLabel('Second: pressure in psi').fill('6');
    await expect(page.getByText(/^Second: Past \d+\spsi: below it/)).toBeVisible();
    await page.getByLabel('Second: pressure in psi').fill('14');
    await action(page, /^How it sinks/).click();
    await page.getByRole('radio', { name: 'Dry sand' }).click();
    await expect(page.getByRole('row', { name: /^Climbs there/ })).toBeVisible();
    // A tire of another kind than the rig's, half typed: nothing is lost, and it says what it waits for.
    await page.getByLabel('Second: another tire').fill('35x12.5');
    await page.getByLabel('Second: another tire').fill('35x12.50R17LT');
    const area = await page.getByRole('row', { name: /^Footprint area/ }).innerText();
    await page.getByLabel('Keep it in the Book as').fill('Wide for the bar');
    await action(page, 'Keep this comparison').click();
    await expect(page.getByText('Wide for the bar is in the Book.')).toBeVisible();
    await page.getByRole('link', { name: /^Wide for the bar/ }).click();
    await expect.poll(() => page.getByRole('row', { name: /^Footprint area/ }).innerText()).toBe(area);
  },
);

test('a machine’s wall sheet goes out as a table, and central inflation by the load of each leg', async ({ page }) => {
  await page.goto('/rigs/wall');
  await expect(page.getByText('Pressures by machine and ground')).toBeVisible();
  await expect(page.getByText(/^Lapwing, tractor and lime spreader: Spreader full/)).toBeVisible();
  const [csv] = await Promise.all([page.waitForEvent('download'), action(page, 'Table (CSV)').click()]);
  expect(csv.suggestedFilename()).toBe('pressures-by-machine.csv');

  await page.goto(`/air/central?rig=${LAPWING}&ground=fieldMoist`);
  await expect(page.getByText('Out, in the field, and home')).toBeVisible();
  await page.getByRole('radio', { name: 'Spreader empty, road home' }).nth(1).click();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'Spreader empty, road home' }).nth(1)).toBeChecked();
});

test('a number written down in feet is meters in the row', async ({ page, request, product }) => {
  await page.goto(`/proof/rollOut/new?rig=${SANDERLING}`);
  await page.goto('/rigs');
  await action(page, /^Units/).click();
  await page.getByRole('radio', { name: 'lb' }).click();
  await page.goto(`/proof/rollOut/new?rig=${SANDERLING}`);
  await page.getByRole('radio', { name: 'Smooth' }).click();
  await page.getByLabel('Run 1: gauge in psi').fill('30');
  await page.getByLabel('Run 1: distance in ft').fill('100');
  await action(page, 'Save this test').click();
  await expect
    .poll(async () => {
      const { items } = await (await request.get(`${product.address}/api/v1/tests?rigId=${SANDERLING}`)).json();
      const test = items.find(({ kind }: { kind: string }) => kind === 'rollOut');
      return (
        test &&
        [test.details.runs[0].distanceM, test.details.runs[0].pressureKpa / KPA].map((each) => Number(each.toFixed(3)))
      );
    })
    .toEqual([30.48, 30]);

  // What was measured is taken into a trial as it is, once.
  await page.goto(`/proof/bracket/new?rig=${SANDERLING}`);
  await action(page, /^Runs that are measured already/).click();
  await action(page, /^Take in: Roll-out/).click();
  await expect(page.getByText(/^1: 30\spsi, 30\.48/)).toBeVisible();
  await expect(action(page, /^Take in: Roll-out/)).toHaveCount(0);
});
