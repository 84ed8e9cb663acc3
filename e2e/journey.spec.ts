import { action, axle, chooseGround, expect, goTo, test, unfold } from './fixtures';

test(
  'from the first screen to a tape test in the Book, and still there after a restart',
  { tag: '@wide' },
  async ({ page, product }) => {
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Samphire Flat, survey stakes' })).toBeVisible();
    await expect(axle(page, 'Front')).toContainText('16psi');
    await expect(axle(page, 'Rear')).toContainText('19psi');

    await action(page, 'See why, or it’s already set').click();
    await expect(page).toHaveURL(/\/ground\?.*ground=softSand/);
    await expect(axle(page, 'Front')).toContainText('try 15–16 psi');
    await unfold(page, 'Why this number');
    await expect(page.getByText('Contact is estimated.').first()).toBeVisible();
    await action(page, 'It’s already set').click();
    // The plan's own numbers would look like a reading.
    await expect(page.getByLabel('Front axle in psi')).toHaveValue('');
    await expect(page.getByText('Planned: 19\u00a0psi', { exact: true })).toBeVisible();
    await page.getByLabel('Front axle in psi').fill('16');
    await action(page, 'Keep what I read').click();
    await expect(page.getByRole('alert').filter({ hasText: 'Expected a number' })).toHaveCount(1);
    // From nothing a step begins at the plan's number, the next goes on from there.
    await action(page, 'Rear axle, less').click();
    await action(page, 'Rear axle, less').click();
    await expect(page.getByLabel('Rear axle in psi')).toHaveValue('18');
    await action(page, 'Keep what I read').click();

    await expect(page.getByText('Air is out. Prove it with a tape')).toBeVisible();
    await expect(axle(page, 'Rear')).toContainText('18psi');
    await action(page, 'Measure the contact length').click();
    // It begins on the heaviest wheel; another wheel brings its own pressures.
    await expect(page.getByLabel('Reading 1: gauge in psi')).toHaveValue('42');
    await expect(page.getByLabel('Reading 2: gauge in psi')).toHaveValue('18');
    await page.getByRole('radio', { name: 'Front left' }).click();
    await expect(page.getByLabel('Reading 1: gauge in psi')).toHaveValue('36');
    await expect(page.getByLabel('Reading 2: gauge in psi')).toHaveValue('16');
    await page.getByLabel('Reading 1: contact length in mm').fill('498');
    await expect(page.getByText('Too few readings')).toBeVisible();
    await page.getByLabel('Reading 2: contact length in mm').fill('555');
    await action(page, 'Another reading').click();
    await page.getByLabel('Reading 3: gauge in psi').fill('25');
    await page.getByLabel('Reading 3: contact length in mm').fill('522');
    await expect(
      page.getByRole('heading', { name: 'Grew as expected' }).or(page.getByText('Grew as expected')),
    ).toBeVisible();
    await expect(page.getByText(/Your contact constant: 0\.\d\d ± 0\.\d\d/)).toBeVisible();
    await action(page, 'Save this test').click();

    await expect(page.getByText('Measured. Say what you decided')).toBeVisible();
    await action(page, 'Write the decision').click();
    await page.getByRole('radio', { name: 'Keep this pressure' }).click();
    await page.getByLabel('What you saw (if you like)').fill('Went up the drift without spinning.');
    await action(page, 'Write it in the Book').click();
    await expect(page.getByText('Before pavement put the air back.')).toBeVisible();
    await expect(axle(page, 'Rear')).toContainText('42psi');

    await goTo(page, 'Ground');
    await chooseGround(page, 'Soft sand');
    await unfold(page, 'Why this number');
    await expect(
      page.getByText(/Print length over chord: assumed 0\.68, yours 0\.\d\d \(0\.\d\d to 0\.\d\d\)/).first(),
    ).toBeVisible();

    await product.server.stop();
    await product.database.stop();
    await product.database.start();
    await product.server.start();
    await page.goto('/book');
    const line = page.getByRole('link', { name: /Samphire Flat/ });
    await expect(line).toContainText('Set: front 16 psi, rear 18 psi');
    await expect(line).toContainText('Tape: grew as expected');
    await expect(line).toContainText('Keep this pressure: Went up the drift without spinning.');
    await expect(page.getByRole('main').getByRole('listitem').first()).toContainText('20 Nov 2026');

    await goTo(page, 'Today');
    // Nothing said ends it: every wheel is read, cold.
    await action(page, 'Road check: read every wheel').click();
    await expect(page.getByRole('heading', { name: 'Not ready for pavement' })).toBeVisible();
    await page.getByLabel('Just driven').click();
    for (const [wheel, reads] of [
      ['Front left', '36'],
      ['Front right', '36'],
      ['Rear left', '42'],
      ['Rear right', '42'],
    ] as const) {
      await page.getByLabel(`${wheel} reads in psi`).fill(reads);
    }
    await action(page, 'Keep what they read').click();
    await expect(page.getByRole('heading', { name: 'Ready for pavement' })).toBeVisible();
    await action(page, 'Ready for the road: end the outing').click();
    await expect(page.getByRole('heading', { name: 'Where to today?' })).toBeVisible();
    await page.getByRole('radio', { name: 'Redshank, dune runner' }).click();
    await chooseGround(page, 'Snow');
    await page.getByLabel('Where, what for (if you like)').fill('Over the saddle');
    await action(page, 'Start the outing').click();
    await expect(page.getByText('Snow ahead. Let air out before you drive on it.')).toBeVisible();
  },
);
