import { readFile } from 'node:fs/promises';

import type { Page } from '@playwright/test';

import { action, expect, goTo, letOut, settled, test } from './fixtures';

const CURLEW = '0192f000-0000-7000-8000-000000000101';
const LAPWING = '0192f000-0000-7000-8000-000000000110';

test('from Today down wheel by wheel by the clock, through a reload and a lost line, into the Book', async ({
  page,
  context,
}) => {
  await page.goto('/');
  await action(page, 'Let it out').click();
  await expect(page.getByText(/36\spsi → 16\spsi/).first()).toBeVisible();
  // Another order round the rig stays for next time.
  await action(page, 'Rear left earlier').click();
  await action(page, 'Begin at rear left').click();
  await expect(page.getByRole('heading', { name: 'Rear left' })).toBeVisible();

  await action(page, 'Start').click();
  await expect(page.getByText(/\d+\ss left/).first()).toBeVisible();
  await context.setOffline(true);
  await page.waitForTimeout(1_500);
  await expect(page.getByText(/\d+\ss left/).first()).toBeVisible();
  await context.setOffline(false);
  await page.reload();
  // By the clock: it went on meanwhile, and the page knows.
  await expect(page.getByText(/\d+\ss left/).first()).toBeVisible();
  await expect(page.getByText('Under way')).toBeVisible();
  await action(page, /^Stop$/).click();
  // More than before can't be: said beside the field, kept if one insists.
  await page.getByLabel('Rear left reads in psi').fill('44');
  await expect(page.getByText('More than before, though air was let out.', { exact: false })).toBeVisible();
  await page.getByLabel('Rear left reads in psi').fill('17');
  await action(page, /keep that$/).click();
  await expect(page.getByText(/It is past it, by 2\spsi\./)).toBeVisible();
  await page.getByLabel('Rear left reads in psi').fill('19');
  await action(page, 'Corrected: keep this reading').click();

  await expect(page.getByText('5 wheels timed: the others follow', { exact: false })).toBeVisible();
  await expect(action(page, /Front left, waits, about \d+\ss/)).toBeVisible();
  await letOut(page, '16');
  await expect(page.getByText(/the gauge creeps up by about \d\.\d\spsi/)).toBeVisible();
  await letOut(page, '19');
  await action(page, 'Skip this wheel').click();
  await action(page, 'Every wheel is down: keep it').click();

  await expect(page.getByText('Air is out.', { exact: false }).first()).toBeVisible();
  await expect(page.getByText(/Put the air back, or read it\. .*km\/h at the most/)).toBeVisible();
  await goTo(page, 'Book');
  await page.getByRole('link', { name: /Samphire Flat/ }).click();
  await action(page, /core-pulling deflator/).click();
  await expect(page.getByText(/Rear left: 42\spsi → 17\spsi, \d+\ss/)).toBeVisible();
  await expect(page.getByText('Front right: skipped')).toBeVisible();
});

test('two phones on one wheel: both are kept, the first one counts', async ({ page, browser, product }) => {
  await page.goto(`/air/out?rig=${CURLEW}&ground=softSand`);
  await action(page, 'Begin at front left').click();
  await expect(page.getByRole('heading', { name: 'Front left' })).toBeVisible();
  const other = await browser.newPage({ baseURL: product.address, viewport: { width: 390, height: 844 } });
  await other.goto(`/air/out?rig=${CURLEW}&ground=softSand`);
  await expect(other.getByRole('heading', { name: 'Front left' })).toBeVisible();
  await action(page, 'Start').click();
  await expect(action(page, /^Stop$/)).toBeVisible();
  await page.waitForTimeout(300);
  await action(other, 'Start').click();
  await expect(
    other.getByText('Two phones timed this wheel at once', { exact: false }).or(action(other, /^Stop$/)),
  ).toBeVisible();
  await expect(other.getByText('Another phone is on this too', { exact: false })).toBeVisible();
  await action(other, /^Stop$/).click();
  await expect(other.getByText('Two phones timed this wheel at once', { exact: false })).toBeVisible();
  await other.close();
});

/** A slow line: whoever taps faster than it answers loses nothing. */
async function slowLine(page: Page): Promise<void> {
  await page.route(/v1\/airings\//, async (route) => {
    await page.waitForTimeout(150);
    const response = await route.fetch();
    await page.waitForTimeout(250);
    await route.fulfill({ response });
  });
}

