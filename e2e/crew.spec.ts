import { readFile } from 'node:fs/promises';

import type { Browser, BrowserContext, Page } from '@playwright/test';

import { action, expect, letOut, settled, test } from './fixtures';

const CURLEW = '0192f000-0000-7000-8000-000000000101';
const PASSPHRASE = 'samphire on the sea wall';
const PHONE = { width: 390, height: 844 };

/** A page is loaded anew where its person or its space changes. */
const atStart = async (page: Page): Promise<void> => {
  await page.waitForURL((url) => url.pathname === '/');
  await settled(page);
};

/** Whoever is new says who they are. */
async function sayWho(page: Page, name: string): Promise<void> {
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('New pass-phrase').fill(PASSPHRASE);
}

/** The one person of this machine lets others in, and makes a crew. */
async function beginCrew(page: Page): Promise<void> {
  await page.goto('/');
  await settled(page);
  await page.getByRole('link', { name: /^Dunlinmoss/ }).click();
  await sayWho(page, 'Rushy');
  await action(page, 'Share with others').click();
  await page.getByLabel('Name of the crew').fill('Sluice crew');
  await action(page, 'Make the crew').click();
  await atStart(page);
  await expect(page.getByRole('link', { name: 'Dunlinmoss: crew Sluice crew' })).toBeVisible();
}

/** One's own wagon goes to the crew. */
async function bringCurlew(page: Page): Promise<void> {
  await page.getByRole('link', { name: /^Dunlinmoss/ }).click();
  await action(page, 'Bring a machine of mine along').click();
  await action(page, 'Move Curlew, loaded wagon to the crew').click();
  await expect(page.getByText('Curlew, loaded wagon is with the crew.')).toBeVisible();
}

