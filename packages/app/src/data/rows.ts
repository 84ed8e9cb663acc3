import { RESOURCES, serverOnlyFields, type BodyOf, type ResourceName, type RowOf } from '@dunlinmoss/contract';
import { useEffect } from 'react';
import useSWR from 'swr';
import useSWRInfinite from 'swr/infinite';

import { Refused, request } from './client';
import { outboxStore } from './outbox';
import { createStore } from '../settings/store';

interface PageOf<Row> {
  readonly items: Row[];
  readonly next: string | null;
}

type AnyRow = RowOf<ResourceName>;

/** Try again soon while the server is away; never for what it refused. */
export const swrSettings = {
  fetcher: (path: string): Promise<unknown> => request('GET', path),
  errorRetryInterval: 3_000,
  shouldRetryOnError: (error: unknown): boolean => !(error instanceof Refused),
  keepPreviousData: true,
};

/**
 * What the server answered to a save, newer than what was read last; null for a row that was archived. With it a
 * screen never falls back to the old row between saving and reading again.
 */
const answeredStore = createStore<Readonly<Record<string, AnyRow | null>>>({});

/** Counts up whenever lists should be read again. */
const changesStore = createStore(0);

const keyOf = (name: ResourceName, id: string): string => `${name}/${id}`;
const rowPath = (name: ResourceName, id: string): string => `/${RESOURCES[name].path}/${id}`;

/** Much may have changed on the server at once: every list is read again. */
export const readAgain = (): void => changesStore.set(changesStore.get() + 1);

function answer(name: ResourceName, id: string, row: AnyRow | null): void {
  answeredStore.set({ ...answeredStore.get(), [keyOf(name, id)]: row });
  readAgain();
}

/** What the server answered since this page was loaded, by the address that reads it; null for a row archived. */
export const answeredRows = (): readonly (readonly [path: string, row: AnyRow | null])[] =>
  Object.entries(answeredStore.get()).map(([key, row]) => {
    const [name, id] = key.split('/') as [ResourceName, string];
    return [rowPath(name, id), row];
  });

/** Takes in a row that arrived at the server. */
export const arrived = (name: ResourceName, row: AnyRow): void => answer(name, row.id, row);

/** Archives a row. Throws `Away` or `Refused`. */
export async function archiveRow(name: ResourceName, row: { id: string; revision: number }): Promise<void> {
  await request('DELETE', `${rowPath(name, row.id)}?revision=${row.revision}`);
  answer(name, row.id, null);
}

/** Deletes for good what was archived. Throws `Away` or `Refused`. */
export async function deleteForGood(name: ResourceName, row: { id: string; revision: number }): Promise<void> {
  await request('DELETE', `${rowPath(name, row.id)}?revision=${row.revision}&forever=true`);
  answer(name, row.id, null);
}

/** Brings a row back that was archived. */
export async function restoreRow(name: ResourceName, id: string): Promise<void> {
  arrived(name, (await request('POST', `${rowPath(name, id)}/restore`)) as AnyRow);
}

/**
 * A row as this device knows it: the server's last answer to a read, what it answered to a save since, and over both what
 * was saved here and has not arrived yet. Undefined where there is none.
 */
function latest<Name extends ResourceName>(
  name: Name,
  id: string,
  serverRow: RowOf<Name> | undefined,
): RowOf<Name> | undefined {
  const key = keyOf(name, id);
  const answered = answeredStore.get()[key] as RowOf<Name> | null | undefined;
  const pending = outboxStore.get()[key];
  if (answered === null && !pending) return undefined;
  const known = answered && answered.revision >= (serverRow?.revision ?? 0) ? answered : serverRow;
  if (!pending) return known;
  const unanswered = serverOnlyFields(name, new Date().toISOString());
  return { ...unanswered, ...known, ...pending.body } as unknown as RowOf<Name>;
}

/** Has a component drawn anew when anything is saved here. Gives back how many changes arrived so far. */
function useChanges(): number {
  outboxStore.use();
  answeredStore.use();
  return changesStore.use();
}

export interface RowState<Row> {
  readonly row: Row | undefined;
  readonly loading: boolean;
  readonly missing: boolean;
}