async function letAllOut(page: Page): Promise<void> {
  await page.goto(`/air/out?rig=${CURLEW}&ground=softSand`);
  await action(page, 'Begin at front left').click();
  for (const reads of ['16', '19', '19', '16']) await letOut(page, reads);
  await action(page, 'Every wheel is down: keep it').click();
  await expect(page.getByText('Air is out.', { exact: false }).first()).toBeVisible();
}

test('putting in says beforehand what will not be enough, with the best use and its speed', async ({ page }) => {
  await slowLine(page);
  await letAllOut(page);
  await goTo(page, 'Air');
  await expect(page.getByText(/On pavement \d+\skm\/h at the most/)).toBeVisible();
  await action(page, 'Put air in').click();
  await expect(page.getByText('Never past the sidewall maximum', { exact: false })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Wheel by wheel' })).toBeVisible();
  await action(page, /With the pump/).click();
  await page.getByRole('radio', { name: 'Pocket pump' }).click();
  await expect(page.getByText(/It runs out at rear right: \d+\sL of air short\./)).toBeVisible();
  await expect(page.getByText(/Then \d+\skm\/h at the most, straight and short, to the next air\./)).toBeVisible();
});

test('the road check insists until the air is back, and learns from the cold figure', async ({ page }) => {
  await letAllOut(page);
  await slowLine(page);
  await page.goto(`/air/road?rig=${CURLEW}`);
  await expect(page.getByRole('heading', { name: 'Not ready for pavement' })).toBeVisible();
  await expect(page.getByText(/If it can’t be helped: \d+\skm\/h at the most/)).toBeVisible();
  await action(page, 'Put the air back').click();
  await action(page, /With the pump/).click();
  await page.getByRole('radio', { name: 'Clip-on compressor' }).click();
  await action(page, 'Begin at front left').click();
  for (const reads of ['36', '42', '42', '36']) await letOut(page, reads);
  await action(page, 'Every wheel is up: keep it').click();
  await expect(page.getByRole('heading', { name: 'Ready for pavement' })).toBeVisible();
  await action(page, /Was the cold figure right/).click();
  await page.getByLabel('Front left reads cold in psi').fill('36');
  await action(page, 'Keep these, cold').click();
  await page.getByLabel('Front left reads now in psi').fill('42');
  await expect(page.getByText(/Rose 6\.0\spsi .* too low for load and speed/)).toBeVisible();
  await action(page, 'Ready for the road: end the outing').click();
  await expect(page.getByRole('heading', { name: 'Where to today?' })).toBeVisible();
});

test('simulated monitors: warmth is left alone, a slow leak is told with its time, and each fault in words', async ({
  page,
}) => {
  await page.goto(`/air/watch?rig=${CURLEW}`);
  await action(page, /Monitors \(simulated\)/).click();
  await action(page, 'Switch them on').click();
  await expect(page.getByText('Live', { exact: true })).toBeVisible();
  const card = (name: string) => page.getByRole('group', { name, exact: true });
  await expect(card('Front left')).toContainText('Leave it');
  await expect(card('Front left')).toContainText('because it is warm');
  /** A reload would cut off what is not with the server yet. */
  const flip = async (name: string): Promise<void> => {
    const told = page.waitForResponse((answer) => answer.url().endsWith('/faults') && answer.ok());
    await page.getByRole('switch', { name, exact: true }).click();
    await told;
  };
  await page.getByRole('radio', { name: 'Rear right' }).click();
  await flip('Slow leak');
  await page.reload();
  await expect(card('Rear right')).toContainText(/It loses 0\.\d\spsi an hour beyond what cooling explains/);
  await expect(card('Rear right')).toContainText('Pump it up');
  await expect(card('Front left')).toContainText('Leave it');

  await action(page, /Monitors \(simulated\)/).click();
  await page.getByRole('radio', { name: 'Rear right' }).click();
  await flip('Slow leak');
  for (const [name, text] of [
    ['Wrong clock', 'clock is off by'],
    ['Burst', 'A tire that ran flat is not pumped up again'],
  ] as const) {
    await flip(name);
    await expect(card('Rear right')).toContainText(text, { timeout: 20_000 });
    await flip(name);
    await page.reload();
    await action(page, /Monitors \(simulated\)/).click();
    await page.getByRole('radio', { name: 'Rear right' }).click();
  }
  await action(page, 'Switch them off').click();
  // Their picture goes, and what stands below it moves up.
  await expect(action(page, 'Switch them on')).toBeVisible();
  await expect(page.getByText('The last hours', { exact: true })).toBeHidden();
  await action(page, /Read a round by hand/).click();
  await page.getByLabel('Front left reads in psi').fill('3000');
  await expect(page.getByText(/Expected 0 to \d+\spsi/)).toBeVisible();
  await page.getByLabel('Front left reads in psi').fill('35');
  await action(page, 'Keep this round').click();
  await expect(card('Front left')).toContainText('35');
});

test('tools side by side, wheels levelled, air moved by a hose, and central inflation driven', async ({ page }) => {
  await page.goto(`/air/tools?rig=${CURLEW}&ground=softSand`);
  await expect(page.getByText('timed by you on 4 wheels', { exact: false })).toBeVisible();
  await expect(page.getByText('Past the number before one has read it.', { exact: false })).toBeVisible();
  await action(page, 'Set preset deflators').click();
  await expect(page.getByText('Turn it in again by a quarter', { exact: false })).toBeVisible();

  await page.goto(`/air/level?rig=${CURLEW}&ground=softSand`);
  await page.getByLabel('Front left in psi').fill('12');
  await page.getByLabel('Front right in psi').fill('16');
  await expect(page.getByText(/Front left: put in 4\.0\spsi, to 16\spsi\./)).toBeVisible();
  await expect(page.getByText(/One joining, and it has 16\spsi/)).toBeVisible();

  await page.goto(`/air/central?rig=${LAPWING}`);
  await expect(page.getByText(/min a day of waiting/)).toBeVisible();
  await page.getByLabel('Speed there in km/h').fill('0');
  await expect(page.getByText(/^Expected 1 to 80\skm\/h\.$/)).toBeVisible();
  await page.getByLabel('Speed there in km/h').fill('8');
  await expect(page.getByText(/Down before the gate: begin \d+\sm ahead/)).toBeVisible();
  await action(page, 'Switch it on').click();
  await action(page, 'To field pressure').click();
  await expect(page.getByText('Front lets out')).toBeVisible();
});

test('a log comes in as a table, is drawn without losing a peak, and goes out again', async ({ page }) => {
  await page.goto(`/air/log?rig=${CURLEW}`);
  await settled(page);
  await expect(page.getByText('Nothing in it yet.', { exact: false })).toBeVisible();
  const lines = Array.from({ length: 3_000 }, (_, minute) => {
    const at = new Date(Date.parse('2026-09-01T05:00:00Z') + minute * 60_000).toISOString();
    return `${at},front,left,${minute === 1_234 ? 60 : 16},21`;
  });
  const pick = async (text: string): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await action(page, 'Choose a table').click();
    await (await chooser).setFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await pick(['time,axle,wheel,pressure_psi,temp_c', ...lines, 'yesterday,front,left,16,21'].join('\n'));
  await expect(page.getByText('Line 3002: expected a time with its zone', { exact: false })).toBeVisible();
  // The line breaks: it is said, and gone on with by itself.
  await page.route('**/import/log/**', (route) => route.abort(), { times: 1 });
  await pick(['time,axle,wheel,pressure_psi,temp_c', ...lines].join('\n'));
  await expect(page.getByText('It goes on where it stopped', { exact: false })).toBeVisible();
  await expect(page.getByText('3,000 readings taken in.', { exact: false })).toBeVisible();
  await expect(page.getByText('3,000 readings, drawn as the least and most', { exact: false })).toBeVisible();
  await expect(page.getByRole('img', { name: /Pressures over time/ })).toBeVisible();
  await pick(['time,axle,wheel,pressure_psi,temp_c', ...lines].join('\n'));
  await expect(page.getByText('3,000 were there already and are counted once.', { exact: false })).toBeVisible();
  // Without the server it is looked at as it was.
  await page.route('**/log?stretches=*', (route) => route.abort());
  await page.reload();
  await expect(page.getByText(/^As this device saw it on /)).toBeVisible();
  await expect(page.getByText('3,000 readings, drawn as the least and most', { exact: false })).toBeVisible();
  await page.unroute('**/log?stretches=*');
  const download = page.waitForEvent('download');
  await action(page, 'The log as a table').click();
  const file = await readFile(await (await download).path(), 'utf8');
  const rows = file.trim().split('\r\n');
  expect(rows.filter((line) => line.endsWith(',file'))).toHaveLength(3_000);
  // What was read by hand is in it as well.
  expect(rows.some((line) => line.endsWith(',gauge'))).toBe(true);
});
