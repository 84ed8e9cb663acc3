import { bodyOf } from '@dunlinmoss/contract';
import { fullRig } from '@dunlinmoss/domain/testing';
import { IDBFactory } from 'fake-indexeddb';

import { FakeServer } from '../testing/fakeServer';
import { beginData } from './begin';
import { Away } from './client';
import { forgetDevice, notKeptStore, openDevice } from './device';
import { firstScreenComes, firstScreenStands } from './firstScreen';
import { flush, forgetOutbox, outboxReady, outboxStore, save } from './outbox';
import { arrived, departed, forgetReplica, kindStore, loadKind, rowHere, syncStore } from './replica';
import { syncFirst, syncNow } from './sync';

const id = (n: number): string => `0192f000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const rig = (n: number) => ({ ...bodyOf('rigs', fullRig({ id: id(n), name: `Knot ${n}` })), revision: 0 });

let server: FakeServer;
const reload = (): void => {
  forgetOutbox();
  forgetReplica();
  forgetDevice();
};
const onDevice = async (): Promise<unknown> => (await openDevice())!.count('rows');

beforeEach(() => {
  server = new FakeServer();
  // As the real one, which tells those of the last seconds again.
  server.repeats = 2;
  globalThis.indexedDB = new IDBFactory();
  globalThis.fetch = server.fetch;
  globalThis.localStorage.clear();
  reload();
});

it('a look that brings nothing new tells no screen anything, though rows come twice', async () => {
  for (const n of [1, 2]) server.put('rigs', rig(n));
  await syncNow();
  await loadKind('rigs');
  await outboxReady();
  const told = jest.fn();
  const stops = [kindStore('rigs'), syncStore, outboxStore].map((store) => store.subscribe(told));
  await syncNow();
  await flush();
  expect(told).not.toHaveBeenCalled();
  server.put('rigs', { ...rig(2), note: 'Sill dented' });
  await syncNow();
  expect(told).toHaveBeenCalledTimes(1);
  expect(rowHere('rigs', id(2))).toMatchObject({ note: 'Sill dented' });
  stops.forEach((stop) => stop());
});

it('rows that a full device could not take come again, and then it has them', async () => {
  const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  server.put('rigs', rig(1));
  await syncNow();
  expect([rowHere('rigs', id(1))?.name, notKeptStore.get()]).toEqual(['Knot 1', 'full']);
  full.mockRestore();
  await syncNow();
  expect([await onDevice(), notKeptStore.get()]).toEqual([1, null]);
});

it('where the line breaks while everything is coming, what has come is there, and the rest follows', async () => {
  for (const n of [1, 2, 3, 4, 5, 6, 7]) server.put('rigs', rig(n));
  let pages = 0;
  globalThis.fetch = (async (...asked: Parameters<typeof fetch>) => {
    if (String(asked[0]).includes('/changes') && (pages += 1) === 3) server.line = 'away';
    return server.fetch(...asked);
  }) as never;
  await expect(syncNow()).rejects.toThrow(Away);
  const here = () => kindStore('rigs').get().rows.size;
  expect([here(), syncStore.get()?.filled]).toEqual([4, false]);
  server.line = 'up';
  await syncNow();
  expect([here(), syncStore.get()?.filled, await onDevice()]).toEqual([7, true, 7]);
});

it('everything is told at once when the last of it has come; what was done here meanwhile stands', async () => {
  server.repeats = 0;
  for (const n of [1, 2, 3, 4, 5, 6, 7]) server.put('rigs', rig(n));
  const told = jest.fn();
  await loadKind('rigs');
  const stop = kindStore('rigs').subscribe(told);
  let pages = 0;
  globalThis.fetch = (async (...asked: Parameters<typeof fetch>) => {
    if (String(asked[0]).includes('/changes')) pages += 1;
    if (pages === 2 && String(asked[0]).includes('/changes')) {
      // Of what has come, and is not told yet: one is saved, one archived.
      const { row } = server.kept.find(({ row: { id: each } }) => each === id(1))!;
      await arrived('rigs', { ...row, name: 'Meanwhile', revision: 2 } as never);
      await departed('rigs', id(2));
      told.mockClear();
    }
    return server.fetch(...asked);
  }) as never;
  await syncNow();
  expect([pages, told.mock.calls.length]).toEqual([3, 1]);
  expect(rowHere('rigs', id(1))).toMatchObject({ name: 'Meanwhile' });
  expect([2, 3, 7].map((n) => rowHere('rigs', id(n)) !== undefined)).toEqual([false, true, true]);
  stop();
});

const noSooner = (): Promise<unknown> => new Promise((resolve) => setTimeout(resolve, 100));

it('what comes for the first time is drawn before it is written, and then not over what was saved meanwhile', async () => {
  for (const n of [1, 2]) server.put('rigs', rig(n));
  firstScreenComes();
  const coming = syncNow();
  while (!syncStore.get()?.filled) await noSooner();
  expect([rowHere('rigs', id(2))?.name, await onDevice()]).toEqual(['Knot 2', 0]);
  const newer = { ...rowHere('rigs', id(1))!, name: 'Meanwhile', revision: 2 };
  await arrived('rigs', newer);
  await noSooner();
  expect(await onDevice()).toBe(1);
  firstScreenStands();
  await coming;
  expect(await (await openDevice())!.get('rows', ['rigs', id(1)])).toMatchObject({ name: 'Meanwhile' });
  expect(await onDevice()).toBe(2);
});

it('a device that has everything draws it before it asks what changed; one that has not asks at once', async () => {
  server.put('rigs', rig(1));
  const asked = jest.fn();
  globalThis.fetch = (async (...args: Parameters<typeof fetch>) => {
    asked();
    return server.fetch(...args);
  }) as never;
  firstScreenComes();
  const filling = syncFirst();
  while (!syncStore.get()?.filled) await noSooner();
  expect(asked).toHaveBeenCalledTimes(1);
  firstScreenStands();
  await filling;
  reload();
  firstScreenComes();
  const looking = syncFirst();
  await noSooner();
  expect(asked).toHaveBeenCalledTimes(1);
  firstScreenStands();
  await looking;
  expect(asked).toHaveBeenCalledTimes(2);
});

it('many rows are here before they are told to be all; what came or went between the two counts', async () => {
  const many = 203;
  for (let n = 1; n <= many; n += 1) server.put('rigs', rig(n));
  const before: unknown[] = [];
  let stop = kindStore('rigs').subscribe(() => before.push(syncStore.get()?.filled));
  await loadKind('rigs');
  await syncNow();
  stop();
  expect([before.at(-1), syncStore.get()?.filled]).toEqual([false, true]);
  reload();

  const told: [number, boolean][] = [];
  stop = kindStore('rigs').subscribe(() => {
    const { rows, loaded } = kindStore('rigs').get();
    told.push([rows.size, loaded]);
    if (told.length > 1) return;
    void arrived('rigs', { ...rowHere('rigs', id(1))!, name: 'Meanwhile', revision: 2 });
    void departed('rigs', id(2));
  });
  await loadKind('rigs');
  stop();
  expect([told[0], told.at(-1)]).toEqual([
    [many, false],
    [many - 1, true],
  ]);
  expect([rowHere('rigs', id(1))?.name, rowHere('rigs', id(2))]).toEqual(['Meanwhile', undefined]);
});

// Last: what is begun here goes on.
it('rows are told once what waits on top of them is known', async () => {
  server.put('rigs', rig(1));
  await syncNow();
  server.line = 'away';
  await save('rigs', { ...bodyOf('rigs', rowHere('rigs', id(1))!), name: 'Renamed' });
  reload();
  const waited: number[] = [];
  const stop = kindStore('rigs').subscribe(() => waited.push(Object.keys(outboxStore.get()).length));
  beginData();
  await loadKind('rigs');
  expect(waited).toEqual([1]);
  stop();
});
