import { setTimeout as sleep } from 'node:timers/promises';

import { slowPhone } from './slowPhone.mjs';

/*
 * How quick the application is on a slow phone: a page of a phone's size at a quarter of this machine's speed, times from
 * the page's own clock.
 */

/** Openings scatter by a third. */
const OPENINGS = 15;
const RUNS = 7;
/** What an opening sets off behind it (the shell is fetched and compiled, a visitor leaves) does not stand beside the next, ms. */
const REST_MS = 2_000;
/** What the drawing of the words set off, and what is drawn after them, is part of the way too, ms. */
const DRAWN_MS = 500;
/** A page is there before it is told its address, ms. */
const SETTLE_MS = 1_000;
/** Rows of a large farm. */
const ROWS = 5_000;

const quantile = (values, share) => [...values].sort((a, b) => a - b)[Math.floor(values.length * share)];
const median = (values) => quantile(values, 0.5);

/** Notes, in the page, when a text is first drawn, and the longest task so far. */
function watch({ words, buffered }) {
  window.seenAt = undefined;
  window.longest = 0;
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
  }).observe({ type: 'longtask', buffered });
  // Looked for whenever something changes, not at each frame: a page that nothing moves on makes no frames by itself.
  const changes = new MutationObserver(() => {
    const main = document.getElementById('root') ?? document.body;
    if (!main?.textContent?.includes(words)) return;
    changes.disconnect();
    requestAnimationFrame(() => (window.seenAt = performance.now()));
  });
  changes.observe(document, { subtree: true, childList: true, characterData: true });
}
const seen = (page) => page.until(() => window.seenAt);

/** From asking for an address to the words, ms, and the longest task on the way. */
async function opened(visitor, address, words, { slow = true, restMs = DRAWN_MS } = {}) {
  const page = await visitor.open({ watch, about: { words, buffered: true }, slow });
  await sleep(SETTLE_MS);
  await page.go(address);
  const ms = await seen(page);
  await sleep(restMs);
  const longestMs = await page.run(() => window.longest);
  await page.close();
  await sleep(REST_MS);
  return { ms, longestMs };
}

const middle = (runs) => ({
  ms: median(runs.map(({ ms }) => ms)),
  // Whatever else this machine does can only add to it: a quarter of all runs are quicker than this.
  quickMs: quantile(
    runs.map(({ ms }) => ms),
    0.25,
  ),
  longestMs: median(runs.map(({ longestMs }) => longestMs)),
});

async function cold(phone, address, words) {
  const visitor = await phone.visitor();
  const run = await opened(visitor, address, words);
  await visitor.leave();
  await sleep(REST_MS);
  return run;
}

/** A device that has the shell and all rows. */
async function withShell(phone, address) {
  const visitor = await phone.visitor();
  const page = await visitor.open();
  await page.go(`${address}/rigs/files`);
  await page.until(() => navigator.serviceWorker.controller !== null);
  await page.untilText('Your rigs, outings, tests and readings are on this device');
  // Once more through the shell, as on every later day: the browser keeps what it made of the code.
  for (let run = 0; run < 2; run += 1) {
    await page.go(address);
    await page.untilText('Samphire Flat');
    await sleep(1_500);
  }
  await page.close();
  return visitor;
}

/** Where one goes by a tap, and the words that are there then. */
const PLACES = [
  ['Rigs', 'Touring, water and stakes'],
  ['Ground', 'Decided by: what the trade runs'],
  ['Air', 'Warm-up or leak, by hand'],
  ['Proof', 'How long one wheel stands on the ground'],
  ['Book', 'Cairn track, fence posts'],
];

/** The middle of a link among the places, once it is there. */
const linkTo = (place) => {
  const links = [
    ...document.querySelectorAll('nav[aria-label="Places"] a, [role="navigation"][aria-label="Places"] a'),
  ];
  const box = links.find((link) => link.textContent.trim() === place)?.getBoundingClientRect();
  return box?.width ? { x: box.x + box.width / 2, y: box.y + box.height / 2 } : null;
};

/** From a tap on a place to its words, for the first time on this page, and the longest task until all of it stands. */
async function placesAt(visitor, address) {
  const figures = {};
  for (const [place, words] of PLACES) {
    const runs = [];
    for (let run = 0; run < RUNS; run += 1) {
      const page = await visitor.open();
      await page.go(address);
      const { x, y } = await page.until(linkTo, place);
      await sleep(1_500);
      await page.slow();
      await page.run(() => {
        addEventListener('click', () => (window.tappedAt = performance.now()), { capture: true, once: true });
      });
      await page.run(watch, { words, buffered: false });
      for (const type of ['mouseMoved', 'mousePressed', 'mouseReleased']) await page.mouse(type, x, y);
      const at = await seen(page);
      await sleep(DRAWN_MS);
      const { tappedAt, longest } = await page.run(() => ({ tappedAt: window.tappedAt, longest: window.longest }));
      runs.push({ ms: at - tappedAt, longestMs: longest });
      await page.close();
    }
    figures[place] = middle(runs);
  }
  return figures;
}

