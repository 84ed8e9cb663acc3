import type { DownsampledLog } from '@dunlinmoss/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

import { storeName } from '../settings/who';

/*
 * What the server has beside rows, as this device saw it last, to be looked at without a signal: thinned logs, and photos
 * that have been sent. All of it is at the server, so it may go: it has a store of its own, and is never in the way of what
 * waits.
 */

/** A log as it was when it was asked for last, ISO time. */
export interface SeenLog {
  readonly log: DownsampledLog;
  readonly at: string;
}

interface SeenSchema extends DBSchema {
  /** By rig. */
  logs: { key: string; value: SeenLog };
  /** By id. */
  photos: { key: string; value: Blob };
  /** When each photo was put here, ms: the oldest go first. */
  since: { key: string; value: number };
}

/** Photos kept here: about 60 MB of prints. */
const MOST_PHOTOS = 400;

const nameOf = (): string => `${storeName()}-seen`;
let opened: Promise<IDBPDatabase<SeenSchema> | null> | undefined;

const open = (): Promise<IDBPDatabase<SeenSchema> | null> =>
  (opened ??= openDB<SeenSchema>(nameOf(), 1, {
    upgrade(database) {
      for (const name of ['logs', 'photos', 'since'] as const) database.createObjectStore(name);
    },
    blocking: (_current, _blocked, event) => {
      (event.target as unknown as IDBDatabase).close();
      opened = undefined;
    },
    terminated: () => (opened = undefined),
  }).catch(() => null));

/** Does something with it; undefined where there is none, or no room: nothing is lost by that. */
async function within<T>(work: (database: IDBPDatabase<SeenSchema>) => Promise<T>): Promise<T | undefined> {
  try {
    const database = await open();
    return database ? await work(database) : undefined;
  } catch {
    return undefined;
  }
}

export const seenLog = (rigId: string): Promise<SeenLog | undefined> =>
  within((database) => database.get('logs', rigId));

export const keepSeenLog = (rigId: string, seen: SeenLog): Promise<unknown> =>
  within((database) => database.put('logs', seen, rigId));

export const seenPhoto = (id: string): Promise<Blob | undefined> => within((database) => database.get('photos', id));

/** Keeps a photo that is at the server; the oldest goes where there are too many. */
export const keepSeenPhoto = (id: string, photo: Blob, nowMs = Date.now()): Promise<unknown> =>
  within(async (database) => {
    const tx = database.transaction(['photos', 'since'], 'readwrite');
    void tx.objectStore('photos').put(photo, id);
    void tx.objectStore('since').put(nowMs, id);
    const ids = await tx.objectStore('since').getAllKeys();
    if (ids.length > MOST_PHOTOS) {
      const times = await tx.objectStore('since').getAll();
      const oldest = ids[times.indexOf(Math.min(...times))]!;
      void tx.objectStore('photos').delete(oldest);
      void tx.objectStore('since').delete(oldest);
    }
    await tx.done;
  });

/** Takes all of it off this device, when its person signs out. */
export const forgetSeen = (): Promise<unknown> =>
  within(async (database) => {
    const tx = database.transaction(['logs', 'photos', 'since'], 'readwrite');
    for (const name of ['logs', 'photos', 'since'] as const) void tx.objectStore(name).clear();
    await tx.done;
  });

/** As after a reload. For tests. */
export function closeSeen(): void {
  void opened?.then((database) => database?.close());
  opened = undefined;
}
