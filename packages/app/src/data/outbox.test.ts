import {
  bodyOf,
  type Airing,
  type AiringRow,
  type Outing,
  type OutingRow,
  type Rig,
  type RigRow,
} from '@dunlinmoss/contract';
import { fullRig, sampleCase, sampleRig } from '@dunlinmoss/domain/testing';
import { IDBFactory } from 'fake-indexeddb';
import { openDB, type IDBPDatabase } from 'idb';

import { readStored, writeStored } from '../settings/storage';
import { FakeServer } from '../testing/fakeServer';
import { newAiring } from './airings';
import { reachStore } from './client';
import { forgetDevice, notKeptStore, openDevice } from './device';
import {
  become,
  discard,
  flush,
  forgetOutbox,
  save,
  savePhoto,
  settle,
  startOutbox,
  takeEntries,
  tryAgain,
} from './outbox';
import { outboxReady, outboxStore } from './outboxStore';
import { takeWhatEarlierVersionsLeft } from './earlierVersions';
import { newOuting, saveOuting } from './outings';
import { waitingPhotosStore } from './photos';
import { forgetDeviceRows, rowHere } from './deviceRows';
import { syncNow } from './sync';
import { arrived } from './takeIn';

const id = (n: number): string => `0192f000-0000-7000-8000-00000000000${n}`;
const rig = (change: Partial<Rig> = {}): Rig => ({
  ...bodyOf('rigs', fullRig({ id: id(1), name: 'Knot' })),
  revision: 0,
  ...change,
});
const other = rig({ id: id(2), name: 'Ruff' });
const key = `rigs/${id(1)}`;

let server: FakeServer;
let stop: () => void;
/** As the page is loaded again: everything in memory is gone, what is in the store of the device is not. */
const reload = (): void => {
  stop();
  forgetOutbox();
  forgetDeviceRows();
  forgetDevice();
  stop = startOutbox();
};
const waiting = () => Object.values(outboxStore.get());

beforeEach(() => {
  server = new FakeServer();
  globalThis.indexedDB = new IDBFactory();
  globalThis.fetch = server.fetch;
  globalThis.localStorage.clear();
  reachStore.set(true);
  stop = () => undefined;
  reload();
});
// What is under way when a test ends comes to its end there, not in the next one.
afterEach(async () => {
  server.line = 'up';
  globalThis.fetch = server.fetch;
  await flush();
  stop();
});

/** A rig that both sides know. */
async function known(change: Partial<Rig> = {}): Promise<RigRow> {
  server.put('rigs', rig(change));
  await syncNow();
  return (await rowHere('rigs', id(1)))!;
}
const changed = (row: RigRow, change: Partial<Rig>): Rig => ({ ...bodyOf('rigs', row), ...change });

