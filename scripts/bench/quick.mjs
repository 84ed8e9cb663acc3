/*
 * How quick the application is on a slow phone: a page of a phone's size at a quarter of this machine's speed, times from
 * the page's own clock.
 */

const SLOWDOWN = 4;
const RUNS = 7;
const PHONE = { width: 390, height: 844 };

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

async function slowed(page) {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });
}

/** Notes, in the page, when a text is first drawn, and the longest task so far. */
function watch({ words, buffered }) {
  window.seenAt = undefined;
  window.longest = 0;
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
  }).observe({ type: 'longtask', buffered });
  const look = () => {
    const main = document.getElementById('root') ?? document.body;
    if (main?.textContent?.includes(words)) window.seenAt = performance.now();
    else requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}
const seen = (page) => page.waitForFunction(() => window.seenAt).then((handle) => handle.jsonValue());

/** From asking for an address to the words, ms, and the longest task on the way. */
async function opened(context, address, words) {
  const page = await context.newPage();
  await page.addInitScript(watch, { words, buffered: true });
  await slowed(page);
  await page.goto(address, { waitUntil: 'commit' });
  const ms = await seen(page);
  const longestMs = await page.evaluate(() => window.longest);
  await page.close();
  return { ms, longestMs };
}

const middle = (runs) => ({
  ms: median(runs.map(({ ms }) => ms)),
  longestMs: median(runs.map(({ longestMs }) => longestMs)),
});

async function cold(browser, address, words) {
  const context = await browser.newContext({ viewport: PHONE, serviceWorkers: 'block' });
  const run = await opened(context, address, words);
  await context.close();
  return run;
}

/** A device that has the shell and all rows. */
async function withShell(browser, address) {
  const context = await browser.newContext({ viewport: PHONE });
  const page = await context.newPage();
  await page.goto(`${address}/rigs/files`);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.getByText(/^Your rigs, outings, tests and readings are on this device/).waitFor();
  // Once more through the shell, as on every later day: the browser keeps what it made of the code.
  for (let run = 0; run < 2; run += 1) {
    await page.goto(address);
    await page.getByText('Samphire Flat', { exact: false }).first().waitFor();
    await page.waitForTimeout(1_500);
  }
  await page.close();
  return context;
}

/** Where one goes by a tap, and the words that are there then. */
const PLACES = [
  ['Rigs', 'Touring, water and stakes'],
  ['Ground', 'Decided by: what the trade runs'],
  ['Air', 'Warm-up or leak, by hand'],
  ['Proof', 'How long one wheel stands on the ground'],
  ['Book', 'Cairn track, fence posts'],
];

/** From a tap on a place to its words, for the first time on this page. */
async function placesAt(context, address) {
  const figures = {};
  for (const [place, words] of PLACES) {
    const runs = [];
    for (let run = 0; run < RUNS; run += 1) {
      const page = await context.newPage();
      await page.goto(address);
      const link = page.getByRole('navigation', { name: 'Places' }).getByText(place, { exact: true });
      await link.waitFor();
      await page.waitForTimeout(1_500);
      await slowed(page);
      await page.evaluate(() => {
        addEventListener('click', () => (window.tappedAt = performance.now()), { capture: true, once: true });
      });
      await page.evaluate(watch, { words, buffered: false });
      await link.click();
      const at = await seen(page);
      const { tappedAt, longest } = await page.evaluate(() => ({ tappedAt: window.tappedAt, longest: window.longest }));
      runs.push({ ms: at - tappedAt, longestMs: longest });
      await page.close();
    }
    figures[place] = middle(runs);
  }
  return figures;
}

export async function quickFigures(address, emptyAddress) {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const context = await withShell(browser, address);
    const [empty, ours, shell] = [[], [], []];
    // In turns: a machine is not always as quick.
    for (let run = 0; run < RUNS; run += 1) {
      empty.push(await cold(browser, emptyAddress, 'Empty'));
      ours.push(await cold(browser, address, 'Samphire Flat'));
      shell.push(await opened(context, address, 'Samphire Flat'));
    }
    const places = await placesAt(context, address);
    return { empty: middle(empty), ours: middle(ours), shell: middle(shell), places };
  } finally {
    await browser.close();
  }
}
