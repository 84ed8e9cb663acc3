import type { Page } from '@playwright/test';

import { action, expect, goTo, test, unfold } from './fixtures';
import { photoOfPrint, type TakenPhoto } from './photoOfPrint';

const CURLEW = '0192f000-0000-7000-8000-000000000101';
const KNOT = '0192f000-0000-7000-8000-000000000109';
const LAPWING = '0192f000-0000-7000-8000-000000000110';

/** Opens a test from the list of Proof. */
async function begin(page: Page, name: string): Promise<void> {
  await goTo(page, 'Proof');
  await page.getByRole('link', { name: new RegExp(`^${name} `) }).click();
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

const pick = (page: Page, group: string, option: string, nth = 0): Promise<void> =>
  page
    .getByRole('radiogroup', { name: group, exact: true })
    .nth(nth)
    .getByRole('radio', { name: option, exact: true })
    .click();

const type = (page: Page, label: string, value: string): Promise<void> =>
  page.getByRole('textbox', { name: label, exact: true }).fill(value);

async function saved(page: Page): Promise<void> {
  await action(page, 'Save this test').click();
  await arrived(page);
}

/** It is said, and the screen after it is there: nothing is tapped before that. */
async function arrived(page: Page): Promise<void> {
  await expect(page.getByText('The test is in the Book.')).toBeVisible();
  await expect(page).not.toHaveURL(/\/proof\/./);
}

/** Ends what is under way, and begins an outing with another rig, set and on its way. */
async function outingWith(address: string, rigId: string, groundCode: string): Promise<void> {
  const api = `${address}/api/v1/outings`;
  const put = async (body: { id: string }): Promise<void> => {
    const answer = await fetch(`${api}/${body.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(await answer.text());
  };
  const { items } = (await (await fetch(api)).json()) as { items: Record<string, unknown>[] };
  for (const { createdAt: _, updatedAt: __, rigName: ___, ...open } of items.filter(
    ({ state }) => state !== 'closed',
  )) {
    await put({ ...open, state: 'closed' } as never);
  }
  const id = '0192f000-0000-7000-8000-0000000002f1';
  const pressures = [{ position: 'front', pressureKpa: 165 }];
  const common = { loadCaseId: null, modifiers: [], speedKmh: null, stuckRung: 0, decision: null };
  await put({
    ...common,
    id,
    revision: 0,
    rigId,
    groundCode,
    title: 'Proof round',
    startedAt: new Date().toISOString(),
    state: 'lowered',
    pressures,
  } as never);
}

/** Everything that was tested on the outing under way stands in the Book. */
async function inTheBook(page: Page, title: RegExp, lines: readonly RegExp[]): Promise<void> {
  await goTo(page, 'Book');
  await page.getByRole('link', { name: title }).click();
  await expect(page.getByRole('heading', { name: 'Tests' })).toBeVisible();
  for (const line of lines) await expect(page.getByRole('link', { name: line })).toBeVisible();
}

async function measurePhoto(page: Page, { jpeg, corners }: TakenPhoto): Promise<void> {
  await page.locator('input[type=file]').setInputFiles({ name: 'print.jpg', mimeType: 'image/jpeg', buffer: jpeg });
  await pick(page, 'Size of the sheet', 'A3');
  const photo = page.getByAltText('The photo of the print');
  for (const [index, [x, y]] of corners.entries()) {
    const corner = page.getByRole('button', { name: `Corner ${index + 1}` });
    await corner.scrollIntoViewIfNeeded();
    const [from, box] = [(await corner.boundingBox())!, (await photo.boundingBox())!];
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + x * box.width, box.y + y * box.height, { steps: 3 });
    await page.mouse.up();
  }
  await action(page, 'Find the print').click();
}

test('a photograph of a print changes the plan, and setting it aside changes it back', async ({ page, product }) => {
  const photo = photoOfPrint(256, 190);
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await unfold(page, 'Why this number');
  await expect(page.getByText('Contact is estimated.', { exact: false }).first()).toBeVisible();
  await begin(page, 'Print');

  // What is no photo, and one with nothing marked in it, say so.
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'print.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('hello') });
  await expect(page.getByText('no photo that can be read', { exact: false })).toBeVisible();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'print.jpg', mimeType: 'image/jpeg', buffer: photo.jpeg });
  await action(page, 'Find the print').click();
  await expect(page.getByText('Nothing in the photo has a known length yet.', { exact: false })).toBeVisible();

  await measurePhoto(page, photo);
  const told = page.getByText(/^\d+\smm long, \d+\smm wide$/);
  await expect(told).toBeVisible();
  const [length, width] = (await told.innerText()).match(/\d+/g)!.map(Number) as [number, number];
  expect(Math.abs(length / photo.lengthMm - 1)).toBeLessThan(0.02);
  expect(Math.abs(width / photo.widthMm - 1)).toBeLessThan(0.02);
  await action(page, 'Mend the outline').click();
  await page.getByRole('button', { name: 'Outline 1', exact: true }).press('ArrowUp');
  await action(page, 'Mended').click();
  await action(page, 'Accept this print').click();
  await type(page, 'Print 1: gauge in psi', '16');
  await expect(page.getByText('One print fixes length and width at one pressure', { exact: false })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Print 1: gauge in psi')).toHaveValue('16');
  await saved(page);

  // The photo was kept, small, and says nothing of where it was taken.
  const { items } = (await (await fetch(`${product.address}/api/v1/tests?rigId=${CURLEW}`)).json()) as {
    items: { details: { runs: { photoId: string }[] } }[];
  };
  await expect
    .poll(async () => (await fetch(`${product.address}/api/v1/photos/${items[0]!.details.runs[0]!.photoId}`)).status)
    .toBe(200);
  const kept = Buffer.from(
    await (await fetch(`${product.address}/api/v1/photos/${items[0]!.details.runs[0]!.photoId}`)).arrayBuffer(),
  );
  expect(kept.includes(Buffer.from('Exif'))).toBe(false);

  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await unfold(page, 'Why this number');
  await expect(page.getByRole('heading', { name: 'Measured by you' })).toBeVisible();
  await expect(page.getByText(/Print length over chord: assumed 0\.68, yours 0\.7\d/).first()).toBeVisible();
  await expect(page.getByText(/The footprint is \d+\smm longer than assumed\./).first()).toBeVisible();
  await action(page, 'See every reading').click();
  await page.getByRole('switch', { name: /^Print, / }).click();
  await expect(page.getByText('Nothing measured on this tire yet', { exact: false }).first()).toBeVisible();
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await unfold(page, 'Why this number');
  await expect(page.getByText('Contact is estimated.', { exact: false }).first()).toBeVisible();
});

test('a wagon’s tests, each from Today into the Book', async ({ page }) => {
  await page.goto('/');
  await begin(page, 'Chalk line');
  await type(page, 'Line 1: gauge in psi', '36');
  for (const [zone, left] of [
    ['Left edge', 'Still there'],
    ['Left of middle', 'Still there'],
    ['Middle', 'Gone'],
    ['Right of middle', 'Still there'],
    ['Right edge', 'Still there'],
  ] as const) {
    await pick(page, zone, left);
  }
  await expect(page.getByText('Too hard', { exact: true })).toBeVisible();
  await saved(page);

  await begin(page, 'Climb');
  await type(page, 'Slope in °', '6');
  await pick(page, 'Soil, for a prediction', 'Dry sand');
  await type(page, 'Attempt 1: gauge in psi', '36');
  await pick(page, 'How far', 'Stopped');
  await expect(page.getByText(/can’t move on the level, does not go up/)).toBeVisible();
  await action(page, 'Another attempt').click();
  await type(page, 'Attempt 2: gauge in psi', '12');
  await pick(page, 'How far', 'Went up', 1);
  await expect(page.getByText('It lies between two pressures you tried.', { exact: false })).toBeVisible();
  await saved(page);

  await begin(page, 'Split');
  await type(page, 'Pull 1: left gauge in psi', '26');
  await type(page, 'Pull 1: right gauge in psi', '16');
  await pick(page, 'Slipped first', 'Left');
  await expect(page.getByText('Change the sides over', { exact: true })).toBeVisible();
  await action(page, 'Another pull').click();
  // Both sides are changed over, and both say that nobody read them.
  await expect(page.getByLabel('Pull 2: left gauge in psi')).toHaveValue('16');
  await expect(page.getByLabel('Pull 2: right gauge in psi')).toHaveValue('26');
  await expect(page.getByText(/^Filled in, read by nobody yet/)).toHaveCount(2);
  await saved(page);

  await begin(page, 'Obstacle roll');
  await type(page, 'Run 1: gauge in psi', '18');
  await pick(page, 'Tread', 'Wraps');
  await pick(page, 'Sidewall', 'Clear');
  await pick(page, 'Rim', 'Touches');
  await expect(page.getByText('The rim is next to be bent.', { exact: false })).toBeVisible();
  await saved(page);

  await begin(page, 'Standing height');
  await type(page, 'Rim edge, just touching in mm', '300');
  await type(page, 'Run 1: gauge in psi', '36');
  // Nothing is half-saved, and what is missing stands beside its field.
  await type(page, 'Run 1: rim edge, loaded in mm', 'low');
  await action(page, 'Save this test').click();
  await expect(page.getByRole('alert').filter({ hasText: 'Expected a number' })).toBeVisible();
  await type(page, 'Run 1: rim edge, loaded in mm', '286');
  await expect(page.getByText(/of what was predicted/)).toBeVisible();
  await saved(page);

  await begin(page, 'Feel');
  await type(page, 'Run 1: gauge in psi', '36');
  await pick(page, 'What it does', 'Harsh, pings off');
  await saved(page);
  await inTheBook(page, /Samphire Flat/, [
    /^Chalk line: too hard/,
    /^Climb: between/,
    /^Split: change/,
    /^Obstacle roll: the rim/,
    /^Standing height: /,
    /^Feel: harsh/,
  ]);
});

test('a bicycle’s tests: the coach blind to its end, and the rest into the Book', async ({ page, product }) => {
  await outingWith(product.address, KNOT, 'roots');
  await page.goto('/');
  await begin(page, 'Kerb and thumb');
  await type(page, 'Run 1: gauge in psi', '24');
  await pick(page, 'Edge and rim', 'Touches');
  await expect(page.getByText('The next stone pinches it.', { exact: false })).toBeVisible();
  await saved(page);

  await begin(page, 'Turn and square hit');
  await type(page, 'Run 1: gauge in psi', '24');
  await pick(page, 'In the turn', 'Holds');
  await pick(page, 'Over roots', 'Takes them');
  await type(page, 'Run 1: rim strikes', '2');
  await type(page, 'Run 1: burps', '0');
  await expect(page.getByText('Up at once', { exact: false })).toBeVisible();
  await saved(page);

  await begin(page, 'Roll-out');
  await pick(page, 'Ground', 'Smooth');
  for (const [index, [psi, m]] of (
    [
      ['28', '41'],
      ['28', '41.4'],
      ['28', '41.2'],
      ['22', '38'],
      ['22', '37.8'],
      ['22', '38.1'],
    ] as const
  ).entries()) {
    if (index > 0) await action(page, 'Another run').click();
    await type(page, `Run ${index + 1}: gauge in psi`, psi);
    await type(page, `Run ${index + 1}: distance in m`, m);
  }
  await expect(page.getByText(/rolls farthest/)).toBeVisible();
  await saved(page);

  await begin(page, 'Shake');
  await type(page, 'Filled to in mm', '200');
  await type(page, 'Run 1: gauge in psi', '22');
  await type(page, 'Run 1: left in mm', '150');
  await saved(page);

  await begin(page, 'Bracket');
  await action(page, /^How it is compared/).click();
  await pick(page, 'Compared by', 'A number, more is better');
  await pick(page, 'Who sees the pressure', 'Blind: a helper sets it');
  const start = Number(await page.getByRole('textbox', { name: 'Start from in psi' }).inputValue());
  await expect(page.getByText(/^\d+(\.\d)?\spsi$/)).toHaveCount(0);
  for (let run = 0; run < 14 && (await action(page, 'Keep this run').count()) > 0; run += 1) {
    await action(page, 'Helper: show the pressure').click();
    const psi = Number.parseFloat(await page.getByText(/^\d+(\.\d)?\spsi$/).innerText());
    await action(page, 'Set. Hide the number').click();
    await type(page, 'Measured', String(60 - (psi - start + 2) ** 2));
    await action(page, 'Keep this run').click();
  }
  await expect(page.getByText('Found', { exact: true }).or(page.getByText('Ended', { exact: true }))).toBeVisible();
  await expect(page.getByRole('img', { name: /^Trial strip/ })).toBeVisible();
  await action(page, 'Save this trial').click();
  await arrived(page);
  await inTheBook(page, /Proof round/, [
    /^Kerb and thumb: touches/,
    /^Turn and square hit: a rim strike/,
    /^Roll-out: one does better/,
    /^Shake: one pressure/,
    /^Bracket: /,
  ]);
  // Next time begins with what the trial found.
  await expect(page.getByRole('heading', { name: /^Next time/ })).toBeVisible();
  await expect(page.getByText('Found by a trial', { exact: false }).first()).toBeVisible();
});

test('a field’s tests: ruts, the cone by probe and table, two rings with their clocks, into the Book', async ({
  page,
  product,
}) => {
  await outingWith(product.address, LAPWING, 'fieldMoist');
  await page.goto('/');
  await begin(page, 'Rut and lugs');
  await type(page, 'Place 1: gauge in psi', '23');
  await type(page, 'Place 1: rut depth in mm', '80');
  await saved(page);

  await begin(page, 'Cone by depth');
  await type(page, 'Track A was driven at in psi', '23');
  await type(page, 'Track B was driven at in psi', '10');
  await action(page, 'Push the simulated probe in').click();
  await expect(page.getByText('Track B is looser', { exact: true })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Cone against depth' })).toBeVisible();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'cone.csv', mimeType: 'text/csv', buffer: Buffer.from('track,depth_mm\nA,10\n') });
  await expect(page.getByText('Expected the columns track, depth_mm and cone_kpa', { exact: false })).toBeVisible();
  await saved(page);

  await begin(page, 'Ring infiltration');
  await type(page, 'Track A was driven at in psi', '23');
  await type(page, 'Track B was driven at in psi', '10');
  await type(page, 'Water poured in mL', '437');
  await action(page, 'Poured: start both clocks').click();
  await page.waitForTimeout(2_200);
  await action(page, 'Look at A now').click();
  await action(page, 'Look at B now').click();
  await expect(page.getByRole('textbox', { name: 'Look 2: after in s' })).not.toHaveValue('0');
  await type(page, 'Look 2: after in s', '600');
  await type(page, 'Look 2: left in mm', '22');
  await type(page, 'Look 3: after in s', '600');
  await type(page, 'Look 3: left in mm', '13');
  await expect(page.getByText(/Track B takes in 4\.0 times as much/)).toBeVisible();
  await saved(page);
  await inTheBook(page, /Proof round/, [
    /^Rut and lugs: /,
    /^Cone by depth: track B is looser/,
    /^Ring infiltration: track B takes more/,
  ]);
});

test('readings that contradict each other are named, other tires begin anew, and the old keep their date', async ({
  page,
}) => {
  for (const [first, second] of [
    ['190', '190'],
    ['250', '192'],
  ] as const) {
    await page.goto(`/proof/print/new?rig=${CURLEW}`);
    await pick(page, 'The first print', 'Ruler');
    await action(page, 'Type length and width').click();
    await type(page, 'Print 1: gauge in psi', '26');
    await type(page, 'Print 1: length in mm', first);
    await type(page, 'Print 1: width in mm', second);
    await saved(page);
  }
  await page.goto(`/proof/learned?rig=${CURLEW}`);
  await expect(page.getByText(/These contradict each other: .*250\smm/).first()).toBeVisible();
  await action(page, 'Other tires or rims are on: begin anew').first().click();
  await expect(page.getByText('Begun anew.', { exact: false })).toBeVisible();
  await expect(page.getByText('Nothing measured on this tire yet', { exact: false })).toHaveCount(1);
  await expect(page.getByText(/^These tires since/)).toBeVisible();
});
