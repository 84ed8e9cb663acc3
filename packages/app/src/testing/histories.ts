import type { GaugeRow } from '@dunlinmoss/contract';
import * as contract from '@dunlinmoss/contract';
import * as domain from '@dunlinmoss/domain';
import { IDBFactory } from 'fake-indexeddb';
import * as idb from 'idb';
import * as react from 'react';
import * as swr from 'swr';
import * as uuid from 'uuid';

import type { Line } from './fakeServer';

/*
 * Histories by chance: two devices, lines that break and swallow answers, pages that are killed in the middle of a save,
 * devices that are full, clocks an hour off. Each ends with both devices online, and then nothing may be missing, or have
 * been overwritten by somebody who did not know of it and was not asked.
 */

/** What is at the end of the line: in memory, or the real thing. */
export interface HistoryServer {
  line: Line;
  readonly fetch: typeof fetch;
  /** Every gauge there is, archived or not. */
  readonly gauges: () => Promise<readonly { readonly row: GaugeRow; readonly archived: boolean }[]>;
}

type Field = 'name' | 'fromKpa' | 'fullScaleKpa';
const FIELDS: readonly Field[] = ['name', 'fromKpa', 'fullScaleKpa'];

/** One value that somebody entered. */
interface Write {
  readonly row: string;
  readonly field: Field;
  readonly value: unknown;
  /** What was seen there when it was entered. */
  readonly over: Write | undefined;
  readonly page: Page;
  /** It was said to be kept or saved, or was seen on another page since. */
  sure: boolean;
  /** Somebody was asked and chose the other. */
  notChosen: boolean;
}

/** The code that runs on a page, loaded anew with every page. */
interface Modules {
  readonly outbox: typeof import('../data/outbox');
  readonly outboxStore: typeof import('../data/outboxStore');
  readonly deviceRows: typeof import('../data/deviceRows');
  readonly takeIn: typeof import('../data/takeIn');
  readonly sync: typeof import('../data/sync');
  readonly device: typeof import('../data/device');
  readonly client: typeof import('../data/client');
}

interface Page extends Modules {
  readonly alive: { is: boolean };
  readonly stop: () => void;
}

interface Device {
  readonly store: IDBFactory;
  readonly clockMs: number;
  page: Page;
}

/** Big packages without any state are loaded once. */
const SHARED: Readonly<Record<string, unknown>> = {
  '@dunlinmoss/contract': contract,
  '@dunlinmoss/domain': domain,
  idb,
  react,
  swr,
  uuid,
};

const never = new Promise<never>(() => undefined);

/** Opens a page on a device: its memory is empty, its store is as it was left. */
async function openPage(store: IDBFactory): Promise<Page> {
  globalThis.indexedDB = store;
  const alive = { is: true };
  let modules!: Modules;
  jest.isolateModules(() => {
    for (const [name, module] of Object.entries(SHARED)) jest.doMock(name, () => module);
    jest.doMock('../data/client', () => {
      const actual = jest.requireActual<typeof import('../data/client')>('../data/client');
      const request: typeof actual.request = async (...asked) => {
        if (!alive.is) return never;
        const answered = await actual.request(...asked).then(
          (answer) => () => answer,
          (error: unknown) => () => {
            throw error;
          },
        );
        // A page that was killed meanwhile hears nothing any more.
        return alive.is ? answered() : never;
      };
      return { ...actual, request };
    });
    modules = {
      client: jest.requireMock('../data/client'),
      device: jest.requireActual('../data/device'),
      outboxStore: jest.requireActual('../data/outboxStore'),
      deviceRows: jest.requireActual('../data/deviceRows'),
      takeIn: jest.requireActual('../data/takeIn'),
      outbox: jest.requireActual('../data/outbox'),
      sync: jest.requireActual('../data/sync'),
    };
  });
  await modules.device.openDevice();
  const stops = [modules.takeIn.followOtherTabs(), modules.outbox.startOutbox()];
  await modules.outboxStore.outboxReady();
  return { ...modules, alive, stop: () => stops.forEach((stop) => stop()) };
}

function kill({ alive, stop }: Page): void {
  alive.is = false;
  stop();
}

/** By chance, and the same for the same seed. */
function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

const STEPS = 24;
const HOUR_MS = 3_600_000;
const LINES: readonly Line[] = ['up', 'up', 'up', 'away', 'answersLost', 'busy'];
const turns = (count: number): Promise<void> =>
  count === 0 ? Promise.resolve() : new Promise<void>((resolve) => setImmediate(resolve)).then(() => turns(count - 1));

