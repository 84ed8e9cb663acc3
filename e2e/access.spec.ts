import { AxeBuilder } from '@axe-core/playwright';

import { expect, settled, test } from './fixtures';

const PAGES = [
  '/',
  '/rigs',
  '/rigs/new',
  '/rigs/new?family=mountainBike',
  '/rigs/0192f000-0000-7000-8000-000000000110',
  '/rigs/0192f000-0000-7000-8000-000000000110/edit',
  '/rigs/0192f000-0000-7000-8000-000000000110/load/0192f000-0000-7000-8000-000000000517',
  '/rigs/0192f000-0000-7000-8000-000000000106/card',
  '/rigs/marking',
  '/rigs/tools',
  '/rigs/gauge/0192f000-0000-7000-8000-000000000401',
  '/rigs/tool/new',
  '/rigs/files',
  '/ground?ground=softSand',
  '/ground?rig=0192f000-0000-7000-8000-000000000109&ground=rock',
  '/ground?ground=stuck',
  '/ground/what-if?ground=softSand',
  '/ground/day',
  '/rigs/0192f000-0000-7000-8000-000000000110/pressures',
  '/air',
  '/air/out?ground=softSand',
  '/air/in',
  '/air/tools',
  '/air/level',
  '/air/watch',
  '/air/road',
  '/air/central?rig=0192f000-0000-7000-8000-000000000110',
  '/air/log',
  '/proof',
  '/proof/tape/0192f000-0000-7000-8000-000000000301',
  '/proof/print/0192f000-0000-7000-8000-000000000303',
  '/proof/chalk/0192f000-0000-7000-8000-000000000304',
  '/proof/bracket/0192f000-0000-7000-8000-000000000305',
  '/proof/bracket/new?rig=0192f000-0000-7000-8000-000000000109',
  '/proof/penetrometer/0192f000-0000-7000-8000-000000000306',
  '/proof/infiltration/new?rig=0192f000-0000-7000-8000-000000000110',
  '/proof/learned?rig=0192f000-0000-7000-8000-000000000102',
  '/book',
];
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'];
const LEAST_TARGET_PX = 48;

for (const light of ['light', 'dark'] as const) {
  test(`nothing for axe to find, ${light}`, { tag: '@wide' }, async ({ page }) => {
    // Every page one after the other.
    test.setTimeout(240_000);
    await page.emulateMedia({ colorScheme: light, reducedMotion: 'reduce' });
    for (const path of PAGES) {
      await page.goto(path);
      await settled(page);
      const { violations } = await new AxeBuilder({ page }).withTags(RULES).analyze();
      expect(
        violations.map(
          ({ id, nodes }) =>
            `${path} ${id}: ${nodes
              .map(({ html }) => html)
              .join(' ')
              .slice(0, 300)}`,
        ),
      ).toEqual([]);
    }
  });
}

test('everything to press is big enough for a glove', { tag: '@wide' }, async ({ page }) => {
  test.setTimeout(180_000);
  for (const path of PAGES) {
    await page.goto(path);
    await settled(page);
    const small = await page
      .locator('[role=button], [role=radio], a[href], input:not([type=checkbox]), textarea')
      .evaluateAll(
        (elements, least) =>
          elements
            .map((element) => ({
              box: element.getBoundingClientRect(),
              name: element.getAttribute('aria-label') ?? element.textContent,
            }))
            .filter(({ box }) => box.width > 0 && (box.height < least - 0.5 || box.width < least - 0.5))
            .map(({ box, name }) => `${name} ${box.width}x${box.height}`),
        LEAST_TARGET_PX,
      );
    expect(small, path).toEqual([]);
  }
});