/** One row by id; nothing for no id. */
export function useRow<Name extends ResourceName>(name: Name, id: string | undefined): RowState<RowOf<Name>> {
  const { data, error, mutate } = useSWR<RowOf<Name>>(id === undefined ? null : rowPath(name, id));
  const changes = useChanges();
  useEffect(() => {
    if (changes > 0) void mutate();
  }, [changes, mutate]);
  if (id === undefined) return { row: undefined, loading: false, missing: false };
  const row = latest(name, id, data);
  const missing = row === undefined && (error instanceof Refused || answeredStore.get()[keyOf(name, id)] === null);
  return { row, missing, loading: row === undefined && !missing };
}

export interface RowList<Row> {
  readonly rows: Row[];
  /** Nothing has come yet. */
  readonly loading: boolean;
  readonly hasMore: boolean;
  readonly more: () => void;
}

/** A list in its kind's order; names without regard to capitals, as the database sorts them. */
function inOrder<Name extends ResourceName>(name: Name, rows: RowOf<Name>[]): RowOf<Name>[] {
  const { by, newestFirst } = RESOURCES[name].order;
  const keyed = rows.map((row) => [String(row[by as keyof RowOf<Name>]).toLocaleLowerCase(), row] as const);
  keyed.sort(([a], [b]) => (newestFirst ? b.localeCompare(a) : a.localeCompare(b)));
  return keyed.map(([, row]) => row);
}

/**
 * A list in its own order, page by page; nothing for no query. `belongs` says which rows saved here are part of what the
 * query asks for.
 */
export function useRows<Name extends ResourceName>(
  name: Name,
  query: Readonly<Record<string, string>> | null = {},
  belongs: (body: BodyOf<Name>) => boolean = () => true,
): RowList<RowOf<Name>> {
  const base = query && `/${RESOURCES[name].path}?${new URLSearchParams(query).toString()}`;
  const { data, error, setSize, mutate } = useSWRInfinite<PageOf<RowOf<Name>>>(
    (index: number, previous: PageOf<RowOf<Name>> | null) => {
      if (index === 0) return base;
      return previous?.next ? `${base}&after=${previous.next}` : null;
    },
    { revalidateAll: true },
  );
  const changes = useChanges();
  useEffect(() => {
    if (changes > 0) void mutate();
  }, [changes, mutate]);

  const serverRows = new Map((data ?? []).flatMap(({ items }) => items.map((row) => [row.id, row] as const)));
  const here = [...Object.entries(answeredStore.get()), ...Object.keys(outboxStore.get()).map((key) => [key] as const)]
    .filter(([key]) => key.startsWith(`${name}/`))
    .map(([key]) => key.slice(name.length + 1));
  const rows = [...new Set([...serverRows.keys(), ...here])].flatMap((id) => {
    const row = latest(name, id, serverRows.get(id));
    return row && (serverRows.has(id) || belongs(row as BodyOf<Name>)) ? [row] : [];
  });
  return {
    rows: inOrder(name, rows),
    loading: data === undefined && rows.length === 0 && !(error instanceof Refused),
    hasMore: (data?.at(-1)?.next ?? null) !== null,
    more: () => void setSize((size) => size + 1),
  };
}

/** The whole of a list, page after page: for what is reckoned from all of it, where the newest page would be a guess. */
export function useAllRows<Name extends ResourceName>(
  name: Name,
  query: Readonly<Record<string, string>> | null,
  belongs: (body: BodyOf<Name>) => boolean,
): RowList<RowOf<Name>> {
  const list = useRows(name, query, belongs);
  const { hasMore, more, rows } = list;
  const count = rows.length;
  useEffect(() => {
    // Asked for again as each page has come.
    if (hasMore) more();
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [hasMore, count]);
  return list;
}

/** What was archived, as the server tells it, up to a hundred rows. */
export function useArchived<Name extends ResourceName>(
  name: Name,
): { readonly rows: readonly RowOf<Name>[]; readonly loading: boolean } {
  const { data, mutate } = useSWR<PageOf<RowOf<Name>>>(`/${RESOURCES[name].path}?archived=true&limit=100`);
  const changes = useChanges();
  useEffect(() => {
    if (changes > 0) void mutate();
  }, [changes, mutate]);
  const back = answeredStore.get();
  return {
    rows: (data?.items ?? []).filter(({ id }) => !back[keyOf(name, id)]),
    loading: data === undefined,
  };
}
