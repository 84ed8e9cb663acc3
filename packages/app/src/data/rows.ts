import { KINDS, serverOnlyFields, type ResourceName, type RowOf } from '@dunlinmoss/contract';
import { compareTexts, sortedByName } from '@dunlinmoss/core';
import { useEffect, useMemo } from 'react';
import useSWR from 'swr';

import { reachStore, Refused, request } from './client';
import { become, outboxReady, outboxStore } from './outbox';
import { keyOf, type Pending } from './pending';
import { kindStore, loadKind, syncStore } from './replica';
import { readAgain } from './sync';

type AnyRow = RowOf<ResourceName>;

/** Try again soon while the server is away; never for what it refused. */
export const swrSettings = {
  fetcher: (path: string): Promise<unknown> => request('GET', path),
  errorRetryInterval: 3_000,
  shouldRetryOnError: (error: unknown): boolean => !(error instanceof Refused),
  keepPreviousData: true,
};

/** Archives a row: here at once, at the server as soon as that can be reached. */
export const archiveRow = (name: ResourceName, row: { id: string; revision: number }): Promise<void> =>
  become(name, row.id, 'archive', row.revision);

/** Brings a row back that was archived, as it was then. */
export const restoreRow = <Name extends ResourceName>(name: Name, row: RowOf<Name>): Promise<void> =>
  become(name, row.id, 'restore', row.revision, row);

/** Deletes for good what was archived. */
export async function deleteForGood(name: ResourceName, row: { id: string; revision: number }): Promise<void> {
  await become(name, row.id, 'erase', row.revision);
  readAgain();
}

/** A row as it stands here: what the server gave, and over it what was done here and has not arrived yet. */
function overlaid(row: AnyRow | undefined, pending: Pending): AnyRow | undefined {
  const { name, base, body, fate } = pending;
  if (fate === 'archive' || fate === 'erase') return undefined;
  // Of what is only to be brought back, it is known as it was.
  if (!body && !row && (fate !== 'restore' || !base)) return undefined;
  const unanswered = serverOnlyFields(name, new Date(pending.sinceMs).toISOString());
  return { ...unanswered, ...base, ...row, ...body, id: pending.id } as AnyRow;
}

/** Rows in the order of their kind; names without regard to capitals, as the database sorts them. */
function inOrder(name: ResourceName, rows: AnyRow[]): AnyRow[] {
  const { by, newestFirst } = KINDS[name].order;
  const valueOf = (row: AnyRow): string => String(row[by as keyof AnyRow]);
  return newestFirst ? rows.sort((a, b) => compareTexts(valueOf(b), valueOf(a))) : sortedByName(rows, valueOf);
}

interface Listed {
  readonly of: readonly [rows: unknown, outbox: unknown, rigs: unknown];
  readonly rows: readonly AnyRow[];
}
const listed = new Map<ResourceName, Listed>();

/** Every row of a kind as it stands here, in order; the same list as long as nothing changes. */
function allRows(name: ResourceName): readonly AnyRow[] {
  const { rows } = kindStore(name).get();
  const outbox = outboxStore.get();
  // An outing says the name of its rig, which may have been changed since it was read.
  const rigs = name === 'outings' ? kindStore('rigs').get().rows : undefined;
  const of = [rows, outbox, rigs] as const;
  const known = listed.get(name);
  if (known && known.of.every((each, index) => each === of[index])) return known.rows;
  const here = new Map<string, AnyRow>(rows as ReadonlyMap<string, AnyRow>);
  for (const pending of Object.values(outbox)) {
    if (pending.name !== name) continue;
    const row = overlaid(here.get(pending.id), pending);
    if (row) here.set(pending.id, row);
    else here.delete(pending.id);
  }
  let all = [...here.values()];
  if (rigs) {
    all = (all as RowOf<'outings'>[]).map((row) => {
      const name = (outbox[keyOf('rigs', row.rigId)]?.body as RowOf<'rigs'> | null | undefined)?.name;
      const rigName = name ?? rigs.get(row.rigId)?.name ?? row.rigName;
      return rigName === row.rigName ? row : { ...row, rigName };
    });
  }
  const sorted = inOrder(name, all);
  listed.set(name, { of, rows: sorted });
  return sorted;
}

/** Has a component follow a kind, and reads it from the store where that was not done yet. */
function useKind(name: ResourceName): { readonly rows: readonly AnyRow[]; readonly loading: boolean } {
  const { loaded } = kindStore(name).use();
  kindStore('rigs').use();
  outboxStore.use();
  const sync = syncStore.use();
  const reached = reachStore.use();
  useEffect(() => void loadKind(name, outboxReady()), [name]);
  // Half of what is kept would be told as all of it; without a signal it is all there is.
  return { rows: allRows(name), loading: !loaded || sync === undefined || (reached && !sync?.filled) };
}

export interface RowState<Row> {
  readonly row: Row | undefined;
  readonly loading: boolean;
  readonly missing: boolean;
}

/** One row by id; nothing for no id. */
export function useRow<Name extends ResourceName>(name: Name, id: string | undefined): RowState<RowOf<Name>> {
  const { rows, loading } = useKind(name);
  if (id === undefined) return { row: undefined, loading: false, missing: false };
  const row = rows.find((each) => each.id === id) as RowOf<Name> | undefined;
  return { row, missing: row === undefined && !loading, loading: row === undefined && loading };
}

export interface RowList<Row> {
  readonly rows: Row[];
  /** Not all has come yet. */
  readonly loading: boolean;
}

/**
 * All rows of a kind in its own order, those alone in which some fields are as asked; none for null.
 *
 * @example useRows('tests', { rigId })
 */
export function useRows<Name extends ResourceName>(
  name: Name,
  where: Partial<RowOf<Name>> | null = {},
): RowList<RowOf<Name>> {
  const { rows, loading } = useKind(name);
  const asked = where && JSON.stringify(where);
  const found = useMemo(() => {
    if (asked === null) return [];
    const fields = Object.entries(JSON.parse(asked) as object);
    return (rows as unknown as RowOf<Name>[]).filter((row) =>
      fields.every(([field, value]) => row[field as keyof RowOf<Name>] === value),
    );
  }, [rows, asked]);
  return { rows: found, loading: asked !== null && loading };
}

/** What was archived, as the server tells it, up to a hundred rows, with what was archived here and has not arrived. */
export function useArchived<Name extends ResourceName>(
  name: Name,
): { readonly rows: readonly RowOf<Name>[]; readonly loading: boolean; readonly whole: boolean } {
  const path = `/${KINDS[name].path}?archived=true&limit=100`;
  const { data, mutate, isValidating } = useSWR<{ readonly items: RowOf<Name>[] }>(path);
  const reached = reachStore.use();
  const { rows: present } = kindStore(name).use();
  const outbox = outboxStore.use();
  useEffect(() => void mutate(), [present, mutate]);
  const waiting = Object.values(outbox).filter((entry) => entry.name === name);
  const awaited = new Map(waiting.map(({ id, fate }) => [id, fate]));
  const here = waiting.flatMap(({ id, fate }) =>
    fate === 'archive' && present.has(id) ? [present.get(id) as RowOf<Name>] : [],
  );
  const there = (data?.items ?? []).filter(
    ({ id }) => !present.has(id) && awaited.get(id) !== 'restore' && awaited.get(id) !== 'erase',
  );
  return {
    rows: [...here, ...there],
    loading: data === undefined && here.length === 0,
    // While some are on their way, or the list of those that arrived is, it is less than all of them.
    whole: !reached || (data !== undefined && !isValidating && here.length === 0),
  };
}