describe('save', () => {
  it('sends a second save of a row on top of the first, and never loses sight of it', async () => {
    const results = await Promise.all([save('rigs', rig({ name: 'First' })), save('rigs', rig({ name: 'Second' }))]);
    expect(results.map(({ kind }) => kind)).not.toContain('refused');
    await flush();
    expect(server.row('rigs', id(1))).toMatchObject({ name: 'Second' });
    expect(waiting()).toEqual([]);
  });

  it('hands on the row that arrived and forgets the entry', async () => {
    expect(await save('rigs', rig())).toMatchObject({ kind: 'saved', row: { revision: 1 } });
    expect(await rowHere('rigs', id(1))).toMatchObject({ revision: 1 });
    expect(await (await openDevice())!.count('outbox')).toBe(0);
  });

  it.each(['away', 'busy', 'answersLost'] as const)(
    'keeps the entry over a reload when the server is %s',
    async (line) => {
      server.line = line;
      expect((await save('rigs', rig())).kind).toBe('waiting');
      reload();
      await outboxReady();
      expect(waiting()).toMatchObject([{ name: 'rigs', id: id(1), body: rig() }]);
      server.line = 'up';
      await flush();
      expect(waiting()).toEqual([]);
      expect(server.kept).toHaveLength(1);
      expect(server.row('rigs', id(1))).toMatchObject({ name: 'Knot', revision: 1 });
    },
  );

  it('sends what waits in the order of saving, whatever was saved again since', async () => {
    server.line = 'away';
    await save('rigs', rig());
    await save('rigs', other);
    await save('rigs', rig({ name: 'Knot, renamed' }));
    server.line = 'up';
    await flush();
    expect(server.heard).toEqual([`PUT ${key} 0`, `PUT rigs/${id(2)} 0`]);
    expect(server.row('rigs', id(1))).toMatchObject({ name: 'Knot, renamed' });
  });

  it('waits for no line that was dead a moment ago', async () => {
    server.line = 'away';
    await save('rigs', rig());
    let giveUp = (): void => undefined;
    globalThis.fetch = () => new Promise((_, reject) => (giveUp = () => reject(new TypeError('Failed to fetch'))));
    expect((await save('rigs', other)).kind).toBe('waiting');
    await new Promise((resolve) => setTimeout(resolve, 20));
    giveUp();
  });

  it('keeps what was refused, with why, until it is mended or let go', async () => {
    const bad = rig({ name: '' });
    expect(await save('rigs', bad)).toMatchObject({ kind: 'refused', problem: { code: 'invalid' } });
    reload();
    await outboxReady();
    expect(waiting()).toMatchObject([{ body: { name: '' }, refused: { code: 'invalid' } }]);
    await flush();
    expect(server.heard).toHaveLength(1);
    await tryAgain(key);
    expect(waiting()[0]!.refused).toBeDefined();
    const undo = await discard(key);
    expect(waiting()).toEqual([]);
    await undo();
    expect(waiting()).toHaveLength(1);
    // Mended, it goes.
    expect((await save('rigs', rig())).kind).toBe('saved');
    expect(waiting()).toEqual([]);
  });

  it('says what stands on the page alone: the device is full and the server is not there', async () => {
    const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    server.line = 'away';
    expect((await save('rigs', rig())).kind).toBe('notKept');
    expect(notKeptStore.get()).toBe('full');
    expect(waiting()).toHaveLength(1);
    const leaving = new Event('beforeunload', { cancelable: true });
    globalThis.dispatchEvent(leaving);
    expect(leaving.defaultPrevented).toBe(true);
    server.line = 'up';
    await flush();
    expect(server.row('rigs', id(1))).toBeDefined();
    full.mockRestore();
  });

  it('goes to the server all the same where the device is full and the server there', async () => {
    const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect((await save('rigs', rig())).kind).toBe('saved');
    full.mockRestore();
  });

  it('works on the page alone in a browser that keeps nothing', async () => {
    globalThis.indexedDB = undefined as never;
    reload();
    server.line = 'away';
    expect((await save('rigs', rig())).kind).toBe('notKept');
    expect(notKeptStore.get()).toBe('keepsNothing');
    server.line = 'up';
    await flush();
    expect(server.row('rigs', id(1))).toBeDefined();
  });
});

