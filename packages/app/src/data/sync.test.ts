import { bodyOf, type Rig } from '@dunlinmoss/contract';
import { fullRig } from '@dunlinmoss/domain/testing';
import { renderHook, waitFor } from '@testing-library/react';
import { IDBFactory } from 'fake-indexeddb';

import { FakeServer } from '../testing/fakeServer';
import { forgetPage } from '../testing/forgetPage';
import { Away } from './client';
import { notKeptStore, openDevice } from './device';
import { rowHere, rowsHere, syncStateHere } from './deviceRows';
import { firstScreenComes, firstScreenStands } from './firstScreen';
import { flush, save } from './outbox';
import { useRows } from './rows';
import { syncFirst, syncNow } from './sync';
import { arrived, departed } from './takeIn';

const id = (n: number): string => `0192f000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const rig = (n: number, change: Partial<Rig> = {}): Rig => ({
  ...bodyOf('rigs', fullRig({ id: id(n), name: `Knot ${n}` })),
  revision: 0,
  ...change,
});

let server: FakeServer;
const storedRows = async (): Promise<unknown> => (await openDevice())!.count('rows');
const soon = (): Promise<unknown> => new Promise((resolve) => setTimeout(resolve, 100));

/** Every list of rigs that a screen was given, and whether it was told to be all. */
function followed() {
  const drawn: { readonly names: readonly string[]; readonly loading: boolean }[] = [];
  const { unmount } = renderHook(() => {
    const { rows, loading } = useRows('rigs');
    drawn.push({ names: rows.map(({ name }) => name), loading });
  });
  return { drawn, unmount, last: () => drawn.at(-1) };
}

beforeEach(async () => {
  // Drawn whenever something changes, as in a browser, and not at the end of an act alone.
  (globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = false;
  server = new FakeServer();
  // As the real one, which gives those of the last seconds again.
  server.repeats = 2;
  globalThis.indexedDB = new IDBFactory();
  globalThis.fetch = server.fetch;
  globalThis.localStorage.clear();
  await forgetPage();
});

it('a look that brings nothing new draws nothing anew, though rows come twice', async () => {
  for (const n of [1, 2]) server.put('rigs', rig(n));
  await syncNow();
  const { drawn, last } = followed();
  await waitFor(() => expect(last()).toEqual({ names: ['Knot 1', 'Knot 2'], loading: false }));
  const before = drawn.length;
  await syncNow();
  await flush();
  await soon();
  expect(drawn).toHaveLength(before);
  server.put('rigs', rig(2, { name: 'Ruff' }));
  await syncNow();
  await waitFor(() => expect(last()!.names).toEqual(['Knot 1', 'Ruff']));
});

it('rows that a full device could not take are held by the page, come again, and then it has them', async () => {
  const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  server.put('rigs', rig(1));
  await syncNow();
  expect([(await rowHere('rigs', id(1)))?.name, await storedRows(), notKeptStore.get()]).toEqual(['Knot 1', 0, 'full']);
  const { last } = followed();
  await waitFor(() => expect(last()!.names).toEqual(['Knot 1']));
  full.mockRestore();
  await syncNow();
  expect([await storedRows(), notKeptStore.get()]).toEqual([1, null]);
});

it('nothing of another server is shown on a full device, nor what went while it was full', async () => {
  for (const n of [1, 2]) server.put('rigs', rig(n));
  await syncNow();
  const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  await arrived('rigs', { ...(await rowHere('rigs', id(1)))!, name: 'Meanwhile', revision: 2 });
  jest.spyOn(IDBObjectStore.prototype, 'delete').mockImplementationOnce(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  await departed('rigs', id(2));
  expect((await rowsHere('rigs')).map(({ name }) => name)).toEqual(['Meanwhile']);
  server = new FakeServer();
  globalThis.fetch = server.fetch;
  server.put('rigs', rig(5));
  await (await openDevice())!.delete('sync', 'state');
  await syncNow();
  expect((await rowsHere('rigs')).map(({ name }) => name)).toEqual(['Knot 5']);
  full.mockRestore();
});

it('where the line breaks while everything is coming, what has come is there, and the rest follows', async () => {
  for (const n of [1, 2, 3, 4, 5, 6, 7]) server.put('rigs', rig(n));
  const { last } = followed();
  let pages = 0;
  globalThis.fetch = (async (...request: Parameters<typeof fetch>) => {
    if (String(request[0]).includes('/changes') && (pages += 1) === 3) server.line = 'away';
    return server.fetch(...request);
  }) as never;
  await expect(syncNow()).rejects.toThrow(Away);
  await waitFor(() => expect(last()!.names).toHaveLength(4));
  expect([(await rowsHere('rigs')).length, (await syncStateHere())?.filled]).toEqual([4, false]);
  server.line = 'up';
  await syncNow();
  await waitFor(() => expect(last()).toMatchObject({ names: { length: 7 }, loading: false }));
  expect([(await syncStateHere())?.filled, await storedRows()]).toEqual([true, 7]);
});

it('no list counts as all there is before the last of it has come; what was done meanwhile stays', async () => {
  server.repeats = 0;
  for (const n of [1, 2, 3, 4, 5, 6, 7]) server.put('rigs', rig(n));
  const { drawn, last } = followed();
  let pages = 0;
  globalThis.fetch = (async (...request: Parameters<typeof fetch>) => {
    if (String(request[0]).includes('/changes')) pages += 1;
    if (pages === 2 && String(request[0]).includes('/changes')) {
      // Of what has come: one is saved, one archived.
      const { row } = server.kept.find(({ row: { id: each } }) => each === id(1))!;
      await arrived('rigs', { ...row, name: 'Meanwhile', revision: 2 } as never);
      await departed('rigs', id(2));
    }
    return server.fetch(...request);
  }) as never;
  await syncNow();
  const all = ['Knot 3', 'Knot 4', 'Knot 5', 'Knot 6', 'Knot 7', 'Meanwhile'];
  await waitFor(() => expect(last()).toEqual({ names: all, loading: false }));
  expect(pages).toBe(3);
  for (const { names, loading } of drawn) if (!loading) expect(names).toEqual(all);
});

it('another server empties the lists, and nobody takes them for all there is', async () => {
  for (const n of [1, 2, 3]) server.put('rigs', rig(n));
  await syncNow();
  const { drawn, last } = followed();
  await waitFor(() => expect(last()!.names).toHaveLength(3));
  const before = drawn.length;
  server = new FakeServer();
  globalThis.fetch = server.fetch;
  for (const n of [4, 5, 6, 7, 8]) server.put('rigs', rig(n));
  await (await openDevice())!.delete('sync', 'state');
  await syncNow();
  await waitFor(() => expect(last()).toMatchObject({ names: { length: 5 }, loading: false }));
  for (const { names, loading } of drawn.slice(before)) {
    if (!loading && names.length !== 3) expect(names).toHaveLength(5);
  }
});

it('a device that has everything draws it before it looks for changes; one that has not looks at once', async () => {
  server.put('rigs', rig(1));
  const requests = jest.fn();
  globalThis.fetch = (async (...args: Parameters<typeof fetch>) => {
    requests();
    return server.fetch(...args);
  }) as never;
  firstScreenComes();
  const filling = syncFirst();
  await waitFor(async () => expect((await syncStateHere())?.filled).toBe(true));
  expect(requests).toHaveBeenCalledTimes(1);
  firstScreenStands();
  await filling;
  await forgetPage();
  firstScreenComes();
  const looking = syncFirst();
  await soon();
  expect(requests).toHaveBeenCalledTimes(1);
  firstScreenStands();
  await looking;
  expect(requests).toHaveBeenCalledTimes(2);
});

it('of many rows none is lost that came or went while they were being read', async () => {
  const many = 403;
  for (let n = 1; n <= many; n += 1) server.put('rigs', rig(n));
  await syncNow();
  const { last } = followed();
  await arrived('rigs', { ...(await rowHere('rigs', id(1)))!, name: 'Meanwhile', revision: 2 });
  await departed('rigs', id(2));
  await waitFor(() => expect(last()!.names).toHaveLength(many - 1));
  expect([last()!.names.includes('Meanwhile'), last()!.names.includes('Knot 2')]).toEqual([true, false]);
});

it('what changed late is not overwritten by what was read early', async () => {
  for (let n = 1; n <= 60; n += 1) server.put('rigs', rig(n));
  await syncNow();
  const { last } = followed();
  await waitFor(() => expect(last()!.names).toHaveLength(60));
  const rows = await rowsHere('rigs');
  const many = rows.map((row) => arrived('rigs', { ...row, note: 'x', revision: 2 }));
  const one = arrived('rigs', { ...rows[59]!, name: 'Late', revision: 3 });
  await Promise.all([...many, one]);
  await waitFor(() => expect(last()!.names).toContain('Late'));
});

// Last: what is begun here goes on.
it('rows are drawn once what waits on top of them is known', async () => {
  server.put('rigs', rig(1));
  await syncNow();
  server.line = 'away';
  await save('rigs', { ...bodyOf('rigs', (await rowHere('rigs', id(1)))!), name: 'Renamed' });
  await forgetPage();
  const { drawn, last } = followed();
  await waitFor(() => expect(last()!.names).toEqual(['Renamed']));
  expect(drawn.some(({ names }) => names.includes('Knot 1'))).toBe(false);
});