/** Where a tap on something of a place leads. */
const FURTHER = [
  ['a rig', '/rigs', 'Curlew'],
  ['a new rig', '/rigs', 'Start another rig'],
  ['a gauge', '/rigs/tools', 'Another gauge'],
  ['What if', '/ground', 'What if'],
  ['Let it out', '/ground', 'Let it out'],
  ['Put air in', '/air', 'Put air in'],
  ['Road check', '/air', 'Road check'],
  ['Watch', '/air', 'Watch'],
  ['Log', '/air', 'Log'],
  ['Tape', '/proof', 'Tape'],
  ['Chalk line', '/proof', 'Chalk line'],
  ['an outing', '/book', '8 Oct 2026'],
];
const FURTHER_RUNS = 5;
/** From an address to everything behind it having been run, ms. */
const RAN_MS = 4_000;
/** Until all stands that a tap leads to, ms. */
const STANDS_MS = 1_500;

/** The middle of what begins with some words and can be tapped, brought into view. */
const toTap = (words) => {
  const all = [...document.querySelectorAll('a, button, [role="button"]')];
  const found = all.find((each) => !each.closest('[aria-label="Places"]') && each.textContent.trim().startsWith(words));
  found?.scrollIntoView({ block: 'center' });
  const box = found?.getBoundingClientRect();
  return box?.width ? { x: box.x + box.width / 2, y: box.y + box.height / 2 } : null;
};

/** The longest task from a tap until all stands that it leads to, ms, of every screen that is led to. */
export async function furtherFigures(address) {
  const phone = await slowPhone();
  try {
    const visitor = await withShell(phone, address);
    const figures = {};
    for (const [screen, from, words] of FURTHER) {
      const runs = [];
      for (let run = 0; run < FURTHER_RUNS; run += 1) {
        const page = await visitor.open();
        await page.go(address + from);
        await page.until(toTap, words);
        await sleep(RAN_MS);
        await page.slow();
        const { x, y } = await page.until(toTap, words);
        await page.run(watch, { words: '', buffered: false });
        for (const type of ['mouseMoved', 'mousePressed', 'mouseReleased']) await page.mouse(type, x, y);
        await sleep(STANDS_MS);
        const isThere = await page.run((path) => location.pathname !== path, from);
        if (!isThere) throw new Error(`A tap on “${words}” led nowhere`);
        runs.push(await page.run(() => window.longest));
        await page.close();
      }
      figures[screen] = median(runs);
    }
    return figures;
  } finally {
    await phone.close();
  }
}

/** Makes it that many rigs, each like one that is there. */
async function fill(address) {
  const { items } = await (await fetch(`${address}/api/v1/rigs?limit=20`)).json();
  let made = 0;
  const make = async () => {
    while (made < ROWS) {
      const index = (made += 1);
      const { createdAt: _, updatedAt: __, savedBy: ___, keeperId: ____, ...rig } = items[index % items.length];
      const id = `0192f0aa-0000-7000-8000-${String(index).padStart(12, '0')}`;
      const body = { ...rig, id, revision: 0, name: `Machine ${index}` };
      const answer = await fetch(`${address}/api/v1/rigs/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
      if (!answer.ok) throw new Error(`A rig was not taken: ${await answer.text()}`);
    }
  };
  await Promise.all(Array.from({ length: 16 }, make));
}

/** All rows of a large farm come onto a device for the first time, and it is opened with them, at full speed. */
export async function fillFigures(address) {
  await fill(address);
  const phone = await slowPhone();
  try {
    const visitor = await phone.visitor();
    const once = () => opened(visitor, address, 'Samphire Flat', { slow: false, restMs: 1_500 });
    return { rows: ROWS, first: await once(), again: await once() };
  } finally {
    await phone.close();
  }
}

export async function quickFigures(address, emptyAddress) {
  const phone = await slowPhone();
  try {
    const visitor = await withShell(phone, address);
    const [empty, ours, shell] = [[], [], []];
    // In turns: a machine is not always as quick.
    for (let run = 0; run < OPENINGS; run += 1) {
      empty.push(await cold(phone, emptyAddress, 'Empty'));
      ours.push(await cold(phone, address, 'Samphire Flat'));
      shell.push(await opened(visitor, address, 'Samphire Flat'));
    }
    const places = await placesAt(visitor, address);
    return { empty: middle(empty), ours: middle(ours), shell: middle(shell), places };
  } finally {
    await phone.close();
  }
}