describe('two devices', () => {
  it('are put together field by field: a rename does not undo a weighing', async () => {
    const row = await known();
    const [first] = row.loadCases;
    const weighed = { ...first!, name: 'Weighed' };
    server.put('rigs', changed(row, { name: 'Knot 2' }));
    expect((await save('rigs', changed(row, { loadCases: [weighed, ...row.loadCases.slice(1)] }))).kind).toBe('saved');
    expect(server.row('rigs', id(1))).toMatchObject({ name: 'Knot 2', loadCases: [{ name: 'Weighed' }] });
  });

  it('are put together when one was without a signal, over a reload', async () => {
    const row = await known();
    server.line = 'away';
    await save('rigs', changed(row, { topSpeedKmh: 33 }));
    reload();
    server.put('rigs', changed(row, { name: 'Knot 2' }));
    server.line = 'up';
    await flush();
    expect(server.row('rigs', id(1))).toMatchObject({ name: 'Knot 2', topSpeedKmh: 33 });
    expect(waiting()).toEqual([]);
  });

  it.each([
    ['mine', 'Mine'],
    ['theirs', 'Theirs'],
  ] as const)('ask where both changed the same: %s stays, and all else of both', async (choice, name) => {
    const row = await known();
    server.put('rigs', changed(row, { name: 'Theirs', topSpeedKmh: 44 }));
    expect((await save('rigs', changed(row, { name: 'Mine', beadFloorKpa: 77 }))).kind).toBe('stale');
    reload();
    await outboxReady();
    await settle(key, choice);
    expect(server.row('rigs', id(1))).toMatchObject({ name, topSpeedKmh: 44, beadFloorKpa: 77 });
    expect(waiting()).toEqual([]);
  });

  it('send nothing where the other has all of it already', async () => {
    const row = await known();
    server.put('rigs', changed(row, { name: 'Same' }));
    const before = server.row('rigs', id(1));
    expect((await save('rigs', changed(row, { name: 'Same' }))).kind).toBe('saved');
    expect(server.row('rigs', id(1))).toEqual(before);
  });

  it('ask before bringing back what the other archived, or saving again what it deleted', async () => {
    const row = await known();
    server.put('rigs', bodyOf('rigs', row), true);
    expect((await save('rigs', changed(row, { name: 'Mine' }))).kind).toBe('stale');
    expect(waiting()[0]!.clashing).toMatchObject({ archived: true });
    await settle(key, 'mine');
    expect(server.row('rigs', id(1))).toMatchObject({ name: 'Mine' });
    expect(server.kept[0]!.archived).toBe(false);

    const fresh = new FakeServer();
    globalThis.fetch = fresh.fetch;
    expect((await save('rigs', changed(row, { name: 'Again', revision: 9 }))).kind).toBe('stale');
    expect(waiting()[0]!.clashing).toMatchObject({ present: null });
    await settle(key, 'mine');
    expect(fresh.row('rigs', id(1))).toMatchObject({ name: 'Again' });
  });

  it('what came in with a save from somebody else is not undone by what was saved here meanwhile', async () => {
    const row = await known();
    server.put('rigs', changed(row, { name: 'Theirs' }));
    const [first, second] = await Promise.all([
      save('rigs', changed(row, { topSpeedKmh: 30 }), bodyOf('rigs', row)),
      save('rigs', changed(row, { topSpeedKmh: 30, beadFloorKpa: 70 }), changed(row, { topSpeedKmh: 30 })),
    ]);
    await flush();
    expect([first!.kind, second!.kind]).not.toContain('stale');
    expect(server.row('rigs', id(1))).toMatchObject({ name: 'Theirs', topSpeedKmh: 30, beadFloorKpa: 70 });
  });

  it('end an outing once that both end, and keep what the other wrote beside it', async () => {
    const outing: Outing = { ...newOuting(), rigId: id(1), state: 'lowered' };
    server.put('outings', outing);
    await syncNow();
    const row = (await rowHere('outings', outing.id)) as OutingRow;
    server.put('outings', { ...bodyOf('outings', row), state: 'closed', title: 'North bar' });
    expect((await saveOuting(row, { state: 'closed' })).kind).toBe('saved');
    expect(server.row('outings', outing.id)).toMatchObject({ state: 'closed', title: 'North bar' });
  });

  it('lose no tap of an airing that both are on, also while an older one is on its way', async () => {
    const wheel = {
      position: 'front',
      wheel: 'left',
      volumeL: 60,
      coldKpa: 110,
      targetKpa: 110,
      settled: null,
    } as const;
    const airing = newAiring({
      ...{ rigId: id(1), outingId: null, way: 'out', toolId: null, toolKind: 'stick', gauge: null, justDriven: false },
      ...{ coldTempC: 20, tireTempC: 20, altitudeM: 0, wheels: [wheel] },
    });
    const run = (second: number): Airing['runs'][number] => ({
      ...{ position: 'front', wheel: 'left', startedAt: new Date(second * 1000).toISOString(), endedAt: null },
      ...{ beforeKpa: 240, afterKpa: null, timed: true },
    });
    server.put('airings', airing);
    await syncNow();
    const begun = bodyOf('airings', (await rowHere('airings', airing.id))!);
    server.put('airings', { ...begun, runs: [run(1)] });
    await Promise.all([
      save('airings', { ...begun, runs: [run(5)] }, begun),
      save('airings', { ...begun, runs: [run(9)] }, begun),
    ]);
    await flush();
    const { runs } = server.row<AiringRow>('airings', airing.id)!;
    expect(runs.map(({ startedAt }) => startedAt)).toEqual([1, 5, 9].map((second) => run(second).startedAt));
    expect(waiting()).toEqual([]);
  });
});

