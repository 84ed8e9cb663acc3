import { RESOURCE_NAMES, type ResourceName, type RowOf } from '@dunlinmoss/contract';
import { useMemo } from 'react';
import useSWR from 'swr';

import { reachStore } from './client';
import type { SyncState } from './device';
import { syncStateHere } from './deviceRows';
import { listKey, readList, SYNC_KEY, type List } from './lists';

/** What is read from the store of this device is never stale: whoever writes there has it follow. */
const FOLLOWS = {
  dedupingInterval: 0,
  revalidateIfStale: false,
  revalidateOnFocus: false,
  revalidateOnReconnect: false,
  shouldRetryOnError: false,
  keepPreviousData: false,
  compare: Object.is,
} as const;

/** How far this device has come in getting everything; undefined before its store was read. */
export function useSyncState(): SyncState | null | undefined {
  // The mark is another after every look: nothing is drawn anew where a look brought nothing.
  return useSWR<SyncState | null>(SYNC_KEY, syncStateHere, { ...FOLLOWS, compare: isSameProgress }).data;
}

const isSameProgress = (one: SyncState | null | undefined, other: SyncState | null | undefined): boolean =>
  one === other ||
  (!!one && !!other && one.filled === other.filled && one.got === other.got && one.total === other.total);

const EMPTY: List = [];

/** The list of a kind. */
export function useKind(name: ResourceName): { readonly rows: List; readonly loading: boolean } {
  const { data: list } = useSWR<List>(listKey(name), readList, FOLLOWS);
  // An outing carries the name of its rig, which may have been changed since the server gave it.
  const { data: rigs } = useSWR<List>(name === 'outings' ? listKey('rigs') : null, readList, FOLLOWS);
  const rows = useMemo(() => (list && rigs ? withRigNames(list, rigs) : (list ?? EMPTY)), [list, rigs]);
  const sync = useSyncState();
  const reached = reachStore.use();
  // Half of what is kept would be told as all of it; without a signal it is all there is.
  return { rows, loading: !list || sync === undefined || (reached && !sync?.filled) };
}

function withRigNames(outings: List, rigs: List): List {
  const names = new Map((rigs as readonly RowOf<'rigs'>[]).map(({ id, name }) => [id, name]));
  return (outings as readonly RowOf<'outings'>[]).map((row) => {
    const rigName = names.get(row.rigId) ?? row.rigName;
    return rigName === row.rigName ? row : { ...row, rigName };
  });
}

/** The lists of all kinds. */
export const useEveryKind = (): ReadonlyMap<ResourceName, ReturnType<typeof useKind>> =>
  // The kinds are always the same, in the same order.
  // eslint-disable-next-line react-hooks/rules-of-hooks
  new Map(RESOURCE_NAMES.map((name) => [name, useKind(name)]));
