import {
  bodyOf,
  KINDS,
  mayAs,
  REVISIONS_OF_AN_EPOCH,
  type BodyOf,
  type Problem,
  type ResourceName,
  type RowOf,
} from '@dunlinmoss/contract';
import { alike, mergeRows } from '@dunlinmoss/domain';

import { roleHere, whoStore } from '../settings/who';
import { Away, reachStore, Refused, request } from './client';
import { kept, openDevice } from './device';
import { newId } from './newId';
import { rowAt, rowHere } from './deviceRows';
import { rowOfPending, rowsChanged } from './lists';
import { byKey, forgetOutboxStore, outboxReady, outboxStore } from './outboxStore';
import { goesOut, keyOf, type Fate, type Pending } from './pending';
import { photosWait, sendPhoto, sendWaitingPhotos } from './photos';
import { arrived, departed } from './takeIn';
import { alone, forgetTurns, onTabs, tellTabs } from './tabs';

/*
 * What was done here and has not arrived yet. It is in the store of this device before anybody is told that it is kept,
 * and leaves it only once the server has it, or the person has said that it may go.
 */

export type SaveResult<Name extends ResourceName> =
  /** `merged`: what somebody else had saved in between is in it too. */
  | { readonly kind: 'saved'; readonly row: RowOf<Name>; readonly merged?: boolean }
  /** Kept on this device; goes out by itself when the server is back. */
  | { readonly kind: 'waiting' }
  /** Neither the server nor the store of this device has it: it stands on this page alone. */
  | { readonly kind: 'notKept' }
  | { readonly kind: 'stale' }
  | { readonly kind: 'refused'; readonly problem: Problem };

const RETRY_MS = 4_000;
/** So many of the bodies that may have arrived are remembered. */
const SENT_KEPT = 4;
/** Somebody else may save once more while two are being put together. */
const MERGES = 4;

let timer: ReturnType<typeof setTimeout> | undefined;

/** Changes what waits, and has the lists follow. */
function setWaiting(next: Readonly<Record<string, Pending>>): void {
  const before = outboxStore.get();
  outboxStore.set(next);
  for (const key of new Set([...Object.keys(before), ...Object.keys(next)])) {
    const { name, id } = (next[key] ?? before[key])!;
    if (next[key] !== before[key]) void rowsChanged(name, [id]);
  }
}

/** Takes in bodies that an earlier version left unsent; false where not all of them could be kept. */
export async function takeBodies(
  bodies: readonly { readonly name: ResourceName; readonly body: BodyOf<ResourceName> }[],
): Promise<boolean> {
  for (const { name, body } of bodies) {
    if (!outboxStore.get()[keyOf(name, body.id)]) await put({ ...fresh(name, body.id), body });
  }
  void flush();
  return onPage.size === 0;
}

const fresh = (name: ResourceName, id: string): Pending => ({
  name,
  id,
  base: null,
  sent: [],
  body: null,
  fate: null,
  revision: 0,
  sinceMs: Date.now(),
  stamp: newId(),
});

/** Entries that only this page has. */
const onPage = new Set<string>();

/** What this page has put something newer over. On a full device it may stand in the store still. */
const replaced = new Set<string>();

/** Entries that are being written just now: until that is done, what is in memory counts. */
const underWay = new Map<string, number>();

async function writing<T>(key: string, write: () => Promise<T>): Promise<T> {
  underWay.set(key, (underWay.get(key) ?? 0) + 1);
  try {
    return await write();
  } finally {
    const left = underWay.get(key)! - 1;
    if (left > 0) underWay.set(key, left);
    else underWay.delete(key);
  }
}

/** Keeps an entry. False where only this page has it. */
async function put(entry: Pending): Promise<boolean> {
  const key = keyOf(entry.name, entry.id);
  const before = outboxStore.get()[key];
  if (before) replaced.add(before.stamp);
  // In its place: what it is pointed at by stays behind it.
  setWaiting({ ...outboxStore.get(), [key]: entry });
  const isKept = await writing(key, async () => {
    const done = await kept((device) => device.put('outbox', entry, key));
    // Before it counts as written: what only this page has must not be taken for gone. An older one may be done later.
    if (outboxStore.get()[key]?.stamp === entry.stamp) {
      if (done) onPage.delete(key);
      else onPage.add(key);
    }
    return done;
  });
  if (isKept) tellTabs({ outbox: true });
  return isKept;
}

