import { RESOURCES, type BodyOf, type ResourceName, type RowOf } from '@dunlinmoss/contract';
import useSWR, { mutate } from 'swr';
import useSWRInfinite, { unstable_serialize } from 'swr/infinite';

import { Refused, request } from './client';
import { outboxStore, type Pending } from './outbox';

interface PageOf<Row> {
  readonly items: Row[];
  readonly next: string | null;
}

/** Try again soon while the server is away; never for what it refused. */
export const swrSettings = {
  fetcher: (path: string): Promise<unknown> => request('GET', path),
  errorRetryInterval: 3_000,
  shouldRetryOnError: (error: unknown): boolean => !(error instanceof Refused),
  keepPreviousData: true,
};

const rowPath = (name: ResourceName, id: string): string => `/${RESOURCES[name].path}/${id}`;

/** What a person saved stands over what the server last told, until it has arrived there. */
function withPending<Name extends ResourceName>(row: RowOf<Name> | undefined, pending: Pending | undefined) {
  if (!pending) return row;
  const now = new Date().toISOString();
  return { createdAt: now, updatedAt: now, rigName: '', ...row, ...pending.body } as unknown as RowOf<Name>;
}

export interface RowState<Row> {
  readonly row: Row | undefined;
  readonly loading: boolean;
  readonly missing: boolean;
}

/** One row by id; nothing for no id. */
export function useRow<Name extends ResourceName>(name: Name, id: string | undefined): RowState<RowOf<Name>> {
  const { data, error } = useSWR<RowOf<Name>>(id === undefined ? null : rowPath(name, id));
  const pending = outboxStore.use()[`${name}/${id}`];
  const row = withPending<Name>(data, pending);
  return {
    row: id === undefined ? undefined : row,
    loading: id !== undefined && row === undefined && !(error instanceof Refused),
    missing: row === undefined && error instanceof Refused,
  };
}

export interface RowList<Row> {
  readonly rows: Row[];
  /** Nothing has come yet. */
  readonly loading: boolean;
  readonly hasMore: boolean;
  readonly more: () => void;
}

const sortKey: { readonly [Name in ResourceName]: (row: RowOf<Name>) => string } = {
  rigs: (row) => row.name.toLocaleLowerCase(),
  outings: (row) => row.startedAt,
  tests: (row) => row.performedAt,
};

/** A list in its own order, page by page, with what waits in the outbox in its place. */
export function useRows<Name extends ResourceName>(
  name: Name,
  query: Readonly<Record<string, string>> = {},
  waiting: (body: BodyOf<Name>) => boolean = () => true,
): RowList<RowOf<Name>> {
  const search = new URLSearchParams(query).toString();
  const base = `/${RESOURCES[name].path}?${search}`;
  const key = (index: number, previous: PageOf<RowOf<Name>> | null): string | null => {
    if (index === 0) return base;
    return previous?.next ? `${base}&after=${previous.next}` : null;
  };
  const { data, error, setSize } = useSWRInfinite<PageOf<RowOf<Name>>>(key, { revalidateAll: true });
  const outbox = outboxStore.use();

  const rows = new Map((data ?? []).flatMap(({ items }) => items.map((row) => [row.id, row] as const)));
  for (const pending of Object.values(outbox)) {
    const body = pending.body as BodyOf<Name>;
    if (pending.name === name && waiting(body)) rows.set(body.id, withPending<Name>(rows.get(body.id), pending)!);
  }
  const sorted = [...rows.values()].sort((a, b) => sortKey[name](a).localeCompare(sortKey[name](b)));
  return {
    rows: name === 'rigs' ? sorted : sorted.reverse(),
    loading: data === undefined && rows.size === 0 && !(error instanceof Refused),
    hasMore: (data?.at(-1)?.next ?? null) !== null,
    more: () => void setSize((size) => size + 1),
  };
}

/** Puts an arrived row where screens read it, and has its lists fetched anew. */
export async function arrived(name: ResourceName, row: RowOf<ResourceName>): Promise<void> {
  await mutate(rowPath(name, row.id), row, { revalidate: false });
  await refreshLists(name);
}

async function refreshLists(name: ResourceName): Promise<void> {
  const prefix = `/${RESOURCES[name].path}?`;
  const marker = unstable_serialize(() => prefix).replace(prefix, '');
  await mutate((key) => typeof key === 'string' && (key.startsWith(prefix) || key.startsWith(marker + prefix)));
}

/** Puts a row aside. Throws `Away` or `Refused`. */
export async function putAside(name: ResourceName, row: { id: string; revision: number }): Promise<void> {
  await request('DELETE', `${rowPath(name, row.id)}?revision=${row.revision}`);
  await mutate(rowPath(name, row.id), undefined, { revalidate: false });
  await refreshLists(name);
}

/** Brings a row back that was put aside. */
export async function bringBack(name: ResourceName, id: string): Promise<void> {
  const row = (await request('POST', `${rowPath(name, id)}/restore`)) as RowOf<ResourceName>;
  await arrived(name, row);
}
