import type { Change, ResourceName, RowOf } from '@dunlinmoss/contract';
import { alike } from '@dunlinmoss/domain';

import { kept, openDevice, type Device, type SyncState } from './device';
import { keyOf } from './pending';

/*
 * The rows as the server gave them, in the store of this device. What a full device can't take is held by this page until
 * it can.
 */

type AnyRow = RowOf<ResourceName>;

/** So many rows are read from the store in one go: a screen can be drawn in between. */
export const BATCH = 200;

/** What the device could not take. It counts before what is in the store. */
interface HeldByPage {
  /** Rows by kind and id; null where a row is gone. */
  readonly rows: Map<string, AnyRow | null>;
  /** The store still has rows of another server: none of them counts. */
  anew: boolean;
  sync: SyncState | null;
}
let held: HeldByPage = { rows: new Map(), anew: false, sync: null };

/** The newer of what the store has and what this page holds. */
function newest(stored: AnyRow | undefined, key: string): AnyRow | undefined {
  const row = held.anew ? undefined : stored;
  const own = held.rows.get(key);
  if (own === undefined || (own && row && row.revision > own.revision)) return row;
  return own ?? undefined;
}

/** One row; undefined where this device has none. */
export async function rowHere<Name extends ResourceName>(name: Name, id: string): Promise<RowOf<Name> | undefined> {
  const device = await openDevice();
  const stored = await device?.get('rows', [name, id]).catch(() => undefined);
  return newest(stored, keyOf(name, id)) as RowOf<Name> | undefined;
}

/** Every row of a kind, in no order. A store that can't be read counts as empty: it is filled again from the server. */
export async function rowsHere<Name extends ResourceName>(name: Name): Promise<RowOf<Name>[]> {
  const device = await openDevice();
  const rows = new Map<string, AnyRow>();
  try {
    for (let after = '', more = device !== null; more;) {
      const batch = await device!.getAll('rows', IDBKeyRange.bound([name, after], [name, '\uffff'], true), BATCH);
      for (const row of batch) rows.set(row.id, row);
      more = batch.length === BATCH;
      after = batch.at(-1)?.id ?? '';
    }
  } catch {
    rows.clear();
  }
  if (held.anew) rows.clear();
  for (const key of held.rows.keys()) {
    const [kind, id] = key.split('/') as [ResourceName, string];
    if (kind !== name) continue;
    const row = newest(rows.get(id), key);
    if (row) rows.set(id, row);
    else rows.delete(id);
  }
  return [...rows.values()] as RowOf<Name>[];
}

/** How far this device has come; null where nothing has come yet. */
export async function syncStateHere(): Promise<SyncState | null> {
  const device = await openDevice();
  return (device ? await device.get('sync', 'state').catch(() => undefined) : held.sync) ?? null;
}

/** Former versions of rows, newest first: a form that is still open was begun from one of them. */
const former = new Map<string, readonly AnyRow[]>();
const FORMER_KEPT = 5;
const FORMER_ROWS = 300;

function remember(name: ResourceName, row: AnyRow): void {
  const key = keyOf(name, row.id);
  const known = former.get(key) ?? [];
  former.delete(key);
  former.set(key, [row, ...known].slice(0, FORMER_KEPT));
  if (former.size > FORMER_ROWS) former.delete(former.keys().next().value!);
}

/** A row as it was at a revision, where this page has seen it. */
export async function rowAt<Name extends ResourceName>(
  name: Name,
  id: string,
  revision: number,
): Promise<RowOf<Name> | undefined> {
  const now = await rowHere(name, id);
  const all = [...(now ? [now] : []), ...((former.get(keyOf(name, id)) ?? []) as RowOf<Name>[])];
  return all.find((row) => row.revision === revision);
}

/**
 * Whether a change is news: never an older revision over a newer one, and not what is here already, as the server repeats
 * the last seconds. What went always is: lists of what is archived go by it.
 */
const isNews = ({ row }: Change, before: AnyRow | undefined): boolean =>
  row === null || (row.revision >= (before?.revision ?? 0) && !alike(row, before));

/** What came from the server. */
export interface Coming {
  readonly changes: readonly Change[];
  /** How far they bring this device, kept in the same transaction. */
  readonly sync: SyncState | undefined;
  /** They are the first of everything: what was here before is no more. */
  readonly anew: boolean;
}

/** Writes what is news, and gives it back. Throws where the device is full. */
async function writeTo(device: Device, { changes, sync, anew }: Coming): Promise<Change[]> {
  const tx = device.transaction(['rows', 'sync'], 'readwrite');
  const rows = tx.objectStore('rows');
  const writes: Promise<unknown>[] = anew ? [rows.clear()] : [];
  const stored = await Promise.all(changes.map(({ kind, id }) => (anew ? undefined : rows.get([kind, id]))));
  const news: Change[] = [];
  try {
    for (const [index, change] of changes.entries()) {
      const { kind, id, row } = change;
      const key = keyOf(kind, id);
      const before = anew ? undefined : newest(stored[index], key);
      if (!isNews(change, before) && !held.rows.has(key)) continue;
      if (before) remember(kind, before);
      news.push(change);
      writes.push(row === null ? rows.delete([kind, id]) : rows.put(row, [kind, id]));
    }
    if (sync) writes.push(tx.objectStore('sync').put(sync, 'state'));
  } catch (error) {
    // Half of it would be taken for all of it.
    tx.abort();
    await Promise.allSettled([...writes, tx.done]);
    throw error;
  }
  await Promise.all([...writes, tx.done]);
  return news;
}

/** Holds on this page what the device could not take, and gives back what of it is news. */
async function hold({ changes, sync, anew }: Coming): Promise<Change[]> {
  if (anew) held = { rows: new Map(), anew: true, sync: null };
  const news: Change[] = [];
  for (const change of changes) {
    const before = await rowHere(change.kind, change.id);
    if (!isNews(change, before)) continue;
    if (before) remember(change.kind, before);
    held.rows.set(keyOf(change.kind, change.id), change.row);
    news.push(change);
  }
  if (sync) held.sync = sync;
  return news;
}

/**
 * Writes changes, or holds them on this page where the device is full. Gives back what of them is news.
 *
 * @param sync how far they bring this device
 * @param anew they are the first of everything: what was here before is no more
 */
export async function keepChanges(coming: Coming): Promise<Change[]> {
  let news: Change[] = [];
  const isKept = await kept(async (device) => {
    news = await writeTo(device, coming);
    if (coming.anew) held = { rows: new Map(), anew: false, sync: null };
    for (const { kind, id } of coming.changes) held.rows.delete(keyOf(kind, id));
  });
  return isKept ? news : hold(coming);
}

/** As after a reload. For tests. */
export function forgetDeviceRows(): void {
  former.clear();
  held = { rows: new Map(), anew: false, sync: null };
}
