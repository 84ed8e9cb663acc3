import type { ResourceName, RowOf } from '@dunlinmoss/contract';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

import { createStore } from '../settings/store';
import { storeName } from '../settings/who';
import type { LeftBehind } from './leftBehind';
import type { Pending } from './pending';

/** How far this device has come in getting everything. */
export interface SyncState {
  /** What the server gave to go on from. */
  readonly mark: string;
  /** Everything there was has come once. */
  readonly filled: boolean;
  /** While it is still coming: how many rows of how many are here. */
  readonly got: number;
  readonly total: number;
}

interface DeviceSchema extends DBSchema {
  /** Rows as the server gave them, by kind and id. */
  rows: { key: [ResourceName, string]; value: RowOf<ResourceName> };
  /** What has not arrived yet, by row. */
  outbox: { key: string; value: Pending };
  /** Photos that have not arrived yet, by id. */
  photos: { key: string; value: Blob };
  sync: { key: 'state'; value: SyncState };
  /** What was here before the store was set back, until the person has decided. */
  former: { key: 'all'; value: LeftBehind };
}
export type Device = IDBPDatabase<DeviceSchema>;

const VERSION = 2;

/** Why what is saved would not outlast this page: the device is full, or the browser keeps nothing; null where it does. */
export const notKeptStore = createStore<'full' | 'keepsNothing' | null>(null);

let opened: Promise<Device | null> | undefined;

/** The store on this device; null where the browser has none, and everything stands on this page alone. */
export const openDevice = (): Promise<Device | null> => (opened ??= open());

async function open(): Promise<Device | null> {
  try {
    return await openDB<DeviceSchema>(storeName(), VERSION, {
      upgrade(database) {
        for (const name of ['rows', 'outbox', 'photos', 'sync', 'former'] as const) {
          if (!database.objectStoreNames.contains(name)) database.createObjectStore(name);
        }
      },
      // A newer version of the application in another tab: it must not wait for this one.
      blocking: (_current, _blocked, event) => (event.target as unknown as IDBDatabase).close(),
      terminated: () => (opened = undefined),
    });
  } catch {
    notKeptStore.set('keepsNothing');
    return null;
  }
}

/** Runs a write. False where it could not be kept, which is said on every screen. */
export async function kept(write: (device: Device) => Promise<unknown>): Promise<boolean> {
  const device = await openDevice();
  if (!device) return false;
  try {
    await write(device);
    if (notKeptStore.get() === 'full') notKeptStore.set(null);
    return true;
  } catch {
    notKeptStore.set('full');
    return false;
  }
}

/** Takes the rows off this device, when its person signs out. What waits stays, for the same person. */
export async function forgetRows(): Promise<void> {
  const device = await openDevice();
  if (!device) return;
  const tx = device.transaction(['rows', 'sync', 'former'], 'readwrite');
  for (const name of ['rows', 'sync', 'former'] as const) void tx.objectStore(name).clear();
  await tx.done;
}

/** As after a reload, with a store that is there or not. For tests. */
export function forgetDevice(): void {
  void opened?.then((device) => device?.close());
  opened = undefined;
  notKeptStore.set(null);
}
