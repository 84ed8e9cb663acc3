import { bodyOf, type Rig, type RigRow } from '@dunlinmoss/contract';
import { sampleRig } from '@dunlinmoss/domain/testing';
import { act, renderHook, waitFor } from '@testing-library/react';
import { IDBFactory } from 'fake-indexeddb';
import type { ReactNode } from 'react';
import { mutate, SWRConfig } from 'swr';

import { FakeServer } from '../testing/fakeServer';
import { forgetPage } from '../testing/forgetPage';
import { reachStore } from './client';
import { openDevice } from './device';
import { rowHere } from './deviceRows';
import { SYNC_KEY } from './lists';
import { newOuting } from './outings';
import { flush, save } from './outbox';
import { archiveRow, deleteForGood, restoreRow, swrSettings, useArchived, useRow, useRows } from './rows';
import { syncNow } from './sync';
import { arrived, followOtherTabs } from './takeIn';
import { useSyncState } from './useKind';

const id = (n: number): string => `0192f000-0000-7000-8000-00000000000${n}`;
const rig = (n: number, change: Partial<Rig> = {}): Rig => ({
  ...bodyOf('rigs', sampleRig({ id: id(n), name: `Rig ${n}` })),
  revision: 0,
  ...change,
});

let server: FakeServer;
let stop = (): void => undefined;
const reload = async (): Promise<void> => {
  stop();
  await forgetPage();
  stop = followOtherTabs();
};
beforeEach(async () => {
  server = new FakeServer();
  globalThis.fetch = server.fetch;
  globalThis.indexedDB = new IDBFactory();
  reachStore.set(true);
  await reload();
  for (const n of [1, 2]) server.put('rigs', rig(n));
});
afterEach(() => act(() => flush()));

const wrapper = ({ children }: { children: ReactNode }) => <SWRConfig value={swrSettings}>{children}</SWRConfig>;
const list = () => renderHook(() => useRows('rigs').rows.map(({ name }) => name), { wrapper });
const sync = () => act(async () => void (await syncNow()));

describe('useRows', () => {
  it('shows what the server has, in the list order, and after a reload without it too', async () => {
    server.put('rigs', rig(3, { name: 'avocet' }));
    await sync();
    const { result, unmount } = list();
    await waitFor(() => expect(result.current).toEqual(['avocet', 'Rig 1', 'Rig 2']));
    unmount();
    server.line = 'away';
    reachStore.set(false);
    await reload();
    const again = renderHook(() => useRows('rigs'), { wrapper });
    await waitFor(() => expect(again.result.current).toMatchObject({ loading: false, rows: { length: 3 } }));
  });

  it('shows what waits over it, in its place, and what arrived at once', async () => {
    await sync();
    const { result } = list();
    await waitFor(() => expect(result.current).toHaveLength(2));
    server.line = 'away';
    await act(async () => {
      await save('rigs', { ...rig(1, { name: 'Ruff' }), revision: 1 });
      await save('rigs', rig(3, { name: 'Dunlin' }));
    });
    await waitFor(() => expect(result.current).toEqual(['Dunlin', 'Rig 2', 'Ruff']));
    await act(async () => void (await arrived('rigs', { ...(rig(4, { name: 'Knot' }) as RigRow), revision: 1 })));
    await waitFor(() => expect(result.current).toEqual(['Dunlin', 'Knot', 'Rig 2', 'Ruff']));
  });

  it('is loading until everything has come once, or there is no signal to bring it', async () => {
    const { result } = renderHook(() => ({ ...useRows('rigs'), sync: useSyncState() }), { wrapper });
    await act(async () => undefined);
    expect(result.current.loading).toBe(true);
    await act(async () => reachStore.set(false));
    await waitFor(() => expect(result.current.loading).toBe(false));
    await act(async () => reachStore.set(true));
    await sync();
    await waitFor(() => expect(result.current).toMatchObject({ loading: false, rows: { length: 2 } }));
    expect(result.current.sync).toMatchObject({ filled: true, got: 2 });
  });

  it('gives those in which the fields have the given values; none for null', async () => {
    const outings = [1, 2, 1].map((n) => ({ ...newOuting(), rigId: id(n) }));
    for (const outing of outings) server.put('outings', outing);
    await sync();
    const of = (where: { rigId: string } | null) => renderHook(() => useRows('outings', where), { wrapper }).result;
    const [one, none] = [of({ rigId: id(1) }), of(null)];
    await waitFor(() => expect(one.current.rows).toHaveLength(2));
    expect(none.current).toEqual({ rows: [], loading: false });
  });

  it('says of an outing the name that its rig has now', async () => {
    server.put('outings', { ...newOuting(), rigId: id(1) });
    await sync();
    const { result } = renderHook(() => [useRows('outings').rows, useRows('rigs').rows] as const, { wrapper });
    await waitFor(() => expect(result.current[0][0]?.rigName).toBe('Rig 1'));
    server.line = 'away';
    await act(async () => void (await save('rigs', { ...rig(1, { name: 'Ruff' }), revision: 1 })));
    await waitFor(() => expect(result.current[0][0]!.rigName).toBe('Ruff'));
  });

  it('gives the same list as long as nothing changes', async () => {
    await sync();
    const { result, rerender } = renderHook(() => useRows('rigs').rows, { wrapper });
    await waitFor(() => expect(result.current).toHaveLength(2));
    const before = result.current;
    rerender();
    expect(result.current).toBe(before);
  });

  it('starts over where the server is another, and shows nothing of before', async () => {
    await sync();
    server = new FakeServer();
    globalThis.fetch = server.fetch;
    server.put('rigs', rig(5));
    // As a mark that is of another database.
    await (await openDevice())!.delete('sync', 'state');
    await act(() => mutate(SYNC_KEY));
    await sync();
    const { result } = list();
    await waitFor(() => expect(result.current).toEqual(['Rig 5']));
  });
});

