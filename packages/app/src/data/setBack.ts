import {
  bodyOf,
  mayAs,
  RESOURCE_NAMES,
  type BodyOf,
  type Change,
  type ResourceName,
  type RowOf,
  type SetBack,
} from '@dunlinmoss/contract';
import { alike } from '@dunlinmoss/domain';

import { createStore } from '../settings/store';
import { roleHere, whoStore } from '../settings/who';
import { kept, openDevice } from './device';
import type { LeftBehind, LeftBehindRow } from './leftBehind';
import { rowHere, rowsHere } from './deviceRows';
import { become, holdForPerson, takeEntries } from './outbox';
import { outboxReady, outboxStore } from './outboxStore';
import { keyOf } from './pending';
import { photosWait } from './photos';
import { useEveryKind } from './useKind';
import { seenPhoto } from './seen';
import { onTabs, tellTabs } from './tabs';

/*
 * A backup was restored at the server: it is back at an earlier moment, and this device has rows of the time that was lost.
 * They are kept aside before the older ones take their place, and offered to the person.
 */

type AnyRow = RowOf<ResourceName>;

/** What is offered to the person; null where nothing is. */
export const leftBehindStore = createStore<LeftBehind | null>(null);

const withoutRevision = (kind: ResourceName, row: AnyRow): object => ({ ...bodyOf(kind, row as never), revision: 0 });

/** Whether a device knew all that is in the backup: then whatever differs is of the time that was lost. */
const knewAll = ({ to, knew }: SetBack): boolean => to === null || knew >= to;

/** What of the rows that a device had the store has otherwise now. */
export function differences(
  { setBack, had }: Pick<LeftBehind, 'setBack' | 'had'>,
  now: (kind: ResourceName) => ReadonlyMap<string, AnyRow>,
): LeftBehindRow[] {
  const { to, sameStore } = setBack;
  const found: LeftBehindRow[] = [];
  for (const kind of RESOURCE_NAMES) {
    const rows = now(kind);
    const own = had.flatMap((each) => (each.kind === kind && each.row ? [each.row] : []));
    for (const row of own) {
      // A device that had not heard of all in the backup may be behind it: only what is newer for certain counts.
      if (!knewAll(setBack) && row.updatedAt <= to!) continue;
      const present = rows.get(row.id);
      if (!present) found.push({ kind, id: row.id, row, how: 'missing' });
      else if (!alike(withoutRevision(kind, row), withoutRevision(kind, present))) {
        found.push({ kind, id: row.id, row, how: 'older' });
      }
    }
    // In another store, what this device does not know was never its own.
    if (!sameStore || to === null || !knewAll(setBack)) continue;
    const ids = new Set(own.map(({ id }) => id));
    for (const row of rows.values()) {
      if (!ids.has(row.id) && row.createdAt <= to) found.push({ kind, id: row.id, row, how: 'archived' });
    }
  }
  return found;
}

async function keep(left: LeftBehind | null): Promise<boolean> {
  leftBehindStore.set(left);
  const done = await kept((device) => (left ? device.put('former', left, 'all') : device.delete('former', 'all')));
  tellTabs({ former: true });
  return done;
}

/** Everything that this device has from the server. */
async function everythingHere(): Promise<Change[]> {
  const all: Change[] = [];
  for (const kind of RESOURCE_NAMES) {
    for (const row of await rowsHere(kind)) all.push({ kind, id: row.id, row } as Change);
  }
  return all;
}

/**
 * Keeps what this device has aside, before what the store was set back to takes its place. False where the device is full:
 * then nothing may take its place.
 */
export async function keepAside(setBack: SetBack): Promise<boolean> {
  const device = await openDevice();
  const before = (await device?.get('former', 'all').catch(() => undefined)) ?? leftBehindStore.get();
  // Set back once more before all of the first time was decided, or came: that is still on offer.
  const undecided: readonly Change[] = before
    ? [...before.had, ...(before.rows ?? []).filter(({ how }) => how !== 'archived').map(asChange)]
    : [];
  const had = new Map([...(await everythingHere()), ...undecided].map((each) => [keyOf(each.kind, each.id), each]));
  return (await keep({ setBack, had: [...had.values()], rows: null })) || device === null;
}

const asChange = ({ kind, id, row }: LeftBehindRow): Change => ({ kind, id, row });

