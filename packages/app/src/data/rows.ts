import { KINDS, type ResourceName, type RowOf } from '@dunlinmoss/contract';
import { useEffect, useMemo } from 'react';
import useSWR from 'swr';

import { reachStore, Refused, request } from './client';
import { rowOfPending } from './lists';
import { become } from './outbox';
import { outboxStore } from './outboxStore';
import { readAgain } from './sync';
import { useKind } from './useKind';

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
 * All rows of a kind in its own order, or those in which some fields have the values of `where`; none for null.
 *
 * @example useRows('tests', { rigId })
 */
export function useRows<Name extends ResourceName>(
  name: Name,
  where: Partial<RowOf<Name>> | null = {},
): RowList<RowOf<Name>> {
  const { rows, loading } = useKind(name);
  const wanted = where && JSON.stringify(where);
  const found = useMemo(() => {
    if (wanted === null) return [];
    const fields = Object.entries(JSON.parse(wanted) as object);
    return (rows as unknown as RowOf<Name>[]).filter((row) =>
      fields.every(([field, value]) => row[field as keyof RowOf<Name>] === value),
    );
  }, [rows, wanted]);
  return { rows: found, loading: wanted !== null && loading };
}

/** What was archived, as the server tells it, up to a hundred rows, with what was archived here and has not arrived. */
export function useArchived<Name extends ResourceName>(
  name: Name,
): { readonly rows: readonly RowOf<Name>[]; readonly loading: boolean; readonly whole: boolean } {
  const path = `/${KINDS[name].path}?archived=true&limit=100`;
  const { data, mutate, isValidating } = useSWR<{ readonly items: RowOf<Name>[] }>(path);
  const reached = reachStore.use();
  const { rows: list } = useKind(name);
  const waiting = Object.values(outboxStore.use()).filter((entry) => entry.name === name);
  const fates = new Map(waiting.map(({ id, fate }) => [id, fate]));
  const waitingNow = JSON.stringify([...fates]);
  useEffect(() => void mutate(), [list, waitingNow, mutate]);
  const here = waiting.flatMap((entry) =>
    entry.fate === 'archive' && entry.base ? [rowOfPending(entry) as unknown as RowOf<Name>] : [],
  );
  const present = new Set([...list, ...here].map(({ id }) => id));
  const there = (data?.items ?? []).filter(({ id }) => !present.has(id) && fates.get(id) !== 'erase');
  return {
    rows: [...here, ...there],
    loading: data === undefined && here.length === 0,
    // While some are on their way, or the list of those that arrived is, it is less than all of them.
    whole: !reached || (data !== undefined && !isValidating && here.length === 0),
  };
}
