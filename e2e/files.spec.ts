import { readFileSync } from 'node:fs';
import { PDFDocument } from 'pdf-lib';

import { action, expect, test } from './fixtures';

const CURLEW = '/rigs/0192f000-0000-7000-8000-000000000101';
const file = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text, 'utf8') });

test('one rig goes out as a file and comes back in, shown row by row first', async ({ page }) => {
  await page.goto(CURLEW);
  const [download] = await Promise.all([page.waitForEvent('download'), action(page, 'Save it as a file').click()]);
  expect(download.suggestedFilename()).toBe('Curlew-loaded-wagon.json');
  const saved = JSON.parse(readFileSync(await download.path(), 'utf8'));
  expect(saved).toMatchObject({ format: 'dunlinmoss', version: 3, rigs: [{ name: 'Curlew, loaded wagon' }] });

  await page.goto('/rigs/files');
  const input = page.locator('input[type=file]');
  await input.setInputFiles(file('curlew.json', JSON.stringify(saved)));
  await expect(page.getByText('Rig “Curlew, loaded wagon”: here already, the same')).toBeVisible();
  const copy = { ...saved.rigs[0], id: '0192f000-0000-7000-8000-0000000000c1', name: 'Godwit' };
  const changed = { ...saved.rigs[0], name: 'Curlew, otherwise' };
  await input.setInputFiles(file('two.json', JSON.stringify({ ...saved, rigs: [copy, changed] })));
  await expect(page.getByText('Rig “Godwit”: new, is added')).toBeVisible();
  await expect(page.getByText('Rig “Curlew, otherwise”: here already and different, yours stays')).toBeVisible();
  await action(page, 'Add it').click();
  await expect(page.getByRole('link', { name: /Godwit/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /otherwise/ })).toHaveCount(0);
});

test('everything goes out as one archive and comes back after a rig was deleted for good', async ({ page }) => {
  await page.goto('/rigs/files');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    action(page, 'Everything, photos and logs too (.zip)').click(),
  ]);
  expect(download.suggestedFilename()).toBe('dunlinmoss.zip');
  const archive = { name: 'all.zip', mimeType: 'application/zip', buffer: readFileSync(await download.path()) };

  await page.goto(CURLEW);
  await action(page, 'Archive it').click();
  await page.goto('/rigs/archived');
  await action(page, /^Delete Curlew.* for good$/).click();
  await expect(page.getByRole('alert')).toContainText('all that was done with it');
  await action(page, /^Delete Curlew.* and all of it$/).click();
  await expect(page.getByText(/is deleted\./)).toBeVisible();

  await page.goto('/rigs/files');
  const input = page.locator('input[type=file]');
  await input.setInputFiles({ ...archive, name: 'broken.zip', buffer: archive.buffer.subarray(0, 900) });
  await action(page, 'Take it in').click();
  await expect(page.getByRole('alert')).toContainText('This is no archive that this application saved');
  await input.setInputFiles(archive);
  await action(page, 'Take it in').click();
  await expect(page.getByText(/^Added: 1 rig, /)).toBeVisible();
  await page.goto('/rigs');
  await expect(page.getByRole('link', { name: /Curlew/ })).toBeVisible();
});

test('what is no file of ours is explained, and nothing is half taken in', async ({ page }) => {
  await page.goto('/rigs/files');
  const input = page.locator('input[type=file]');
  await input.setInputFiles(file('broken.json', '{ "format": '));
  await expect(page.getByRole('alert')).toContainText('This file is not readable.');
  await input.setInputFiles(file('other.json', JSON.stringify({ format: 'dunlinmoss', version: 9 })));
  await expect(page.getByRole('alert')).toContainText('Nothing was taken in: version');
  await input.setInputFiles(file('table.csv', 'rig,colour\nCurlew,green\n'));
  await expect(page.getByRole('alert')).toContainText('Expected the columns “load case”, “axle”, “load kg”.');
});