/** Lets an entry go, unless it was changed since: then `otherwise` says what stays of it. */
async function letGo(entry: Pending, otherwise?: (newer: Pending) => Pending): Promise<void> {
  const key = keyOf(entry.name, entry.id);
  const after = (newest: Pending | undefined): Pending | undefined =>
    !newest || newest.stamp === entry.stamp || replaced.has(newest.stamp) ? undefined : (otherwise?.(newest) ?? newest);
  const inMemory = after(outboxStore.get()[key]);
  const { [key]: _, ...rest } = outboxStore.get();
  setWaiting(inMemory ? { ...rest, [key]: inMemory } : rest);
  if (!inMemory) onPage.delete(key);
  await writing(key, () =>
    kept(async (device) => {
      const tx = device.transaction('outbox', 'readwrite');
      // Another tab may have changed it meanwhile.
      const left = inMemory ?? after(await tx.store.get(key));
      if (left) await tx.store.put(left, key);
      else await tx.store.delete(key);
      await tx.done;
    }),
  );
  tellTabs({ outbox: true });
}

/** Reads again what other tabs wrote. */
async function readAgain(): Promise<void> {
  const device = await openDevice();
  if (!device) return;
  const entries = await device.getAll('outbox');
  // What only this page has, or is just writing, must not be lost by that.
  const isOwn = (key: string): boolean => onPage.has(key) || underWay.has(key);
  const own = Object.values(outboxStore.get()).filter(({ name, id }) => isOwn(keyOf(name, id)));
  const next = byKey([...entries.filter(({ name, id }) => !isOwn(keyOf(name, id))), ...own]);
  // Every list goes by what waits: none is made anew for the same.
  if (!alike(next, outboxStore.get())) setWaiting(next);
}

/** A viewer of a crew changes nothing, and is not left with entries that nobody will take. */
const mayChange = (): boolean => mayAs(roleHere(whoStore.get()), 'member');

const LOOKS_ONLY: Problem = {
  type: 'urn:dunlinmoss:problem:notAllowed',
  title: 'A viewer of a crew changes nothing',
  status: 403,
  code: 'notAllowed',
};

/**
 * Saves a row: now when the server is there, later by itself when it is away.
 *
 * @param begun what the change was made of, where that may be older than what is here by now
 */
export async function save<Name extends ResourceName>(
  name: Name,
  body: BodyOf<Name>,
  begun?: BodyOf<Name>,
): Promise<SaveResult<Name>> {
  if (!mayChange()) return { kind: 'refused', problem: LOOKS_ONLY };
  await outboxReady();
  const key = keyOf(name, body.id);
  const there = begun ? undefined : await rowAt(name, body.id, body.revision);
  // Read only now, as another save may have come meanwhile.
  const before = outboxStore.get()[key];
  const entry: Pending = {
    ...(before ?? fresh(name, body.id)),
    base: before ? before.base : (begun ?? (there ? bodyOf(name, there as RowOf<Name>) : null)),
    sent: before?.body ? [before.body, ...before.sent].slice(0, SENT_KEPT) : [],
    body,
    fate: before?.fate === 'restore' ? 'restore' : null,
    stamp: newId(),
    // Mended, or saved once more: it is tried again. The server can't find a clash that it has not seen.
    clashing: before?.clashing?.inOtherTab ? before.clashing : undefined,
    refused: undefined,
  };
  const both =
    before?.body && begun && !entry.clashing && !alike(before.body, begun) ? inTwoTabs(entry, begun, before) : entry;
  const isKept = await put(both);
  if (both.clashing) return { kind: isKept ? 'stale' : 'notKept' };
  if (!reachStore.get()) {
    // Nobody waits at the water's edge for a line that was dead a moment ago.
    retryLater();
    void flush();
    return { kind: isKept ? 'waiting' : 'notKept' };
  }
  const sent = (await sendUpTo(key)) as SaveResult<Name>;
  return !isKept && (sent.kind === 'waiting' || sent.kind === 'stale') ? { kind: 'notKept' } : sent;
}

