import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

import { chromium, type Page } from '@playwright/test';

import { expect, test } from './fixtures';

/** Calls itself by a name that leads here, as a foreign page can have its own do. */
const REBOUND = 'elsewhere.test';
const RIG = '0192f000-0000-7000-8000-000000000101';
const TAKEN = {
  id: '0192f000-0000-7000-8000-0000000004ff',
  revision: 0,
  name: 'Taken',
  fromKpa: 0,
  fullScaleKpa: 400,
  gradePercent: 2.5,
  comparisons: [],
};

let site: Server;
let address: string;
test.beforeAll(async () => {
  site = createServer((_, response) => {
    response.setHeader('content-type', 'text/html').end('<h1>Another site</h1><form method="post"></form>');
  });
  await new Promise<void>((listening) => site.listen(0, '127.0.0.1', listening));
  address = `http://127.0.0.1:${(site.address() as AddressInfo).port}`;
});
test.afterAll(() => {
  site.close();
});

/** All that is kept here, as it goes out. */
async function kept(product: string): Promise<string> {
  const answers = ['/export', `/export/log/${RIG}`].map((path) => fetch(`${product}/api/v1${path}`));
  return (await Promise.all((await Promise.all(answers)).map((answer) => answer.text()))).join('\n');
}

/** Everything that a page may send without asking first, and what it must ask for. Gives what it could read. */
const attack = (page: Page, product: string, file: string): Promise<string[]> =>
  page.evaluate(
    async ({ api, rig, gauge, imported }) => {
      const read: string[] = [];
      const tryIt = async (path: string, init: RequestInit): Promise<void> => {
        try {
          if ((await fetch(api + path, init)).ok) read.push(`${init.method ?? 'GET'} ${path}`);
        } catch {
          // The browser let nothing through.
        }
      };
      const json = { 'content-type': 'application/json' };
      const log = 'time,axle,wheel,pressure_kpa\n2026-03-01T10:00:00Z,front,left,200\n';
      for (const mode of ['no-cors', 'cors'] as const) {
        await tryIt('/import', { method: 'POST', mode, body: imported });
        await tryIt(`/import/log/${rig}`, { method: 'POST', mode, body: log });
        await tryIt('/export', { mode });
        await tryIt('/rigs', { mode });
      }
      await tryIt(`/gauges/${gauge.id}`, { method: 'PUT', headers: json, body: JSON.stringify(gauge) });
      await tryIt('/import', { method: 'POST', headers: json, body: imported });
      await tryIt(`/rigs/${rig}?revision=1`, { method: 'DELETE' });
      navigator.sendBeacon(`${api}/import`, imported);
      return read;
    },
    { api: `${product}/api/v1`, rig: RIG, gauge: TAKEN, imported: file },
  );

/** What is kept with one gauge more, as a file that is taken where it may be. */
const withTaken = async (product: string): Promise<string> => {
  const file = (await (await fetch(`${product}/api/v1/export`)).json()) as { gauges: unknown[] };
  return JSON.stringify({ ...file, gauges: [...file.gauges, TAKEN] });
};

test('a page of another site reads nothing and changes nothing', async ({ browser, product }) => {
  const page = await browser.newPage();
  await page.goto(address);
  const before = await kept(product.address);
  const file = await withTaken(product.address);
  expect(await attack(page, product.address, file)).toEqual([]);
  expect(await kept(product.address)).toBe(before);
  // A form takes the page along to the answer.
  await page.evaluate(
    ([action, text]) => {
      const form = document.forms[0]!;
      form.action = action!;
      form.enctype = 'text/plain';
      const field = form.appendChild(document.createElement('input'));
      [field.name, field.value] = [text!, ''];
      form.submit();
    },
    [`${product.address}/api/v1/import`, file],
  );
  await expect(page.getByText('otherSite')).toBeVisible();
  expect(await kept(product.address)).toBe(before);
  await page.close();
});

test('a foreign name that leads here gets neither the application nor a row', async ({ product }) => {
  const { port } = new URL(product.address);
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', `--host-resolver-rules=MAP ${REBOUND} 127.0.0.1`],
  });
  const page = await browser.newPage();
  const before = await kept(product.address);
  for (const path of ['/', '/api/v1/export', '/rigs']) {
    const answer = await page.goto(`http://${REBOUND}:${port}${path}`);
    expect(answer!.status()).toBe(421);
    expect(await answer!.text()).not.toContain('Curlew');
  }
  const file = await withTaken(product.address);
  expect(await attack(page, `http://${REBOUND}:${port}`, file)).toEqual([]);
  expect(await kept(product.address)).toBe(before);
  await browser.close();
});
