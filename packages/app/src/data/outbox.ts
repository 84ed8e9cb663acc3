import {
  FROM_VERSION_2,
  RESOURCES,
  type BodyOf,
  type Problem,
  type ResourceName,
  type RowOf,
} from '@dunlinmoss/contract';

import { Away, Refused, request } from './client';
import { keepWaiting, sendWaitingPhotos } from './photos';
import { shaped } from '../settings/storage';
import { createStore } from '../settings/store';

/** A save that has not arrived yet, or that met a newer row on the other side. */
export interface Pending {
  readonly name: ResourceName;
  readonly body: BodyOf<ResourceName>;
  /** The row that is there now, when somebody saved in between; the person chooses. */
  readonly present?: RowOf<ResourceName> | null;
}

export type SaveResult<Name extends ResourceName> =
  | { readonly kind: 'saved'; readonly row: RowOf<Name> }
  /** Kept on this device; goes out by itself when the server is back. */
  | { readonly kind: 'waiting' }
  | { readonly kind: 'stale' }
  | { readonly kind: 'refused'; readonly problem: Problem };

const RETRY_MS = 4_000;

/** What has not arrived yet, by row, in the order of saving. Survives a reload. */
export const outboxStore = createStore<Readonly<Record<string, Pending>>>({}, shaped('outbox'));

// What an earlier version of the application left unsent goes out in the shape of today.
outboxStore.set(
  Object.fromEntries(
    Object.entries(outboxStore.get()).map(([key, pending]) => [
      key,
      { ...pending, body: (FROM_VERSION_2[pending.name]?.(pending.body) ?? pending.body) as Pending['body'] },
    ]),
  ),
);

type Arrived = (name: ResourceName, row: RowOf<ResourceName>) => void;
let onArrived: Arrived = () => undefined;
let timer: ReturnType<typeof setTimeout> | undefined;
let flushing: Promise<boolean> | undefined;

const keyOf = (name: ResourceName, id: string): string => `${name}/${id}`;

const forget = (key: string): void => {
  const { [key]: _, ...rest } = outboxStore.get();
  outboxStore.set(rest);
};

/** Saves a row: now when the server is there, later by itself when it is away. */
export async function save<Name extends ResourceName>(name: Name, body: BodyOf<Name>): Promise<SaveResult<Name>> {
  const key = keyOf(name, body.id);
  const { [key]: _, ...rest } = outboxStore.get();
  outboxStore.set({ ...rest, [key]: { name, body } });
  // What was saved earlier goes first: rows point at one another.
  const earlier = Object.values(rest).some(({ present }) => present === undefined);
  if (earlier && !(await flush(key))) return { kind: 'waiting' };
  return send(key);
}

/** What is on its way just now, by row: a second save of the same row waits for the first. */
const underWay = new Map<string, Promise<unknown>>();

async function send<Name extends ResourceName>(key: string): Promise<SaveResult<Name>> {
  while (underWay.has(key)) await underWay.get(key);
  // What was saved meanwhile may have gone out with it.
  if (!outboxStore.get()[key]) return { kind: 'waiting' };
  const sent = sendNow<Name>(key).finally(() => underWay.delete(key));
  underWay.set(
    key,
    sent.catch(() => undefined),
  );
  return sent;
}

async function sendNow<Name extends ResourceName>(key: string): Promise<SaveResult<Name>> {
  const { name, body } = outboxStore.get()[key]!;
  try {
    const row = (await request('PUT', `/${RESOURCES[name].path}/${body.id}`, body)) as RowOf<Name>;
    const newer = outboxStore.get()[key];
    // Saved again here while this was on its way: it stays in view, and goes out on top of what has arrived.
    if (newer && newer.body !== body && newer.body.revision === body.revision) {
      outboxStore.set({
        ...outboxStore.get(),
        [key]: { ...newer, body: { ...newer.body, revision: row.revision } as typeof body },
      });
    } else forget(key);
    onArrived(name, row);
    return { kind: 'saved', row };
  } catch (error) {
    if (error instanceof Away) {
      retryLater();
      return { kind: 'waiting' };
    }
    if (!(error instanceof Refused)) throw error;
    if (error.problem.code === 'staleRevision') {
      const present = (error.problem.present ?? null) as RowOf<Name> | null;
      // What was saved again here meanwhile is what the person means.
      const newest = outboxStore.get()[key] ?? { name, body };
      outboxStore.set({ ...outboxStore.get(), [key]: { ...newest, present } });
      return { kind: 'stale' };
    }
    forget(key);
    return { kind: 'refused', problem: error.problem };
  }
}

/** Sends what waits, in order, up to a row; stops where the server is away. True when nothing of it waits any more. */
async function flush(before?: string): Promise<boolean> {
  // One at a time; what was saved while another was under way has its own turn after it.
  while (flushing) await flushing;
  flushing = sendAll(before).finally(() => (flushing = undefined));
  return flushing;
}

async function sendAll(before: string | undefined): Promise<boolean> {
  for (const [key, { present }] of Object.entries(outboxStore.get())) {
    if (key === before) break;
    if (present === undefined && (await send(key)).kind === 'waiting' && outboxStore.get()[key]) return false;
  }
  // A row that is saved now does not wait for photos; they have their turn behind all rows.
  if (before === undefined && !(await sendWaitingPhotos())) {
    retryLater();
    return false;
  }
  return true;
}

/** Keeps a photo here at once, and at the server as soon as that can be reached. */
export async function savePhoto(id: string, photo: Blob): Promise<void> {
  await keepWaiting(id, photo);
  void flush();
}

function retryLater(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void flush(), RETRY_MS);
}

/** Settles a row that was saved on both sides: `mine` overwrites what is there, `theirs` drops what is here. */
export async function settle(key: string, choice: 'mine' | 'theirs'): Promise<void> {
  const pending = outboxStore.get()[key];
  if (!pending || pending.present === undefined) return;
  if (choice === 'theirs' || pending.present === null) {
    forget(key);
    if (pending.present) onArrived(pending.name, pending.present);
    return;
  }
  await save(pending.name, { ...pending.body, revision: pending.present.revision } as never);
}

/** Starts sending what waits, and says where an arrived row goes. Gives back the way to stop. */
export function startOutbox(arrived: Arrived): () => void {
  onArrived = arrived;
  void flush();
  const wake = (): void => void flush();
  globalThis.addEventListener?.('online', wake);
  return () => {
    clearTimeout(timer);
    globalThis.removeEventListener?.('online', wake);
  };
}