/** Another tab saved it too since the change was begun: both are put together as though another device had. */
function inTwoTabs(entry: Pending, begun: BodyOf<ResourceName>, other: Pending): Pending {
  const { body, clashes } = mergeRows(entry.name, begun, entry.body!, other.body!);
  if (clashes.length === 0) return { ...entry, body };
  return { ...entry, base: begun, clashing: { present: rowOfPending(other), archived: false, inOtherTab: true } };
}

/** Archives, brings back or deletes a row: here at once, at the server when that can be reached. */
export async function become(
  name: ResourceName,
  id: string,
  fate: Fate,
  revision: number,
  asItWas?: RowOf<ResourceName>,
): Promise<void> {
  if (!mayChange()) return;
  await outboxReady();
  const row = (await rowHere(name, id)) ?? asItWas;
  const before = outboxStore.get()[keyOf(name, id)];
  const undoes = before && OPPOSITE[fate] !== undefined && before.fate === OPPOSITE[fate];
  // Of what the server has never seen, two that undo each other are none. Else the first may have arrived, its answer lost.
  if (undoes && before.base === null && before.body) await put({ ...before, fate: null, stamp: newId() });
  else {
    const base = before?.base ?? (row ? bodyOf(name, row as never) : null);
    const entry = { ...(before ?? fresh(name, id)), base, fate, revision, stamp: newId() };
    await put({ ...entry, clashing: undefined, refused: undefined });
  }
  void flush();
}

const OPPOSITE: Partial<Record<Fate, Fate>> = { archive: 'restore', restore: 'archive' };

type Sent = SaveResult<ResourceName>;

/** Sends what waits up to a row, in order, and that row. */
const sendUpTo = (key: string): Promise<Sent> =>
  alone('outbox', async () => {
    // What was saved earlier goes first: rows point at one another.
    for (const [each, entry] of Object.entries(outboxStore.get())) {
      if (each === key) break;
      if (goesOut(entry) && (await sendOne(each)).kind === 'waiting' && outboxStore.get()[each]) {
        retryLater();
        return { kind: 'waiting' };
      }
    }
    return sendOne(key);
  });

/** Sends one entry as it is now. Only within the lock. */
async function sendOne(key: string): Promise<Sent> {
  const entry = outboxStore.get()[key];
  if (!entry) {
    // It was sent meanwhile, by another tab or with all that waited.
    const [name, id] = key.split('/') as [ResourceName, string];
    const row = await rowHere(name, id);
    return row ? { kind: 'saved', row } : { kind: 'waiting' };
  }
  // Sent with all that waited while this one stood in line.
  if (entry.clashing) return { kind: 'stale' };
  if (entry.refused) return { kind: 'refused', problem: entry.refused };
  const { name, id, fate } = entry;
  const path = `/${KINDS[name].path}/${id}`;
  try {
    if (fate === 'restore') await arrived(name, (await request('POST', `${path}/restore`)) as RowOf<ResourceName>);
    const sent = entry.body ? await sendBody(entry, entry.body) : undefined;
    if (sent === 'clashing') return { kind: 'stale' };
    const row = sent?.row;
    if (fate === 'archive' || fate === 'erase') {
      const revision = row?.revision ?? entry.revision;
      await request('DELETE', `${path}?revision=${revision}${fate === 'erase' ? '&forever=true' : ''}`).catch(gone);
      await departed(name, id);
    } else if (row) await arrived(name, row);
    await letGo(entry, (newer) => onTop(newer, entry.body, row));
    const now = row ?? (await rowHere(name, id));
    return now ? { kind: 'saved', row: now, ...(sent?.merged && { merged: true }) } : { kind: 'waiting' };
  } catch (error) {
    if (error instanceof Away) {
      retryLater();
      return { kind: 'waiting' };
    }
    if (!(error instanceof Refused)) throw error;
    const { problem } = error;
    const newest = outboxStore.get()[key] ?? entry;
    if (problem.code === 'staleRevision') {
      const present = (problem.present ?? null) as RowOf<ResourceName> | null;
      await put({ ...newest, clashing: { present, archived: problem.presentArchived === true } });
      return { kind: 'stale' };
    }
    await put({ ...newest, refused: problem });
    return { kind: 'refused', problem };
  }
}

