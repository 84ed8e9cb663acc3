import type { RigRow } from '@dunlinmoss/contract';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { SWRConfig } from 'swr';

import { sampleRig } from '@dunlinmoss/domain/testing';
import { outboxStore } from './outbox';
import { arrived, restoreRow, archiveRow, swrSettings, useAllRows, useRow, useRows } from './rows';

AbortSignal.timeout ??= () => new AbortController().signal;

const row = (n: number, change: Partial<RigRow> = {}): RigRow =>
  sampleRig({ id: `0192f000-0000-7000-8000-00000000000${n}`, name: `Rig ${n}`, ...change });
let there: RigRow[];
beforeEach(() => {
  there = [row(1), row(2)];
  outboxStore.set({});
  globalThis.fetch = (async (url: string, { method }: RequestInit) => {
    const id = /rigs\/([^/?]+)/.exec(url)?.[1];
    if (method === 'POST') there = [...there, row(4, { revision: 3 })];
    const found = there.find((each) => each.id === id);
    if (method === 'DELETE') there = there.filter((each) => each.id !== id);
    const body =
      id === undefined
        ? { items: there, next: null }
        : (found ?? { type: 'x', title: 'x', status: 404, code: 'notFound' });
    return { ok: id === undefined || found !== undefined, status: 200, json: async () => body } as Response;
  }) as typeof fetch;
});
// What is being read again when a test ends is waited for, not answered into the next one.
afterEach(() => act(async () => void (await new Promise((resolve) => setTimeout(resolve, 0)))));
const wrapper = ({ children }: { children: ReactNode }) => (
  <SWRConfig value={{ ...swrSettings, provider: () => new Map() }}>{children}</SWRConfig>
);
const list = () => renderHook(() => useRows('rigs').rows.map(({ name }) => name), { wrapper });

describe('useRows', () => {
  it('shows what the server has, in the list order', async () => {
    there = [row(2, { name: 'avocet' }), row(1, { name: 'Curlew' })];
    const { result } = list();
    await waitFor(() => expect(result.current).toEqual(['avocet', 'Curlew']));
  });

  it('shows what waits in the outbox over it, in its place', async () => {
    const { result } = list();
    await waitFor(() => expect(result.current).toEqual(['Rig 1', 'Rig 2']));
    const { createdAt: _, updatedAt: __, ...changed } = row(1, { name: 'Ruff' });
    const { createdAt: ___, updatedAt: ____, ...fresh } = row(3, { name: 'Dunlin', revision: 0 });
    await act(async () =>
      outboxStore.set({
        [`rigs/${changed.id}`]: { name: 'rigs', body: changed },
        [`rigs/${fresh.id}`]: { name: 'rigs', body: fresh },
      }),
    );
    expect(result.current).toEqual(['Dunlin', 'Rig 2', 'Ruff']);
  });

  it('shows what arrived at once, and again from the server', async () => {
    const { result } = list();
    await waitFor(() => expect(result.current).toHaveLength(2));
    there = [row(1), row(2, { name: 'Snipe', revision: 2 })];
    await act(async () => arrived('rigs', there[1]!));
    expect(result.current).toEqual(['Rig 1', 'Snipe']);
    await waitFor(() => expect(result.current).toEqual(['Rig 1', 'Snipe']));
  });
});

describe('useAllRows', () => {
  it('goes on until the last page has come', async () => {
    const all = Array.from({ length: 5 }, (_, n) => row(n + 1));
    globalThis.fetch = (async (url: string) => {
      const from = Number(/after=(\d)/.exec(url)?.[1] ?? 0);
      const next = from + 2 < all.length ? String(from + 2) : null;
      return { ok: true, status: 200, json: async () => ({ items: all.slice(from, from + 2), next }) } as Response;
    }) as typeof fetch;
    const { result } = renderHook(() => useAllRows('rigs', { limit: '2' }, () => true).rows.length, { wrapper });
    await waitFor(() => expect(result.current).toBe(5));
  });
});

describe('useRow', () => {
  it('shows a row that waits with nothing that its next save would be refused for', async () => {
    const { createdAt: _, updatedAt: __, ...fresh } = row(3, { revision: 0 });
    await act(async () => outboxStore.set({ [`rigs/${fresh.id}`]: { name: 'rigs', body: fresh } }));
    const { result } = await act(async () => renderHook(() => useRow('rigs', fresh.id), { wrapper }));
    const { createdAt: ___, updatedAt: ____, ...seen } = result.current.row!;
    expect(seen).toEqual(fresh);
  });
});

describe('archiveRow and restoreRow', () => {
  it('takes a row out of its list and back', async () => {
    there = [row(4), row(5)];
    const { result } = list();
    await waitFor(() => expect(result.current).toContain('Rig 4'));
    await act(() => archiveRow('rigs', row(4)));
    expect(result.current).not.toContain('Rig 4');
    const single = renderHook(() => useRow('rigs', row(4).id), { wrapper });
    await waitFor(() => expect(single.result.current.missing).toBe(true));
    await act(() => restoreRow('rigs', row(4).id));
    expect(result.current).toContain('Rig 4');
  });
});