/** The link of a new invitation. */
async function inviteAs(page: Page, role: string): Promise<string> {
  await page.getByRole('link', { name: /^Dunlinmoss/ }).click();
  await page.getByRole('radiogroup', { name: 'They come in as' }).getByRole('radio', { name: role }).click();
  await action(page, 'Make an invitation').click();
  await expect(page.getByRole('img', { name: /Code for the camera/ })).toBeVisible();
  return page.getByText(/\/join#/).innerText();
}

/** Another phone, and somebody on it who takes an invitation. */
async function joinedPhone(
  browser: Browser,
  link: string,
  name: string,
): Promise<{ context: BrowserContext; page: Page }> {
  const context = await browser.newContext({ viewport: PHONE, serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.goto(link);
  await expect(page.getByText(/Rushy invites you to Sluice crew/)).toBeVisible();
  await sayWho(page, name);
  await action(page, 'Join').click();
  await atStart(page);
  await expect(page.getByRole('link', { name: 'Dunlinmoss: crew Sluice crew' })).toBeVisible();
  return { context, page };
}

test('alone nothing is asked; let in by a link, two work on one machine and see what the other did', async ({
  page,
  browser,
}) => {
  await beginCrew(page);
  await bringCurlew(page);

  const member = await joinedPhone(browser, await inviteAs(page, 'Member'), 'Sedge');
  await member.page.goto('/rigs');
  await expect(member.page.getByText(/Curlew/).first()).toBeVisible();
  // What was not brought along is nobody else's.
  await expect(member.page.getByText(/Oystercatcher/)).toHaveCount(0);

  // What one reads the other sees, without a reload.
  await page.goto('/air/watch');
  await expect(page.getByRole('heading', { name: 'Watch' })).toBeVisible();
  await member.page.goto('/air/watch');
  await action(member.page, /Read a round by hand/).click();
  await member.page.getByLabel('Front left reads in psi').fill('33');
  await action(member.page, 'Keep this round').click();
  await expect(page.getByRole('group', { name: 'Front left', exact: true })).toContainText('33');

  // Who it was stands on the board, in the office, and beside the row.
  await page.goto('/');
  await expect(page.getByText(/^Last by Sedge, /)).toBeVisible();
  await page.goto('/office');
  await page.getByLabel('Find', { exact: true }).fill('sedge');
  await expect(page.getByText('1 of 1 machines')).toBeVisible();
  const row = page.getByRole('row').filter({ hasText: 'Curlew' });
  await expect(row).toContainText(/Sedge, \d\d:\d\d/);

  // Handed over by name, seen at once by who got it.
  await member.page.goto('/');
  await page.goto('/');
  await action(page, /^Who has it/).click();
  await page.getByRole('radio', { name: 'Sedge' }).click();
  await expect(page.getByText('Curlew, loaded wagon is with Sedge now.')).toBeVisible();
  await expect(page.getByText(/^With Sedge · Last by Sedge, /)).toBeVisible();
  await expect(member.page.getByText(/^With you · Last by you, /)).toBeVisible();
  await page.goto('/office');
  await page.getByLabel('Find', { exact: true }).fill('sedge');
  await expect(page.getByRole('row').filter({ hasText: 'Curlew' })).toContainText('Sedge');
  const download = page.waitForEvent('download');
  await action(page, 'Table (CSV)').click();
  expect(await readFile(await (await download).path(), 'utf8')).toMatch(
    /^machine,state,.*\r\nCurlew|"Curlew, loaded wagon"/s,
  );

  // Renamed by the one, seen by the other with who and when, and put back.
  await member.page.goto(`/rigs/${CURLEW}/edit`);
  await member.page.getByLabel('Name', { exact: true }).fill('Curlew, on the causeway');
  await action(member.page, 'Save the changes').click();
  await page.goto(`/rigs/${CURLEW}`);
  await action(page, /^History/).click();
  await expect(page.getByText(/^Saved .* by Sedge$/)).toBeVisible();
  await member.context.close();
});

/** How many rows of machines this browser keeps in stores of crews. Runs in the page. */
async function rowsKept(): Promise<number> {
  let many = 0;
  for (const { name } of await indexedDB.databases()) {
    if (!name || !/^dunlinmoss-[0-9a-f-]{36}-[0-9a-f-]{36}$/.test(name)) continue;
    many += await new Promise<number>((resolve, reject) => {
      const opening = indexedDB.open(name);
      opening.onerror = () => reject(opening.error ?? new Error(name));
      opening.onsuccess = () => {
        const counting = opening.result.transaction('rows').objectStore('rows').count();
        counting.onsuccess = () => {
          opening.result.close();
          resolve(counting.result);
        };
      };
    });
  }
  return many;
}

test('a viewer touches nothing, a link is for one person, and who is let go sees nothing any more', async ({
  page,
  browser,
  product,
}) => {
  await beginCrew(page);
  await bringCurlew(page);
  const viewer = await joinedPhone(browser, await inviteAs(page, 'Viewer'), 'Teasel');
  await expect(viewer.page.getByText(/as a viewer: nothing you enter is kept/)).toBeVisible();
  const refused = await viewer.page.request.post(`${product.address}/api/v1/crews`, {
    data: {},
    headers: { origin: 'https://elsewhere.test' },
  });
  expect(refused.status()).toBe(403);

  // A link is for one person.
  const used = await inviteAs(page, 'Member');
  const third = await joinedPhone(browser, used, 'Alder');
  await viewer.page.goto(used);
  await expect(viewer.page.getByText('This invitation was used already.', { exact: false })).toBeVisible();

  // Let go: told in a sentence, and nothing of the crew is shown any more.
  await expect.poll(() => third.page.evaluate(rowsKept)).toBeGreaterThan(0);
  await page.reload();
  await action(page, /Alder/).click();
  await action(page, 'Let Alder go').click();
  await expect(action(page, /Alder/)).toHaveCount(0);
  await third.page.goto('/rigs');
  await expect(third.page.getByText(/You are not in Sluice crew any more/)).toBeVisible();
  await expect(third.page.getByText(/Curlew/)).toHaveCount(0);
  // Nor is it on the phone: every row that this browser keeps, whatever store it is in.
  await expect.poll(() => third.page.evaluate(rowsKept)).toBe(0);
  await action(third.page, 'Go to my own machines').click();
  await atStart(third.page);
  await expect(
    third.page
      .getByRole('heading', { name: 'Where to today?' })
      .or(third.page.getByText(/^How much air to let out/))
      .first(),
  ).toBeVisible();
  for (const { context } of [viewer, third]) await context.close();
});

test('a lost phone is signed out from elsewhere; what waited on it waits for the same person', async ({
  page,
  browser,
}) => {
  await beginCrew(page);
  const { context, page: phone } = await joinedPhone(browser, await inviteAs(page, 'Lead'), 'Sedge');
  // Sedge signs in on another device, and has codes to print.
  const desk = await browser.newContext({ viewport: PHONE, serviceWorkers: 'block' });
  const other = await desk.newPage();
  await other.goto('/crew');
  await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await other.getByLabel('Name', { exact: true }).fill('sedge');
  await other.getByLabel('Pass-phrase', { exact: true }).fill('not the one at all');
  await action(other, 'Sign in').click();
  await expect(other.getByText('That name and pass-phrase don’t go together.')).toBeVisible();
  await other.getByLabel('Pass-phrase', { exact: true }).fill(PASSPHRASE);
  await other.getByLabel('This device').fill('Desk');
  await action(other, 'Sign in').click();
  await action(other, /Recovery codes/).click();
  await action(other, 'Make new codes').click();
  const code = await other
    .getByText(/^\w{4}(-\w{4}){3}$/)
    .first()
    .innerText();

  // The phone has no signal, and something is entered on it.
  await phone.goto('/rigs/gauge/new');
  await settled(phone);
  await phone.route('**/api/**', (route) => route.abort());
  await phone.getByLabel('Name', { exact: true }).fill('Brass gauge');
  await phone.getByLabel('Scale to in psi').fill('60');
  await action(phone, 'Save this gauge').click();
  await expect(phone.getByText(/kept on this device/).first()).toBeVisible();
  await action(other, /^Sign it out/)
    .first()
    .click();
  await expect(action(other, /^Sign it out/)).toHaveCount(0);
  await phone.unroute('**/api/**');
  await phone.goto('/rigs');
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expect(phone.getByText(/One entry waits here for Sedge, and for nobody else/)).toBeVisible();
  await expect(phone.getByText('Sedge is not signed in on this device any more.')).toBeVisible();
  await action(phone, 'I forgot my pass-phrase').click();
  await phone.getByLabel('Recovery code').fill(code.toUpperCase());
  await phone.getByLabel('Name', { exact: true }).fill('Sedge');
  await phone.getByLabel('New pass-phrase').fill('purslane at low water');
  await action(phone, 'Set the new pass-phrase and sign in').click();
  await expect(phone.getByRole('heading', { name: 'You: Sedge' })).toBeVisible();
  // Nothing was lost: it went out with the same person.
  await expect(phone.getByText(/entry waits|kept on this device/)).toHaveCount(0);
  await phone.goto('/rigs/tools');
  await expect(phone.getByText('Brass gauge').first()).toBeVisible();
  // All else was ended with it.
  await other.reload();
  await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await context.close();
  await desk.close();
});

test('a passkey of the device signs in without a name', async ({ browser, product }) => {
  // Browsers make none for an address in digits.
  const context = await browser.newContext({
    viewport: PHONE,
    serviceWorkers: 'block',
    baseURL: product.address.replace('127.0.0.1', 'localhost'),
  });
  const page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send('WebAuthn.enable');
  await devtools.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
    },
  });
  await beginCrew(page);
  await page.getByRole('link', { name: /^Dunlinmoss/ }).click();
  await action(page, /^Passkeys/).click();
  await action(page, 'Make one on this device').click();
  await expect(action(page, /^Take it away/)).toBeVisible();
  await action(page, 'Sign out here').click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await action(page, 'With a passkey of this device').click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toHaveCount(0);
  await page.goto('/crew');
  await expect(page.getByRole('heading', { name: 'You: Rushy' })).toBeVisible();
  // Taken away, it opens nothing any more.
  await action(page, /^Passkeys/).click();
  await action(page, /^Take it away/).click();
  await expect(action(page, /^Take it away/)).toHaveCount(0);
  await action(page, 'Sign out here').click();
  await action(page, 'With a passkey of this device').click();
  await expect(page.getByText(/That passkey is not known here/)).toBeVisible();
  await context.close();
});

test('two people let down the four wheels of one machine, each seeing what the other has done', async ({
  page,
  browser,
}) => {
  await beginCrew(page);
  await bringCurlew(page);
  const member = await joinedPhone(browser, await inviteAs(page, 'Member'), 'Sedge');
  await page.goto(`/air/out?rig=${CURLEW}&ground=softSand`);
  await action(page, 'Begin at front left').click();
  await letOut(page, '16');

  await member.page.goto(`/air/out?rig=${CURLEW}&ground=softSand`);
  await expect(action(member.page, /^Front left, done/)).toContainText(/16\spsi/);
  await action(member.page, /^Rear right, waits/).click();
  await letOut(member.page, '19');
  await expect(action(page, /^Rear right, done/)).toContainText(/19\spsi/);
  await action(page, /^Rear left, waits/).click();
  await letOut(page, '19');
  await action(member.page, /^Front right, waits/).click();
  await letOut(member.page, '16');

  // Whoever looks may end it: all four wheels are there.
  await action(page, 'Every wheel is down: keep it').click();
  await member.page.goto('/');
  await expect(member.page.getByText(/In the tires.*front 16\spsi, rear 19\spsi · read/)).toBeVisible();
  await member.context.close();
});