/** What is gone already need not be taken away. */
function gone(error: unknown): void {
  if (!(error instanceof Refused && error.problem.code === 'notFound')) throw error;
}

/** Something that was done while its forerunner was on its way stands on what has arrived. */
function onTop(newer: Pending, sent: BodyOf<ResourceName> | null, row: RowOf<ResourceName> | undefined): Pending {
  if (!row) return newer;
  const there = bodyOf(newer.name, row as never) as BodyOf<ResourceName>;
  if (!newer.body || !sent) return { ...newer, base: there, revision: row.revision };
  // What came in with the forerunner from somebody else must not be undone by it.
  const { body, clashes } = mergeRows(newer.name, sent, newer.body, there);
  return clashes.length === 0
    ? { ...newer, base: there, body, revision: row.revision }
    : { ...newer, base: sent, revision: row.revision, clashing: { present: row, archived: false } };
}

/**
 * Sends a body; where somebody saved in between, both are put together from what they began with, and only what both
 * changed is left to the person. Throws `Away` or `Refused`.
 */
async function sendBody(
  entry: Pending,
  body: BodyOf<ResourceName>,
): Promise<{ readonly row: RowOf<ResourceName>; readonly merged: boolean } | 'clashing'> {
  const { name, id, base } = entry;
  const path = `/${KINDS[name].path}/${id}`;
  let mine = body;
  for (let round = 0; ; round += 1) {
    try {
      return { row: (await request('PUT', path, mine)) as RowOf<ResourceName>, merged: round > 0 };
    } catch (error) {
      if (!(error instanceof Refused) || error.problem.code !== 'staleRevision') throw error;
      const present = (error.problem.present ?? null) as RowOf<ResourceName> | null;
      const archived = error.problem.presentArchived === true;
      const here = await rowHere(name, id);
      // The store was set back, and this device has not heard of it yet: what both began with is not what it was.
      if (present && here && epochOf(present.revision) !== epochOf(here.revision)) throw new Away();
      const merged =
        present && !archived
          ? mergeRows(name, base, body, bodyOf(name, present as never), 'mine', entry.sent)
          : undefined;
      if (!merged || merged.clashes.length > 0 || round === MERGES) {
        await put({ ...(outboxStore.get()[keyOf(name, id)] ?? entry), clashing: { present, archived } });
        if (present && !archived) await arrived(name, present);
        return 'clashing';
      }
      // The other side has all of it already.
      if (alike(merged.body, bodyOf(name, present as never))) return { row: present!, merged: true };
      mine = merged.body;
    }
  }
}

/** Which epoch of the store a revision is of. */
const epochOf = (revision: number): number => Math.floor(revision / REVISIONS_OF_AN_EPOCH);

/** Sends all that waits, photos last. */
export const flush = (): Promise<void> =>
  alone('outbox', async () => {
    await outboxReady();
    await readAgain();
    for (const [key, entry] of Object.entries(outboxStore.get())) {
      if (goesOut(entry) && (await sendOne(key)).kind === 'waiting' && outboxStore.get()[key]) return retryLater();
    }
    if (!(await sendWaitingPhotos())) retryLater();
  });

function retryLater(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void flush(), RETRY_MS);
}