/** Ids of rows, so that histories on one server don't meet. */
const rowId = (seed: number, row: number): string =>
  `0192f0${(seed % 256).toString(16).padStart(2, '0')}-${(seed >> 8).toString(16).padStart(4, '0')}-7000-8000-${row.toString(16).padStart(12, '0')}`;

/** Plays one history, and gives back what was lost, doubled, or done without a word. */
export async function playHistory(seed: number, server: HistoryServer): Promise<readonly string[]> {
  const random = chance(seed);
  const below = (count: number): number => Math.floor(random() * count);
  const writes: Write[] = [];
  const ids: string[] = [];
  let entered = 0;
  let isFull = false;
  const faults: string[] = [];
  const realPut = IDBObjectStore.prototype.put;
  const realNow = Date.now;
  IDBObjectStore.prototype.put = function put(this: IDBObjectStore, ...given) {
    if (isFull) throw new DOMException('full', 'QuotaExceededError');
    return realPut.apply(this, given);
  };
  globalThis.fetch = server.fetch;
  server.line = 'up';
  const devices: Device[] = [];
  for (const clockMs of [0, HOUR_MS]) {
    const store = new IDBFactory();
    devices.push({ store, clockMs, page: await openPage(store) });
  }

  /** A row as a device shows it. */
  const shown = async ({ page }: Device, id: string): Promise<GaugeRow | undefined> => {
    const row = await page.deviceRows.rowHere('gauges', id);
    const pending = page.outboxStore.outboxStore.get()[`gauges/${id}`];
    if (pending?.fate === 'archive') return undefined;
    return row || pending?.body ? ({ ...row, ...pending?.body } as GaugeRow) : undefined;
  };
  const writeOf = (row: string, field: Field, value: unknown): Write | undefined =>
    writes.find((write) => write.row === row && write.field === field && write.value === value);

  const chainOf = (write: Write | undefined): Write[] => (write ? [write, ...chainOf(write.over)] : []);
  const enter = (field: Field): unknown => {
    entered += 1;
    return field === 'name' ? `value ${entered}` : field === 'fromKpa' ? entered / 1000 : 500 + entered / 1000;
  };
  const save = async (device: Device): Promise<void> => {
    const isNew = ids.length === 0 || random() < 0.2;
    const id = isNew ? rowId(seed, ids.length) : ids[below(ids.length)]!;
    const row = isNew ? undefined : await shown(device, id);
    if (!isNew && !row) return;
    const fields = isNew ? FIELDS : [FIELDS[below(FIELDS.length)]!];
    const values = Object.fromEntries(fields.map((field) => [field, enter(field)]));
    const blank = { id, revision: 0, name: '', fromKpa: 0, fullScaleKpa: 500, gradePercent: null, comparisons: [] };
    const begun = row && contract.bodyOf('gauges', row);
    if (isNew) ids.push(id);
    // What another page shows is there.
    const seen = FIELDS.flatMap((field) => (row && writeOf(id, field, row[field])) ?? []);
    for (const write of seen) write.sure ||= write.page !== device.page;
    const mine = fields.map((field): Write => {
      const over = row && writeOf(id, field, row[field]);
      return { row: id, field, value: values[field], over, page: device.page, sure: false, notChosen: false };
    });
    writes.push(...mine);
    const saved = device.page.outbox
      .save('gauges', { ...blank, ...begun, ...values } as contract.BodyOf<'gauges'>, begun)
      .then(({ kind }) => {
        if (kind === 'notKept') return;
        for (const write of [...mine, ...seen]) write.sure = true;
      });
    // Now and then nobody waits for it, and what comes next comes in the middle of it.
    if (random() < 0.7) await saved;
    else await turns(below(6));
  };
  const archive = async (device: Device): Promise<void> => {
    const id = ids[below(ids.length)];
    const row = id === undefined ? undefined : await shown(device, id);
    if (row) await device.page.outbox.become('gauges', row.id, 'archive', row.revision);
  };
  const restore = async (device: Device): Promise<void> => {
    const pending = Object.values(device.page.outboxStore.outboxStore.get()).find(({ fate }) => fate === 'archive');
    if (pending) await device.page.outbox.become('gauges', pending.id, 'restore', pending.revision);
  };
  const reload = async (device: Device): Promise<void> => {
    kill(device.page);
    device.page = await openPage(device.store);
  };
  /** Whoever is asked chooses by chance, and knows both then. */
  const settle = async ({ page }: Device): Promise<void> => {
    for (const [key, { base, body, clashing, sent }] of Object.entries(page.outboxStore.outboxStore.get())) {
      if (!clashing) continue;
      const choice = random() < 0.5 ? 'mine' : 'theirs';
      const { present, archived } = clashing;
      if (present && body && !archived) {
        const theirs = contract.bodyOf('gauges', present as GaugeRow);
        for (const clash of domain.mergeRows('gauges', base as never, body as never, theirs, 'mine', sent as never)
          .clashes) {
          const field = clash.path.slice(1) as Field;
          const [lost, kept] = choice === 'mine' ? [clash.theirs, clash.mine] : [clash.mine, clash.theirs];
          const [gone, stays] = [writeOf(body.id, field, lost), writeOf(body.id, field, kept)];
          // With it goes whatever it was entered over, as far as the other does not stand on the same.
          const chain = chainOf(stays);
          for (const write of chainOf(gone)) if (!chain.includes(write)) write.notChosen = true;
          if (stays) Object.assign(stays, { sure: true });
        }
      } else if (body && choice === 'theirs') {
        // Let go, and said so.
        for (const field of FIELDS) {
          const kept = chainOf(writeOf(body.id, field, (base as GaugeRow | null)?.[field]));
          for (const write of chainOf(writeOf(body.id, field, (body as GaugeRow)[field]))) {
            if (!kept.includes(write)) write.notChosen = true;
          }
        }
      }
      await page.outbox.settle(key, choice);
    }
  };

  const sitAt = (device: Device): void => {
    globalThis.indexedDB = device.store;
    Date.now = () => realNow() + device.clockMs;
  };
  try {
    let device = devices[0]!;
    for (let step = 0; step < STEPS; step += 1) {
      sitAt(device);
      const dice = random();
      if (dice < 0.42) await save(device);
      else if (dice < 0.5) await archive(device);
      else if (dice < 0.54) await restore(device);
      else if (dice < 0.66) server.line = LINES[below(LINES.length)]!;
      else if (dice < 0.76) await reload(device);
      else if (dice < 0.88) device = devices[below(devices.length)]!;
      else if (dice < 0.94) await device.page.sync.syncNow().catch(() => undefined);
      else if (dice < 0.96) isFull = !isFull;
      else await settle(device);
    }
    // Everybody has a signal at last, and room.
    server.line = 'up';
    isFull = false;
    for (let round = 0; round < 4; round += 1) {
      for (const each of devices) {
        sitAt(each);
        if (round === 1) await reload(each);
        await each.page.outbox.flush();
        await settle(each);
        await each.page.outbox.flush();
        await each.page.sync.syncNow();
      }
    }
    const there = (await server.gauges()).filter(({ row }) => ids.includes(row.id));
    for (const [index, each] of devices.entries()) {
      const waiting = Object.keys(each.page.outboxStore.outboxStore.get());
      if (waiting.length > 0) faults.push(`device ${index}: ${waiting.length} still wait`);
      for (const { row, archived } of there) {
        const here = await shown(each, row.id);
        if (archived ? here !== undefined : !domain.alike(here, row)) {
          faults.push(`device ${index} shows ${JSON.stringify(here)} of ${JSON.stringify(row)}`);
        }
      }
    }
    if (new Set(there.map(({ row }) => row.id)).size !== there.length) faults.push('a row is there twice');
    for (const id of ids) {
      const row = there.find((each) => each.row.id === id)?.row;
      for (const field of FIELDS) {
        const own = writes.filter((write) => write.row === id && write.field === field);
        const isOver = (write: Write): boolean => own.some(({ sure, over }) => sure && chainOf(over).includes(write));
        const left = own.filter((write) => write.sure && !write.notChosen && !isOver(write));
        const value = row?.[field];
        if (left.length > 1) {
          faults.push(`${id} ${field}: ${left.map((each) => String(each.value)).join(' and ')}, nobody was asked`);
        }
        const may = own.filter(({ sure }) => !sure);
        if (left.length > 0 && ![...left, ...may].some((write) => write.value === value)) {
          faults.push(`${id} ${field}: ${String(left[0]!.value)} is lost, ${String(value)} is there`);
        }
      }
    }
  } finally {
    IDBObjectStore.prototype.put = realPut;
    Date.now = realNow;
    for (const { page } of devices) kill(page);
  }
  return faults;
}
