import { bodyOf, type RigRow } from '@dunlinmoss/contract';
import { fullRig } from '@dunlinmoss/domain/testing';
import { IDBFactory } from 'fake-indexeddb';

import { FakeServer } from '../testing/fakeServer';
import { forgetDevice, openDevice } from './device';
import { become, flush, forgetOutbox, save, settle } from './outbox';
import { outboxReady, outboxStore } from './outboxStore';
import { forgetDeviceRows, rowHere, rowsHere } from './deviceRows';
import { bringBack, leftBehindStore, letGoLeftBehind, startSetBack } from './setBack';
import { syncNow } from './sync';

const id = (n: number): string => `0192f000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const rig = (n: number, name = `Knot ${n}`) => ({ ...bodyOf('rigs', fullRig({ id: id(n), name })), revision: 0 });

let server: FakeServer;
let stop: () => void = () => undefined;
const reload = async (): Promise<void> => {
  stop();
  forgetOutbox();
  forgetDeviceRows();
  forgetDevice();
  leftBehindStore.set(null);
  stop = startSetBack();
  await outboxReady();
};
beforeEach(async () => {
  server = new FakeServer();
  globalThis.indexedDB = new IDBFactory();
  globalThis.fetch = server.fetch;
  await reload();
});
afterEach(() => stop());

const offered = () => (leftBehindStore.get()?.rows ?? []).map(({ id: each, how }) => [each, how]);
const nameAt = (n: number): string | undefined => server.row<RigRow>('rigs', id(n))?.name;
const rename = async (n: number, name: string) =>
  save('rigs', { ...bodyOf('rigs', (await rowHere('rigs', id(n)))!), name });
/** What was done after the backup is in this device: 2 is changed, 3 is archived, 4 is new; 1 is as it was. */
async function lived(): Promise<(sameStore?: boolean) => void> {
  for (const n of [1, 2, 3]) server.put('rigs', rig(n));
  await syncNow();
  const restore = server.backup();
  await rename(2, 'Sill dented');
  await become('rigs', id(3), 'archive', (await rowHere('rigs', id(3)))!.revision);
  await flush();
  await save('rigs', rig(4, 'New'));
  await syncNow();
  return restore;
}

it('what the store lost is offered, and comes back as it was', async () => {
  (await lived())();
  await syncNow();
  expect(offered()).toEqual([
    [id(2), 'older'],
    [id(4), 'missing'],
    [id(3), 'archived'],
  ]);
  expect([
    (await rowHere('rigs', id(2)))?.name,
    await rowHere('rigs', id(4)),
    (await rowHere('rigs', id(3)))?.name,
  ]).toEqual(['Knot 2', undefined, 'Knot 3']);
  await bringBack(leftBehindStore.get()!.rows!);
  await flush();
  expect([nameAt(2), nameAt(4), leftBehindStore.get()]).toEqual(['Sill dented', 'New', null]);
  expect(server.kept.filter(({ archived }) => archived).map(({ row }) => row.id)).toEqual([id(3)]);
  await syncNow();
  expect(offered()).toEqual([]);
});

it('it is still offered after a reload in the middle of getting everything anew, until it is let go', async () => {
  const restore = await lived();
  for (const n of [5, 6, 7]) server.put('rigs', rig(n));
  await syncNow();
  restore();
  let pages = 0;
  globalThis.fetch = (async (...given: Parameters<typeof fetch>) => {
    if (String(given[0]).includes('/changes') && (pages += 1) === 2) throw new TypeError('Failed to fetch');
    return server.fetch(...given);
  }) as never;
  // Three rows are of the first page alone.
  server.put('rigs', rig(8));
  await expect(syncNow()).rejects.toThrow();
  await reload();
  await syncNow();
  const all = offered();
  expect(all).toHaveLength(6);
  await reload();
  expect(offered()).toEqual(all);
  const undo = await letGoLeftBehind(leftBehindStore.get()!.rows!.slice(1));
  expect(offered()).toEqual(all.slice(0, 1));
  await undo();
  await letGoLeftBehind(leftBehindStore.get()!.rows!);
  await reload();
  expect(offered()).toEqual([]);
});

describe('what waits here when the store is set back', () => {
  it('goes out without a word where its row is as it was', async () => {
    const restore = await lived();
    server.line = 'away';
    await rename(1, 'Offline');
    restore();
    server.line = 'up';
    await flush();
    expect([nameAt(1), outboxStore.get()[`rigs/${id(1)}`]?.clashing]).toEqual(['Knot 1', undefined]);
    await syncNow();
    await flush();
    expect([nameAt(1), Object.keys(outboxStore.get())]).toEqual(['Offline', []]);
  });

  it.each([
    ['mine', 'Offline'],
    ['theirs', 'Knot 2'],
  ] as const)('is held where the store lost what it was made of: %s', async (choice, then) => {
    const restore = await lived();
    server.line = 'away';
    await rename(2, 'Offline');
    restore();
    server.line = 'up';
    await flush();
    await syncNow();
    await flush();
    const key = `rigs/${id(2)}`;
    expect([nameAt(2), outboxStore.get()[key]?.clashing?.setBack]).toEqual(['Knot 2', true]);
    expect(offered()).not.toContainEqual([id(2), 'older']);
    await settle(key, choice);
    expect([nameAt(2), outboxStore.get()[key]]).toEqual([then, undefined]);
  });

  it.each([
    ['mine', 'Offline'],
    ['theirs', undefined],
  ] as const)('is held where its row is not there any more: %s', async (choice, then) => {
    const restore = await lived();
    server.line = 'away';
    await rename(4, 'Offline');
    restore();
    server.line = 'up';
    await syncNow();
    await flush();
    await settle(`rigs/${id(4)}`, choice);
    expect([nameAt(4), Object.keys(outboxStore.get())]).toEqual([then, []]);
  });
});

it('a device that is behind the backup takes what is there, and is asked nothing', async () => {
  for (const n of [1, 2]) server.put('rigs', rig(n));
  await syncNow();
  server.put('rigs', rig(1, 'By others'));
  server.put('rigs', bodyOf('rigs', rig(2) as never), true);
  server.put('rigs', rig(3));
  server.backup()();
  await syncNow();
  expect([offered(), (await rowHere('rigs', id(1)))?.name, (await rowsHere('rigs')).map((row) => row.id)]).toEqual([
    [],
    'By others',
    [id(1), id(3)],
  ]);
});

it('what another device has brought back already is not there twice', async () => {
  (await lived())();
  await syncNow();
  server.put('rigs', { ...rig(4, 'New') });
  await syncNow();
  await bringBack(leftBehindStore.get()!.rows!.filter(({ id: each }) => each === id(4)));
  await flush();
  expect([nameAt(4), Object.keys(outboxStore.get())]).toEqual(['New', []]);
});

it('of another store nothing is archived; what is not in it is offered', async () => {
  const restore = await lived();
  restore(false);
  await syncNow();
  expect(offered()).toEqual([
    [id(2), 'older'],
    [id(4), 'missing'],
  ]);
});

it('set back twice, the first is still on offer', async () => {
  const restore = await lived();
  restore();
  await syncNow();
  await letGoLeftBehind(leftBehindStore.get()!.rows!.filter(({ how }) => how === 'archived'));
  restore();
  await syncNow();
  expect(offered()).toEqual([
    [id(2), 'older'],
    [id(4), 'missing'],
  ]);
});

it('on a full device nothing is taken away that could not be kept aside', async () => {
  const restore = await lived();
  restore();
  const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  expect(await syncNow()).toBe(false);
  full.mockRestore();
  expect((await rowHere('rigs', id(2)))?.name).toBe('Sill dented');
  expect(await (await openDevice())!.count('rows')).toBe(3);
  await syncNow();
  expect(offered()).toHaveLength(3);
});