/** Settles a row that was saved on both sides: where they clash, `mine` or `theirs` stays; all else of both is kept. */
export async function settle(key: string, choice: 'mine' | 'theirs'): Promise<void> {
  const entry = outboxStore.get()[key];
  if (!entry?.clashing) return;
  const { name, base, body, fate } = entry;
  const { present, archived } = entry.clashing;
  const { clashing: _, ...open } = entry;
  const theirs = present && (bodyOf(name, present as never) as BodyOf<ResourceName>);
  const merged = body && theirs ? mergeRows(name, base, body, theirs, choice, entry.sent).body : body;
  if (!present || archived) {
    // Gone there: begun anew, with what somebody else did to it before; or let go.
    if (choice === 'theirs' || !merged) return letGo(entry);
    const revived = { ...merged, revision: present?.revision ?? 0 } as BodyOf<ResourceName>;
    await put({ ...open, stamp: newId(), sent: [], base: theirs, body: revived });
  } else {
    await arrived(name, present);
    if (choice === 'theirs' && (!merged || alike(merged, theirs))) return letGo(entry);
    await put({
      ...open,
      stamp: newId(),
      sent: [],
      base: theirs,
      body: merged,
      fate: choice === 'mine' ? fate : null,
      revision: present.revision,
    });
  }
  await flush();
}

/** Holds what waits for the person to decide: the store was set back to before what it was made of. */
export async function holdForPerson(key: string, present: RowOf<ResourceName> | null): Promise<void> {
  const entry = outboxStore.get()[key];
  if (!entry) return;
  // Nothing that both had is known: all that differs is the person's to choose.
  const clashing = { present, archived: false, setBack: true };
  await put({ ...entry, base: null, sent: [], refused: undefined, clashing, stamp: newId() });
}

/** Tries once more what the server refused. */
export async function tryAgain(key: string): Promise<void> {
  const entry = outboxStore.get()[key];
  if (!entry) return;
  const { refused: _, ...open } = entry;
  await put({ ...open, stamp: newId() });
  await flush();
}

/** Lets go of something for good. Gives back the way to undo that. */
export async function discard(key: string): Promise<() => Promise<void>> {
  const entry = outboxStore.get()[key];
  if (entry) await letGo(entry);
  return async () => {
    if (entry) await put({ ...entry, stamp: newId() });
  };
}

/** Takes in entries that were not made here just now. What is newer here stays. Gives back how many were taken. */
export async function takeEntries(
  entries: readonly (Pick<Pending, 'name' | 'id' | 'base' | 'body' | 'sinceMs'> & Partial<Pending>)[],
): Promise<number> {
  await outboxReady();
  let taken = 0;
  for (const entry of entries) {
    if (outboxStore.get()[keyOf(entry.name, entry.id)]) continue;
    // Whatever a file lacks is as in a new entry.
    await put({ ...fresh(entry.name, entry.id), ...entry, stamp: newId() });
    taken += 1;
  }
  void flush();
  return taken;
}

/**
 * Keeps a photo here at once, and at the server as soon as that can be reached; where this device can't keep it, at the
 * server alone. False where neither has it.
 */
export async function savePhoto(id: string, photo: Blob): Promise<boolean> {
  const isKept = await photosWait(id, photo);
  void flush();
  return isKept || sendPhoto(id, photo);
}

/** Starts sending what waits, and follows what other tabs do. Gives back the way to stop. */
export function startOutbox(): () => void {
  void flush();
  const wake = (): void => void flush();
  // The tab that left something waiting may be closed before it is sent.
  const follow = async (): Promise<void> => {
    await readAgain();
    if (Object.values(outboxStore.get()).some(goesOut)) retryLater();
  };
  const stopTabs = onTabs((said) => 'outbox' in said && void follow());
  const asked = (event: BeforeUnloadEvent): void => {
    // Leaving now would lose it: the browser asks.
    if (onPage.size > 0) event.preventDefault();
  };
  globalThis.addEventListener?.('online', wake);
  globalThis.addEventListener?.('beforeunload', asked);
  return () => {
    clearTimeout(timer);
    stopTabs();
    globalThis.removeEventListener?.('online', wake);
    globalThis.removeEventListener?.('beforeunload', asked);
  };
}

/** As after a reload. For tests. */
export function forgetOutbox(): void {
  clearTimeout(timer);
  onPage.clear();
  replaced.clear();
  underWay.clear();
  forgetTurns();
  forgetOutboxStore();
}
