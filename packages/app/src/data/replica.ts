import { RESOURCE_NAMES, type Change, type ResourceName, type RowOf } from '@dunlinmoss/contract';
import { alike } from '@dunlinmoss/domain';

import { createStore, type Store } from '../settings/store';
import { kept, openDevice, type Device, type SyncState } from './device';
import { afterFirstScreen } from './firstScreen';
import { onTabs, tellTabs } from './tabs';

/*
 * The rows as this device knows them: in its store, so that they outlast the page, and in memory, so that screens read
 * them at once. A kind is read from the store when a screen first asks for it.
 */

type AnyRow = RowOf<ResourceName>;
type Rows = ReadonlyMap<string, AnyRow>;

interface Kind {
  readonly rows: Rows;
  /** What was in the store has been read. */
  readonly loaded: boolean;
}

const EMPTY: Kind = { rows: new Map(), loaded: false };
const kinds = Object.fromEntries(RESOURCE_NAMES.map((name) => [name, createStore(EMPTY)])) as Record<
  ResourceName,
  Store<Kind>
>;

/** So many rows are read from the store at once: a screen can be drawn in between. */
const BATCH = 200;

/** A kind as it is here. */
export const kindStore = <Name extends ResourceName>(
  name: Name,
): Store<{ readonly rows: ReadonlyMap<string, RowOf<Name>>; readonly loaded: boolean }> =>
  kinds[name] as unknown as Store<{ rows: ReadonlyMap<string, RowOf<Name>>; loaded: boolean }>;

export const rowHere = <Name extends ResourceName>(name: Name, id: string): RowOf<Name> | undefined =>
  kindStore(name).get().rows.get(id);

/**
 * How far this device has come; undefined before the store was asked. Without the mark, which is another after every look:
 * nothing is drawn anew where a look brought nothing.
 */
export const syncStore = createStore<Omit<SyncState, 'mark'> | null | undefined>(undefined);
let syncState: SyncState | null = null;

/** The same with its mark, as this page knows it. */
export const syncStateHere = (): SyncState | null => syncState;

function cameTo(state: SyncState | null): void {
  syncState = state;
  if (state?.filled) tellWhatCame();
  const shown = state && { filled: state.filled, got: state.got, total: state.total };
  if (!alike(shown, syncStore.get())) syncStore.set(shown);
}

const loading = new Map<ResourceName, Promise<void>>();

/**
 * Reads a kind from the store, once.
 *
 * @param before what has to be known before its rows are told: of the first ones, what stands on top of them
 */
export function loadKind(name: ResourceName, before: Promise<void> = Promise.resolve()): Promise<void> {
  const known = loading.get(name);
  if (known) return known;
  const load = readKind(name, before);
  loading.set(name, load);
  return load;
}

async function readKind(name: ResourceName, before: Promise<void>): Promise<void> {
  const device = await openDevice();
  const read = new Map<string, AnyRow>();
  try {
    let after = '';
    while (device) {
      const range = IDBKeyRange.bound([name, after], [name, '\uffff'], true);
      const batch = await device.getAll('rows', range, BATCH);
      for (const row of batch) read.set(row.id, row);
      if (batch.length < BATCH) break;
      after = batch.at(-1)!.id;
    }
  } catch {
    // A store that can't be read is filled again from the server.
  }
  await before;
  const store = kinds[name];
  // What came or went meanwhile is newer.
  for (const [id, row] of store.get().rows) read.set(id, row);
  for (const id of wentMeanwhile.get(name) ?? []) read.delete(id);
  store.set({ rows: read, loaded: read.size <= BATCH });
  if (read.size > BATCH) {
    await madeLists();
    // With what came or went in that time.
    store.set({ rows: store.get().rows, loaded: true });
  }
  wentMeanwhile.delete(name);
}

/** Lists are made of many rows in one task, and drawn in the next: both at once hold up the page. */
const madeLists = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** Rows that went while their kind was being read. */
const wentMeanwhile = new Map<ResourceName, Set<string>>();

/** Former versions of rows, newest first: a form that is still open was begun from one of them. */
const former = new Map<string, readonly AnyRow[]>();
const FORMER_KEPT = 5;
const FORMER_ROWS = 300;

function remember(name: ResourceName, row: AnyRow): void {
  const key = `${name}/${row.id}`;
  const known = former.get(key) ?? [];
  former.delete(key);
  former.set(key, [row, ...known].slice(0, FORMER_KEPT));
  if (former.size > FORMER_ROWS) former.delete(former.keys().next().value!);
}

/** A row as it was at a revision, where this page has seen it. */
export function rowAt<Name extends ResourceName>(name: Name, id: string, revision: number): RowOf<Name> | undefined {
  const now = rowHere(name, id);
  const all = [...(now ? [now] : []), ...((former.get(`${name}/${id}`) ?? []) as RowOf<Name>[])];
  return all.find((row) => row.revision === revision);
}

/** Which of some changes are new here: never an older revision over a newer one. */
function fresh(changes: readonly Change[]): Change[] {
  return changes.filter(({ kind, id, row }) => row === null || row.revision >= (rowHere(kind, id)?.revision ?? 0));
}