test('a table of loads with semicolons and decimal commas is shown line by line, mended, and taken in', async ({
  page,
}) => {
  await page.goto('/rigs/files');
  const input = page.locator('input[type=file]');
  const head = '\ufeffRig;Load case;Axle;Wheel;Load kg\n';
  const good =
    'Curlew, loaded wagon;Tide run;front;left;571,5\nCurlew, loaded wagon;Tide run;front;right;580\nCurlew, loaded wagon;Tide run;rear;axle;1402,5\n';
  await input.setInputFiles(file('loads.csv', `${head}${good}Godwit;Tide run;front;left;600\n`));
  await expect(page.getByText('3 added, 1 refused.')).toBeVisible();
  await expect(page.getByText('Line 5: Godwit, Tide run, front, left: no rig of this name or id here.')).toBeVisible();
  await expect(action(page, /^Take .* in$/)).toHaveCount(0);

  await input.setInputFiles(file('loads.csv', head + good));
  await expect(
    page.getByText('Line 2: Curlew, loaded wagon, Tide run, front, left: 572 kg is added, in a new load case.'),
  ).toBeVisible();
  await action(page, 'Take 3 loads in').click();
  await page.getByRole('link', { name: /Curlew/ }).click();
  await action(page, /^How it is loaded today/).click();
  await page.getByRole('radio', { name: 'Tide run' }).click();
  await expect(page.getByText('Tide run: 2554 kg on the wheels')).toBeVisible();
});

test('a long table is told line by line, and with lines refused nothing of it is taken in', async ({
  page,
  request,
  product,
}) => {
  const lines = Array.from(
    { length: 60_000 },
    (_, index) => `"Curlew, loaded wagon",Case ${index % 20},front,left,${600 + index}`,
  );
  await page.goto('/rigs/files');
  await page
    .locator('input[type=file]')
    .setInputFiles(file('long.csv', `rig,load case,axle,wheel,load kg\n${lines.join('\n')}`));
  await expect(
    page
      .getByRole('progressbar')
      .or(page.getByText(/refused, so nothing/))
      .first(),
  ).toBeVisible();
  await expect(page.getByText(/59,980 refused/)).toBeVisible();
  await expect(page.getByText('this wheel stands in the file before').first()).toBeVisible();
  const { loadCases } = await (await request.get(`${product.address}/api/v1${CURLEW}`)).json();
  expect(loadCases).toHaveLength(3);
});

test('the rig card goes out as text, as a PDF of one page, and to the printer', async ({ page }) => {
  await page.goto(`${CURLEW}/card`);
  await expect(page.getByText('left 705 kg, right 690 kg (weighed)')).toBeVisible();
  const [text] = await Promise.all([page.waitForEvent('download'), action(page, 'Text').click()]);
  expect(readFileSync(await text.path(), 'utf8')).toContain('Curlew, loaded wagon\nFour-wheel drive · loaded: Touring');
  const [pdf] = await Promise.all([page.waitForEvent('download'), action(page, 'PDF').click()]);
  expect(pdf.suggestedFilename()).toBe('Curlew-loaded-wagon.pdf');
  const bytes = readFileSync(await pdf.path());
  expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
  expect(bytes.length).toBeLessThan(500_000);

  await page.evaluate(() => {
    window.print = () => {
      document.title = document.getElementById('print-sheet')!.innerText.slice(0, 20);
    };
  });
  await action(page, 'Print').click();
  await expect(page).toHaveTitle('Curlew, loaded wagon');
  await expect(page.locator('#print-sheet')).toHaveCount(0);
});

test('a card of each machine comes as one PDF from the store, once', async ({ page }) => {
  await page.goto('/office');
  const rows = page.getByRole('row');
  await expect(rows.first()).toBeVisible();
  const many = (await rows.count()) - 1;
  await page.getByRole('button', { name: 'A card for each machine' }).click();
  const [fromStore] = await Promise.all([page.waitForEvent('download'), action(page, `Make ${many} cards`).click()]);
  expect(fromStore.suggestedFilename()).toBe('pressure cards.pdf');
  const one = await PDFDocument.load(readFileSync(await fromStore.path()));
  expect(one.getPageCount()).toBe(many);
  expect(one.getPage(0).getWidth()).toBe(297.64);
  await expect(page.getByRole('status').filter({ hasText: 'fetches the PDF' })).toBeVisible();

  // The same again is there at once, and the keyboard is where it was.
  await expect(action(page, `Make ${many} cards`)).toBeFocused();
  const [again] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('Enter')]);
  expect(readFileSync(await again.path()).equals(readFileSync(await fromStore.path()))).toBe(true);
});
