import { KINDS, serverOnlyFields, type ResourceName, type RowOf } from '@dunlinmoss/contract';
import { compareTexts, sortedByName } from '@dunlinmoss/core';
import { alike } from '@dunlinmoss/domain';
import { mutate } from 'swr';

import type { SyncState } from './device';
import { BATCH, rowHere, rowsHere } from './deviceRows';
import { outboxReady, outboxStore } from './outboxStore';
import { keyOf, type Pending } from './pending';

/*
 * What screens read with SWR: each kind of row as one list, the store of this device with what waits in the outbox laid over
 * it. Whoever writes to either has the list follow.
 */

type AnyRow = RowOf<ResourceName>;
export type List = readonly AnyRow[];

export const listKey = (name: ResourceName) => ['rows', name] as const;
export const SYNC_KEY = 'sync';

/** A row as it is shown: what the server gave, and over it what was done here and has not arrived yet. */
function overlaid(row: AnyRow | undefined, pending: Pending | undefined): AnyRow | undefined {
  if (!pending) return row;
  const { base, body, fate } = pending;
  if (fate === 'archive' || fate === 'erase') return undefined;
  // Of what is only to be brought back, it is known as it was.
  if (!body && !row && (fate !== 'restore' || !base)) return undefined;
  return rowOfPending(pending, row);
}

/** A row that waits, as the server would give it. */
export function rowOfPending({ name, id, base, body, sinceMs }: Pending, row?: AnyRow): AnyRow {
  const unanswered = serverOnlyFields(name, new Date(sinceMs).toISOString());
  return { ...unanswered, ...base, ...row, ...body, id } as AnyRow;
}

/** Rows in the order of their kind; names without regard to capitals, as the database sorts them. */
function inOrder(name: ResourceName, rows: AnyRow[]): AnyRow[] {
  const { by, newestFirst } = KINDS[name].order;
  const valueOf = (row: AnyRow): string => String(row[by as keyof AnyRow]);
  return newestFirst ? rows.sort((a, b) => compareTexts(valueOf(b), valueOf(a))) : sortedByName(rows, valueOf);
}

/** How many times each list is being read from the store just now. */
const reads = new Map<ResourceName, number>();

/** Reads the list of a kind: the fetcher of its key. */
export async function readList([, name]: ReturnType<typeof listKey>): Promise<List> {
  reads.set(name, (reads.get(name) ?? 0) + 1);
  try {
    await outboxReady();
    const rows = new Map<string, AnyRow>((await rowsHere(name)).map((row) => [row.id, row]));
    for (const pending of Object.values(outboxStore.get())) {
      if (pending.name !== name) continue;
      const row = overlaid(rows.get(pending.id), pending);
      if (row) rows.set(pending.id, row);
      else rows.delete(pending.id);
    }
    const list = inOrder(name, [...rows.values()]);
    // Putting many in order and drawing them in one task would hold up the page.
    if (list.length > BATCH) await new Promise((resolve) => setTimeout(resolve));
    return list;
  } finally {
    reads.set(name, reads.get(name)! - 1);
  }
}

/** A list with some of its rows as they are now; the same one where nothing of it changed. */
function patched(name: ResourceName, list: List, rows: ReadonlyMap<string, AnyRow | undefined>): List {
  let changed = false;
  const next = new Map(list.map((row) => [row.id, row]));
  for (const [id, row] of rows) {
    const shown = overlaid(row, outboxStore.get()[keyOf(name, id)]);
    if (alike(shown, next.get(id))) continue;
    changed = true;
    if (shown) next.set(id, shown);
    else next.delete(id);
  }
  return changed ? inOrder(name, [...next.values()]) : list;
}

async function follow(name: ResourceName, ids: readonly string[]): Promise<void> {
  const rows = new Map<string, AnyRow | undefined>();
  for (const id of ids) rows.set(id, await rowHere(name, id));
  // SWR drops what is being read when other data is put in: then it is read once more instead.
  if (reads.get(name)) void mutate(listKey(name));
  else await mutate<List>(listKey(name), (list) => list && patched(name, list, rows), { revalidate: false });
}

/** One after the other: what was read earlier must not be put in later. */
let turn = Promise.resolve();

/** Has the list of a kind follow what changed in some of its rows. */
export function rowsChanged(name: ResourceName, ids: readonly string[]): Promise<void> {
  if (ids.length > 0) turn = turn.then(() => follow(name, ids)).catch(() => undefined);
  return turn;
}

const isList = (key: unknown): boolean => Array.isArray(key) && key[0] === 'rows';

/** Has every list read anew. */
export const readLists = (): Promise<unknown> => mutate(isList);

/** Nothing of what was here counts any more: every list is unread. */
export const emptyLists = (): Promise<unknown> => mutate(isList, undefined, { revalidate: false });

/** Has whoever shows it see how far this device has come: as it is given, or as the store has it. */
export const syncChanged = (state?: SyncState | null): Promise<unknown> =>
  state === undefined ? mutate(SYNC_KEY) : mutate(SYNC_KEY, state, { revalidate: false });
