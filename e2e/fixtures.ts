import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import { test as base, type Locator, type Page } from '@playwright/test';

import { startProduct } from '../scripts/product.mjs';

type Product = Awaited<ReturnType<typeof startProduct>>;

interface Fixtures {
  /** The whole product with the demo data, as on its first start. */
  product: Product;
}

interface WorkerFixtures {
  /** The product of a worker: it starts once, and again where a test left it stopped. */
  started: { product: Product | undefined; readonly folder: string };
}

const isUp = ({ address }: Product): Promise<boolean> =>
  fetch(`${address}/api/v1/ready`).then(
    ({ ok }) => ok,
    () => false,
  );

/**
 * Every test walks the started product, on the demo data alone. A page that throws or that asks anyone but the
 * product for anything fails its test.
 */
export const test = base.extend<Fixtures, WorkerFixtures>({
  started: [
    async ({}, use) => {
      const started: WorkerFixtures['started'] = {
        product: undefined,
        folder: mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-e2e-')),
      };
      await use(started);
      await started.product?.stop();
      rmSync(started.folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  product: async ({ started }, use) => {
    if (started.product && !(await isUp(started.product))) {
      await started.product.stop();
      started.product = undefined;
    }
    if (started.product) await started.product.reset();
    started.product ??= await startProduct({ folder: started.folder });
    await use(started.product);
  },
  baseURL: async ({ product }, use) => use(product.address),
  page: async ({ page, product }, use) => {
    const troubles: string[] = [];
    page.on('pageerror', (error) => troubles.push(error.message));
    page.on('request', (request) => {
      const { origin, protocol } = new URL(request.url());
      if (protocol.startsWith('http') && origin !== product.address) troubles.push(`asked ${request.url()}`);
    });
    await use(page);
    if (troubles.length > 0) throw new Error(troubles.join('\n'));
  },
});

export { expect } from '@playwright/test';

/** Goes to a place by the navigation that people use. */
export const goTo = (page: Page, place: string): Promise<void> =>
  page.getByRole('navigation', { name: 'Places' }).getByText(place, { exact: true }).click();

/** Chooses a ground: from the list in view on a wide screen, from the unfolding one on a phone. */
export async function chooseGround(page: Page, name: string): Promise<void> {
  const fold = page.getByRole('button', { name: /^Ground / });
  const choice = page.getByRole('radio', { name, exact: true });
  await fold.or(choice).first().waitFor();
  if (await fold.isVisible()) await fold.click();
  await choice.click();
}

/** Waits until nothing is being fetched any more. */
export async function settled(page: Page): Promise<void> {
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForFunction(() => !document.body.innerText.includes('Fetching …'));
}

/** The big numbers of one axle. */
export const axle = (page: Page, name: 'Front' | 'Rear'): Locator => page.getByRole('group', { name: `${name} axle` });

// As it begins: "it’s already set" also ends "See why, or it’s already set", which is still there while the next screen comes.
export const action = (page: Page, name: string | RegExp): Locator =>
  page.getByRole('button', { name: typeof name === 'string' ? beginning(name) : name });
const beginning = (name: string): RegExp => new RegExp(`^${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`);

/** Opens what is folded below the numbers of Ground; on a wide screen it is open already. */
export async function unfold(page: Page, label: 'Why this number' | 'Try something' | 'Refine it'): Promise<void> {
  const fold = action(page, label);
  await fold.waitFor();
  if ((await fold.getAttribute('aria-expanded')) === 'false') await fold.click();
}

/** Goes on from Ground to another screen of the same question. */
export async function goOn(page: Page, name: string): Promise<void> {
  await unfold(page, 'Try something');
  await page.getByRole('link', { name }).click();
}

/** Starts and stops the wheel one stands at, and keeps what the gauge reads then. */
export async function letOut(page: Page, reads: string): Promise<void> {
  await action(page, 'Start').click();
  await action(page, /^Stop$/).waitFor();
  await action(page, /^Stop$/).click();
  await page.getByLabel(/ reads in psi$/).fill(reads);
  await action(page, /keep that$/).click();
}
