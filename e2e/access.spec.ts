import { AxeBuilder } from '@axe-core/playwright';

import { expect, settled, test } from './fixtures';

const PAGES = {
  'Today and rigs': [
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
    '/office',
    '/rigs/0192f000-0000-7000-8000-000000000110/pressures',
    '/crew',
    '/office',
  ],
  Ground: [
    '/ground?ground=softSand',
    '/ground?rig=0192f000-0000-7000-8000-000000000109&ground=rock',
    '/ground?ground=stuck',
    '/ground/what-if?ground=softSand',
    '/ground/day',
  ],
  Air: [
    '/air',
    '/air/out?ground=softSand',
    '/air/in',
    '/air/tools',
    '/air/level',
    '/air/watch',
    '/air/road',
    '/air/central?rig=0192f000-0000-7000-8000-000000000110',
    '/air/log',
  ],
  'Proof and Book': [
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
  ],
};
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'];
const LEAST_TARGET_PX = 48;

const found = async (axe: AxeBuilder): Promise<string[]> =>
  (await axe.analyze()).violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .map(({ html }) => html)
        .join(' ')
        .slice(0, 300)}`,
  );

/** What is looked at wide too: one page of each layout. */
const WIDE = new Set([
  '/',
  '/rigs',
  '/rigs/new',
  '/rigs/files',
  '/ground?ground=softSand',
  '/ground/what-if?ground=softSand',
  '/air/out?ground=softSand',
  '/air/watch',
  '/proof',
  '/proof/tape/0192f000-0000-7000-8000-000000000301',
  '/book',
]);

for (const [place, paths] of Object.entries(PAGES)) {
  test(
    `${place}: nothing for axe to find by day or night, and all to press is big enough for a glove`,
    {
      tag: '@wide',
    },
    async ({ page }, { project }) => {
      // Every page one after the other.
      test.setTimeout(240_000);
      for (const path of paths.filter((each) => project.name === 'phone' || WIDE.has(each))) {
        await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
        await page.goto(path);
        await settled(page);
        expect(await found(new AxeBuilder({ page }).withTags(RULES)), path).toEqual([]);
        const small = await page
          .locator(
            '[role=button], [role=radio], [role=switch]:not([inert] *), a[href], input:not([type=checkbox]), textarea',
          )
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
        // At night the same page wears other colors, and nothing else.
        const ink = () => getComputedStyle(document.querySelector('h1')!).color;
        const day = await page.evaluate(ink);
        await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
        await expect.poll(() => page.evaluate(ink)).not.toBe(day);
        expect(await found(new AxeBuilder({ page }).withRules(['color-contrast'])), `${path} at night`).toEqual([]);
      }
    },
  );
}
