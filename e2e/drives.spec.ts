import { action, expect, test, goOn } from './fixtures';

const CURLEW = '0192f000-0000-7000-8000-000000000101';
const LAPWING = '0192f000-0000-7000-8000-000000000110';
const SANDERLING = '0192f000-0000-7000-8000-000000000107';

test('the first beach: a poor call, what it cost and why, dug in, and the same place again with the right one @wide', async ({
  page,
}) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=softSand`);
  await goOn(page, 'Practice drives: get stuck here first');
  await page.getByRole('link', { name: /^First beach/ }).click();
  await expect(page.getByText(/^You come with front 36\spsi, rear 42\spsi in the tires, cold\./)).toBeVisible();
  await expect(page.getByText(/^As soft as such ground usually is: our assumption/)).toBeVisible();

  await action(page, 'Drive on as it is').click();
  await expect(page.getByText(/^On average it costs .*more than “Let out to 16 \/ 19\spsi”\./)).toBeVisible();
  await expect(page.getByText(/^The wheels turn faster than it goes\./)).toBeVisible();
  await expect(page.getByRole('img', { name: /^Drive on as it is: its wheels spin/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Let out to 16 .*: through/ })).toBeVisible();

  await action(page, 'Keep your foot down').click();
  await expect(page.getByText(/^Spun \d\.\d s: \d+\smm deeper\. “Lift off and stop” leaves \d+\smm\./)).toBeVisible();
  await expect(page.getByText(/^It stands on its belly, the wheels \d+\smm deep\./)).toBeVisible();
  await expect(page.getByText(/^1\. Drive on as it is: cost \d+ min on average/)).toBeVisible();

  await action(page, 'Again, the same place').click();
  await action(page, 'Let out to 16').click();
  await expect(page.getByText(/^As good as any here: about/)).toBeVisible();
  await expect(page.getByText(/^Through, after/)).toBeVisible();
  // Looked at again from the beginning, it stands on the firm side.
  await page.getByRole('slider', { name: /^Look back/ }).fill('0');
  await expect(page.getByRole('slider', { name: /^Look back/ })).toHaveAttribute('aria-valuetext', '0.0 s');
  await page.reload();
  await expect(page.getByText('What do you do?')).toBeVisible();
});

test('a wet hollow: leaving it is a decision too, and luck is called luck @wide', async ({ page }) => {
  await page.goto(`/ground/drives/wetField?rig=${LAPWING}`);
  await action(page, 'Drive on as it is').click();
  await expect(
    page.getByText(/more than “Leave it: another way”\. It came to a halt on \d+ of 16 places/),
  ).toBeVisible();
  await action(page, 'Again, the same place').click();
  await action(page, 'Leave it: another way').click();
  await expect(page.getByText(/^As good as any here/)).toBeVisible();
  await expect(page.getByText(/^Round it, /)).toBeVisible();
});

test('home on soft tires: the gauge says it, and there is still time to slow down', async ({ page }) => {
  await page.goto(`/ground/drives/limpHome?rig=${CURLEW}`);
  await action(page, 'With the traffic').click();
  await expect(page.getByText(/^You stop and read: .* over cold after 8 min\./)).toBeVisible();
  await expect(page.getByText(/It lost a tire on \d+ of 100 such drives\./)).toBeVisible();
  await action(page, 'What these tires allow').click();
  await expect(page.getByText(/^Home after /)).toBeVisible();
});

test('a climb of one’s own changes how soft the next beach is', async ({ page, request, product }) => {
  const api = `${product.address}/api/v1`;
  const rig = await (await request.get(`${api}/rigs/${CURLEW}`)).json();
  const kpa = (psi: number): number => psi * 6.894757293;
  const run = (psi: number) => ({ pressureKpa: kpa(psi), result: 'reached', distanceM: null, brokeLoose: null });
  const climb = {
    id: '0192f000-0000-7000-8000-0000000000f3',
    revision: 0,
    rigId: CURLEW,
    outingId: null,
    kind: 'climb',
    performedAt: new Date().toISOString(),
    details: {
      wheel: 'rear left',
      tireMarking: rig.axles[1].tireMarking,
      loadRange: rig.axles[1].loadRange,
      wheelLoadKg: null,
      gauge: null,
      setup: { slopeDeg: 9, soil: 'drySand', depthMm: null },
      runs: [run(42), run(40)],
    },
  };
  await page.goto(`/ground/drives/firstBeach?rig=${CURLEW}`);
  await action(page, 'Drive on as it is').click();
  await expect(page.getByText(/^On average it costs .*more than “Let out to 16/)).toBeVisible();
  expect(await (await request.put(`${api}/tests/${climb.id}`, { data: climb })).text()).toContain(climb.id);
  await page.reload();
  await expect(page.getByText('By your 2 attempts at climbs firmer than such ground usually is.')).toBeVisible();
  await action(page, 'Drive on as it is').click();
  await expect(page.getByText(/^As good as any here/)).toBeVisible();
});

test('on two wheels there is none, and it says why', async ({ page }) => {
  await page.goto(`/ground/drives?rig=${SANDERLING}`);
  await expect(page.getByText(/^Practice drives are for machines on three wheels or more/)).toBeVisible();
  await page.goto(`/ground/drives/firstBeach?rig=${SANDERLING}`);
  await expect(page.getByText(/on two it is balance that decides/)).toBeVisible();
});