describe('two tabs', () => {
  it('that save the same row without a signal are put together; where they clash it is asked', async () => {
    const row = await known();
    const begun = bodyOf('rigs', row);
    server.line = 'away';
    await save('rigs', changed(row, { topSpeedKmh: 30 }), begun);
    await save('rigs', changed(row, { name: 'Other tab' }), begun);
    expect(waiting()).toMatchObject([{ body: { topSpeedKmh: 30, name: 'Other tab' } }]);
    expect((await save('rigs', changed(row, { name: 'Third tab' }), begun)).kind).toBe('stale');
    // Another field saved on top settles nothing: the server has not seen the name of the other tab.
    const shown = waiting()[0]!.body as Rig;
    expect((await save('rigs', { ...shown, topSpeedKmh: 35 }, shown)).kind).toBe('stale');
    await settle(key, 'mine');
    server.line = 'up';
    await flush();
    expect(server.row('rigs', id(1))).toMatchObject({ topSpeedKmh: 35, name: 'Third tab' });
  });

  it('see what the other left in the store', async () => {
    server.line = 'away';
    await save('rigs', rig());
    const [entry] = waiting();
    // As another tab puts it there, and takes ours out that it has sent.
    const device = (await openDevice())!;
    await device.put('outbox', { ...entry!, id: id(2), body: other, stamp: 'else' }, `rigs/${id(2)}`);
    await device.delete('outbox', key);
    server.line = 'up';
    await flush();
    expect(server.heard).toEqual([`PUT rigs/${id(2)} 0`]);
  });
});

describe('become', () => {
  it('archives, brings back and deletes without a signal, and tells the server when it is back', async () => {
    const row = await known();
    server.line = 'away';
    await become('rigs', id(1), 'archive', row.revision);
    reload();
    await outboxReady();
    server.line = 'up';
    await flush();
    expect(server.kept[0]!.archived).toBe(true);
    expect(await rowHere('rigs', id(1))).toBeUndefined();

    await become('rigs', id(1), 'restore', 2, row);
    await flush();
    expect(server.kept[0]!.archived).toBe(false);
    expect(await rowHere('rigs', id(1))).toMatchObject({ revision: 3 });

    await become('rigs', id(1), 'archive', 3);
    await flush();
    await become('rigs', id(1), 'erase', 4, row);
    await flush();
    expect(server.kept).toEqual([]);
  });

  it.each(['away', 'answersLost'] as const)(
    'brings back what was archived a moment ago, the line being %s',
    async (line) => {
      const row = await known();
      server.line = line;
      await become('rigs', id(1), 'archive', row.revision);
      await flush();
      // With its answer lost nobody here knows that it is archived there.
      expect(server.kept[0]!.archived).toBe(line === 'answersLost');
      await become('rigs', id(1), 'restore', row.revision, row);
      server.line = 'up';
      await flush();
      expect([waiting(), server.kept[0]!.archived, (await rowHere('rigs', id(1)))?.name]).toEqual([[], false, 'Knot']);
    },
  );

  it('of what the server has never seen, two that undo each other are none', async () => {
    server.line = 'away';
    await save('rigs', rig());
    await become('rigs', id(1), 'archive', 0);
    await become('rigs', id(1), 'restore', 0);
    server.line = 'up';
    await flush();
    expect(server.kept).toMatchObject([{ archived: false, row: { name: 'Knot' } }]);
  });

  it('archives what was made here and never left, so that it can be brought back', async () => {
    server.line = 'away';
    await save('rigs', rig());
    await become('rigs', id(1), 'archive', 0);
    server.line = 'up';
    await flush();
    expect(server.kept).toMatchObject([{ archived: true, row: { name: 'Knot' } }]);
  });

  it('asks where somebody changed meanwhile what was archived here', async () => {
    const row = await known();
    server.line = 'away';
    await become('rigs', id(1), 'archive', row.revision);
    server.put('rigs', changed(row, { name: 'Changed' }));
    server.line = 'up';
    await flush();
    expect(waiting()[0]!.clashing).toMatchObject({ present: { name: 'Changed' } });
    await settle(key, 'theirs');
    expect([waiting(), server.kept[0]!.archived, (await rowHere('rigs', id(1)))?.name]).toEqual([[], false, 'Changed']);
  });
});