/**
 * A look may bring what is here already: the mark reaches back a little, so that nothing is missed. What went always
 * counts: lists of what is archived go by it.
 */
const isHere = ({ kind, id, row }: Change): boolean => row !== null && alike(row, rowHere(kind, id));

const asHere = ({ kind, id }: Change): Change => ({ kind, id, row: rowHere(kind, id) ?? null }) as Change;

/** Puts changes into memory. Nothing is drawn anew for what is here already. */
function show(changes: readonly Change[]): void {
  for (const name of RESOURCE_NAMES) {
    const own = changes.filter((change) => change.kind === name && !isHere(change));
    const store = kinds[name];
    const { rows, loaded } = store.get();
    if (own.length === 0) continue;
    const next = new Map(rows);
    const went = wentMeanwhile.get(name) ?? new Set();
    for (const { id, row } of own) {
      const before = rows.get(id);
      if (before) remember(name, before);
      if (row === null) {
        next.delete(id);
        went.add(id);
      } else {
        next.set(id, row);
        went.delete(id);
      }
    }
    if (!loaded) wentMeanwhile.set(name, went);
    store.set({ rows: next, loaded });
  }
}

const writeAll = async (device: Device, changes: readonly Change[], sync: SyncState | undefined, anew: boolean) => {
  const tx = device.transaction(['rows', 'sync'], 'readwrite');
  const rows = tx.objectStore('rows');
  if (anew) void rows.clear();
  for (const { kind, id, row } of changes) void (row === null ? rows.delete([kind, id]) : rows.put(row, [kind, id]));
  if (sync) void tx.objectStore('sync').put(sync, 'state');
  await tx.done;
};

/** What has come of everything, while it is still coming: told all at once, as no list is shown before. */
let coming: readonly Change[] = [];

/** Tells what has come so far: it is all, or no more can be had just now. */
export function tellWhatCame(): void {
  const came = fresh(coming);
  coming = [];
  show(came);
}

/**
 * Takes rows in, into the store and into memory.
 *
 * @param sync how far that brings this device, kept in the same breath
 * @param anew they are the first of everything: what was here before is no more
 */
export async function takeIn(
  changes: readonly Change[],
  { sync, anew = false }: { readonly sync?: SyncState; readonly anew?: boolean } = {},
): Promise<void> {
  if (anew) for (const name of RESOURCE_NAMES) kinds[name].set({ rows: new Map(), loaded: true });
  const news = anew ? [...changes] : fresh(changes);
  // What is done here while the rest is coming is newer than what came.
  const before = anew ? [] : coming.filter((one) => !news.some(({ kind, id }) => one.kind === kind && one.id === id));
  coming = sync ? [...before, ...news] : before;
  const completes = sync?.filled === true && syncState?.filled !== true;
  if (sync) {
    syncState = sync;
    if (completes) {
      tellWhatCame();
      await madeLists();
    }
    // Meanwhile another tab may have come further.
    cameTo(syncState);
  } else show(news);
  // Everything is here for the first time: it is drawn before it is written, as it is by then.
  if (completes) await afterFirstScreen();
  await kept((device) => writeAll(device, completes ? news.map(asHere) : news, sync, anew));
  tellTabs(anew ? { allRows: true } : { rows: news.map(({ kind, id }) => [kind, id]) });
}

/** Takes in a row that arrived at the server. */
export const arrived = (name: ResourceName, row: AnyRow): Promise<void> =>
  takeIn([{ kind: name, id: row.id, row } as Change]);

/** Takes out a row that is archived at the server, or gone. */
export const departed = (name: ResourceName, id: string): Promise<void> => takeIn([{ kind: name, id, row: null }]);

/** Reads how far this device has come, and again whatever another tab wrote. Gives back the way to stop. */
export function startReplica(): () => void {
  void openDevice()
    .then((device) => device?.get('sync', 'state'))
    .catch(() => undefined)
    .then((state) => syncStore.get() === undefined && cameTo(state ?? null));
  return onTabs((said) => {
    if ('outbox' in said || 'former' in said) return;
    void openDevice().then(async (device) => {
      if (!device) return;
      cameTo((await device.get('sync', 'state')) ?? null);
      if ('allRows' in said) {
        loading.clear();
        for (const name of RESOURCE_NAMES) {
          const { loaded } = kinds[name].get();
          kinds[name].set({ rows: new Map(), loaded: false });
          if (loaded) void loadKind(name);
        }
        return;
      }
      const read = await Promise.all(
        said.rows.map(async ([kind, id]) => ({ kind, id, row: (await device.get('rows', [kind, id])) ?? null })),
      );
      show(fresh(read as Change[]));
    });
  });
}

/** As after a reload. For tests. */
export function forgetReplica(): void {
  loading.clear();
  former.clear();
  wentMeanwhile.clear();
  coming = [];
  syncState = null;
  syncStore.set(undefined);
  for (const name of RESOURCE_NAMES) kinds[name].set(EMPTY);
}