describe('useRow', () => {
  it('shows a new row before the server has seen it, and knows one that is not there', async () => {
    await sync();
    server.line = 'away';
    await act(async () => void (await save('rigs', rig(9, { name: 'Fresh' }))));
    const of = (n: number) => renderHook(() => useRow('rigs', id(n)), { wrapper }).result;
    const [fresh, none] = [of(9), of(7)];
    await waitFor(() => expect(fresh.current.row).toMatchObject({ name: 'Fresh' }));
    expect(none.current).toEqual({ row: undefined, missing: true, loading: false });
  });
});

describe('archiving', () => {
  it('shows it here at once, also without a signal; brought back it is as it was', async () => {
    await sync();
    const row = (await rowHere('rigs', id(1)))!;
    const { result } = renderHook(() => [useRows('rigs').rows, useArchived('rigs').rows] as const, { wrapper });
    await waitFor(() => expect(result.current[0]).toHaveLength(2));
    server.line = 'away';
    await act(() => archiveRow('rigs', row));
    await waitFor(() =>
      expect(result.current.map((rows) => rows.map(({ name }) => name))).toEqual([['Rig 2'], ['Rig 1']]),
    );
    server.line = 'up';
    await act(() => flush());
    await waitFor(() => expect(result.current[1]).toMatchObject([{ name: 'Rig 1', revision: 2 }]));
    server.line = 'away';
    await act(() => restoreRow('rigs', result.current[1][0]!));
    await waitFor(() => expect(result.current.map((rows) => rows.length)).toEqual([2, 0]));
    server.line = 'up';
    await act(() => flush());
    await waitFor(() => expect(result.current.map((rows) => rows.length)).toEqual([2, 0]));
    expect(await rowHere('rigs', id(1))).toMatchObject({ ...bodyOf('rigs', row), revision: 3 });
  });

  it('deletes for good, and the other device hears of it', async () => {
    server.put('rigs', { ...rig(1), revision: 1 }, true);
    await sync();
    const { result } = renderHook(() => useArchived('rigs'), { wrapper });
    await waitFor(() => expect(result.current.rows).toHaveLength(1));
    await act(() => deleteForGood('rigs', result.current.rows[0]!));
    await act(() => flush());
    expect(server.kept.map(({ row }) => row.id)).toEqual([id(2)]);
    await waitFor(() => expect(result.current.rows).toEqual([]));
  });
});