describe('what earlier versions left', () => {
  it('goes out in the shape of today, whatever its shape was called', async () => {
    const { valve: _, ...axle } = rig().axles[0]!;
    const old = { ...rig(), axles: [axle, rig().axles[1]] };
    writeStored('outbox:5', { [key]: { name: 'rigs', body: old } });
    writeStored('outbox', { [`rigs/${id(2)}`]: { name: 'rigs', body: other } });
    reload();
    await takeWhatEarlierVersionsLeft();
    expect(server.row('rigs', id(1))).toMatchObject({ axles: [{ valve: null }, {}] });
    expect(server.row('rigs', id(2))).toMatchObject({ name: 'Ruff' });
    expect([readStored('outbox:5'), readStored('outbox')]).toEqual([undefined, undefined]);
  });

  it('photos of it go out too; what a full device can’t take stays where it is', async () => {
    const before = async (): Promise<IDBPDatabase> =>
      openDB('dunlinmoss-photos', 1, { upgrade: (database) => void database.createObjectStore('waiting') });
    const left = await before();
    await left.put('waiting', new Blob(['jpeg']), 'p');
    left.close();
    reload();
    await outboxReady();
    const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await takeWhatEarlierVersionsLeft();
    full.mockRestore();
    const still = await before();
    expect(await still.count('waiting')).toBe(1);
    still.close();
    expect(server.heard).toEqual([]);
    await takeWhatEarlierVersionsLeft();
    expect(server.heard).toEqual(['PUT photo']);
    expect((await indexedDB.databases()).map(({ name }) => name)).not.toContain('dunlinmoss-photos');
  });
});

describe('takeEntries', () => {
  it('of another device go out from here, and once more from there they are the same', async () => {
    const row = await known();
    server.line = 'away';
    await save('rigs', changed(row, { name: 'Carried' }));
    const entries = waiting();
    const first = globalThis.indexedDB;
    globalThis.indexedDB = new IDBFactory();
    reload();
    server.line = 'up';
    // Of an older file some parts are missing.
    const { sent: _, fate: __, ...older } = entries[0]!;
    expect(await takeEntries([older as never])).toBe(1);
    await flush();
    expect(server.row('rigs', id(1))).toMatchObject({ name: 'Carried', revision: 2 });
    // The phone itself has a signal at last.
    globalThis.indexedDB = first;
    reload();
    await flush();
    expect(server.row('rigs', id(1))).toMatchObject({ name: 'Carried', revision: 2 });
    expect(waiting()).toEqual([]);
  });
});

describe('savePhoto', () => {
  const photo = new Blob(['jpeg']);
  it('goes out behind the rows that wait, and stays while the server is away', async () => {
    server.line = 'away';
    await save('rigs', rig());
    await savePhoto('p', photo);
    reload();
    expect(await (await openDevice())!.count('photos')).toBe(1);
    server.line = 'up';
    await flush();
    // However often a row is sent, it is one; the photo comes behind it.
    expect([...new Set(server.heard)]).toEqual([`PUT ${key} 0`, 'PUT photo']);
    expect([await (await openDevice())!.count('photos'), waitingPhotosStore.get()]).toEqual([0, 0]);
  });

  it('goes to the server alone where a browser keeps nothing, and says where neither has it', async () => {
    globalThis.indexedDB = undefined as never;
    reload();
    expect(await savePhoto('p', photo)).toBe(true);
    expect(server.heard).toContain('PUT photo');
    server.line = 'away';
    expect(await savePhoto('q', photo)).toBe(false);
  });

  it('is kept after a refusal', async () => {
    globalThis.fetch = (async () => ({
      ...{ ok: false, status: 413 },
      headers: new Headers(),
      json: async () => ({ type: 'x', title: 'x', status: 413, code: 'bodyTooLarge' }),
    })) as never;
    await savePhoto('p', photo);
    await flush();
    expect(await (await openDevice())!.count('photos')).toBe(1);
  });
});

// Made of what is used above, so that a rig with nothing filled in is tried as well.
it('a plain rig goes the same way', async () => {
  const plain = { ...bodyOf('rigs', sampleRig({ id: id(3), loadCases: [sampleCase()] })), revision: 0 };
  expect((await save('rigs', plain)).kind).toBe('saved');
  await arrived('rigs', { ...server.row<RigRow>('rigs', id(3))!, revision: 0 });
  expect(await rowHere('rigs', id(3))).toMatchObject({ revision: 1 });
});
