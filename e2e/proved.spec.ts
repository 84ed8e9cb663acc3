import { action, axle, expect, test, unfold } from './fixtures';

const CURLEW = '0192f000-0000-7000-8000-000000000101';

test('what was kept is next time’s number, with the rule beside it; left out, the rule is back to the mark', async ({
  page,
}) => {
  await page.goto(`/ground?rig=${CURLEW}&ground=dampSand`);
  // Kept on this ground, under the same load, in September.
  await expect(axle(page, 'Front')).toContainText('18psi');
  await expect(axle(page, 'Rear')).toContainText('23psi');
  await expect(axle(page, 'Front')).toContainText(/kept at 18\spsi, 3 Sept? 2026/);
  await expect(page.getByText('Decided by: what was proved here.')).toBeVisible();
  const rule = /by the rule (\d+)\spsi/;
  const [front, rear] = await Promise.all(
    (['Front', 'Rear'] as const).map(
      async (name) => rule.exec((await axle(page, name).innerText()).replaceAll('\u00a0', ' '))![1],
    ),
  );

  await unfold(page, 'Why this number');
  await action(page, 'Use the rule here').click();
  await expect(axle(page, 'Front')).toContainText(`${front}psi`);
  await page.reload();
  await expect(axle(page, 'Rear')).toContainText(`${rear}psi`);
  await unfold(page, 'Why this number');
  await expect(page.getByText('what was proved here')).toHaveCount(0);
  await action(page, 'Use what was proved').click();
  await expect(axle(page, 'Rear')).toContainText('23psi');

  await action(page, /^Don’t count it: Kept/).click();
  await expect(axle(page, 'Front')).toContainText(`${front}psi`);
  await expect(axle(page, 'Rear')).toContainText(`${rear}psi`);
  await expect(page.getByText(/\(left out\)/)).toBeVisible();
  await page.reload();
  await expect(axle(page, 'Rear')).toContainText(`${rear}psi`);
  await unfold(page, 'Why this number');
  await action(page, /^Count it again: Kept/).click();
  await expect(axle(page, 'Rear')).toContainText('23psi');
});

test('a climb moves the number of its ground, and of no other', async ({ page, request, product }) => {
  const api = `${product.address}/api/v1`;
  const rig = await (await request.get(`${api}/rigs/${CURLEW}`)).json();
  const at = new Date().toISOString();
  const outing = {
    id: '0192f000-0000-7000-8000-0000000000f1',
    revision: 0,
    rigId: CURLEW,
    loadCaseId: rig.loadCaseId,
    groundCode: 'verySoftSand',
    title: 'South bar',
    startedAt: at,
    state: 'closed',
    pressures: [],
    decision: null,
  };
  expect((await request.put(`${api}/outings/${outing.id}`, { data: outing })).ok()).toBe(true);
  await page.goto(`/ground?rig=${CURLEW}&ground=verySoftSand`);
  const before = await axle(page, 'Rear').innerText();
  const kpa = (psi: number): number => psi * 6.894757293;
  const run = (psi: number, result: string) => ({ pressureKpa: kpa(psi), result, distanceM: null, brokeLoose: null });
  const climb = {
    id: '0192f000-0000-7000-8000-0000000000f2',
    revision: 0,
    rigId: CURLEW,
    outingId: outing.id,
    kind: 'climb',
    performedAt: at,
    details: {
      wheel: 'rear left',
      tireMarking: rig.axles[1].tireMarking,
      loadRange: rig.axles[1].loadRange,
      wheelLoadKg: null,
      gauge: null,
      setup: { slopeDeg: null, soil: null, depthMm: null },
      runs: [run(26, 'nearly'), run(19, 'reached')],
    },
  };
  const saved = await request.put(`${api}/tests/${climb.id}`, { data: climb });
  expect(await saved.text()).toContain(climb.id);
  await page.reload();
  await expect(axle(page, 'Rear')).toContainText('19psi');
  await expect(axle(page, 'Rear')).toContainText(/climbed at 19\spsi/);
  expect(before).not.toContain('19');
  // The answer of the API is the same.
  const plan = await (await request.get(`${api}/rigs/${CURLEW}/plan?ground=verySoftSand`)).json();
  expect(plan.value.axles[1].provedKpa).toBeCloseTo(kpa(19), 3);
  const other = await (await request.get(`${api}/rigs/${CURLEW}/plan?ground=softSand`)).json();
  expect(other.value.axles[1].provedKpa).toBeNull();
});