/** Once everything is here again after a restore: holds what this device had against it. */
export async function compareWithStore(): Promise<void> {
  const device = await openDevice();
  const left = (await device?.get('former', 'all').catch(() => undefined)) ?? leftBehindStore.get();
  if (!left || left.rows !== null) return;
  await outboxReady();
  const now = new Map<ResourceName, ReadonlyMap<string, AnyRow>>();
  for (const kind of RESOURCE_NAMES) now.set(kind, new Map((await rowsHere(kind)).map((row) => [row.id, row])));
  const found = differences(left, (kind) => now.get(kind)!);
  const waits = ({ kind, id }: LeftBehindRow): boolean => outboxStore.get()[keyOf(kind, id)] !== undefined;
  // What was changed here on top of one and waits must not go out as though nothing had happened.
  for (const each of found.filter((one) => waits(one) && one.how !== 'archived')) {
    await holdForPerson(keyOf(each.kind, each.id), (await rowHere(each.kind, each.id)) ?? null);
  }
  const offered = found.filter((each) => !waits(each));
  await keep(offered.length > 0 ? { setBack: left.setBack, had: [], rows: offered } : null);
}

/** Whether somebody, on another device, has brought a row back already, or archived it again. */
function isSettled({ kind, row, how }: LeftBehindRow, present: AnyRow | undefined): boolean {
  if (how === 'archived') return present === undefined;
  return present !== undefined && alike(withoutRevision(kind, row), withoutRevision(kind, present));
}

/** What is still to be decided; nothing for who may not change anything. */
export function useLeftBehind(): { readonly setBack: SetBack; readonly rows: readonly LeftBehindRow[] } | null {
  const left = leftBehindStore.use();
  const mayChange = mayAs(roleHere(whoStore.use()), 'member');
  const lists = useEveryKind();
  if (!left?.rows || !mayChange) return null;
  const shown = ({ kind, id }: LeftBehindRow) => lists.get(kind)!.rows.find((row) => row.id === id);
  const rows = left.rows.filter((each) => !isSettled(each, shown(each)));
  return rows.length > 0 ? { setBack: left.setBack, rows } : null;
}

/** Takes rows off what is offered. Gives back the way to undo that. */
export async function letGoLeftBehind(rows: readonly LeftBehindRow[]): Promise<() => Promise<void>> {
  const before = leftBehindStore.get();
  if (!before?.rows) return async () => undefined;
  const rest = before.rows.filter((each) => !rows.some(({ kind, id }) => each.kind === kind && each.id === id));
  await keep(rest.length > 0 ? { ...before, rows: rest } : null);
  return async () => void (await keep(before));
}

/** The photos that a test names go out again where this device still has them. */
async function photosAgain({ kind, row }: LeftBehindRow): Promise<void> {
  if (kind !== 'tests') return;
  const test = row as RowOf<'tests'>;
  if (test.kind !== 'print') return;
  for (const { photoId } of test.details.runs) {
    const photo = typeof photoId === 'string' ? await seenPhoto(photoId) : undefined;
    if (photo) await photosWait(photoId as string, photo);
  }
}

/** Brings rows back as this device had them, or archives again what was archived: like anything that is saved here. */
export async function bringBack(rows: readonly LeftBehindRow[]): Promise<void> {
  const entries: Parameters<typeof takeEntries>[0][number][] = [];
  for (const { kind, id, row, how } of rows) {
    if (how === 'archived') continue;
    const present = await rowHere(kind, id);
    const body = { ...bodyOf(kind, row as never), revision: present?.revision ?? 0 } as BodyOf<ResourceName>;
    const base = present ? (bodyOf(kind, present as never) as BodyOf<ResourceName>) : null;
    entries.push({ name: kind, id, base, body, sinceMs: Date.now() });
  }
  for (const each of rows) {
    await photosAgain(each);
    if (each.how === 'archived')
      await become(each.kind, each.id, 'archive', (await rowHere(each.kind, each.id))!.revision);
  }
  await takeEntries(entries);
  await letGoLeftBehind(rows);
}

/** Reads what is offered, and again whatever another tab did about it. Gives back the way to stop. */
export function startSetBack(): () => void {
  const read = async (): Promise<void> => {
    const device = await openDevice();
    if (device) leftBehindStore.set((await device.get('former', 'all')) ?? null);
  };
  void read().catch(() => undefined);
  return onTabs((said) => 'former' in said && void read());
}
