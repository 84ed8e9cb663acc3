import type { Outing, OutingRow } from '@dunlinmoss/contract';

import { outboxStore } from './outbox';
import { newOuting, saveOuting } from './outings';

const stamps = { createdAt: '2026-11-20T07:00:00.000Z', updatedAt: '2026-11-20T07:00:00.000Z' };
const row = { ...newOuting(), rigId: newOuting().id, state: 'lowered', revision: 1, ...stamps } as OutingRow;

/** A server that holds one outing, changed by another phone since it was read here. */
function serverWith(change: Partial<Outing>): { present: () => OutingRow } {
  let present: OutingRow = { ...row, ...change, revision: 2 };
  globalThis.fetch = jest.fn((_: unknown, init?: RequestInit) => {
    const body = JSON.parse(String(init!.body)) as Outing;
    const stale = body.revision !== present.revision;
    if (!stale) present = { ...present, ...body, revision: present.revision + 1 };
    const problem = { type: 'about:blank', title: 'Stale', status: 409, code: 'staleRevision', present };
    return Promise.resolve({
      ok: !stale,
      status: stale ? 409 : 200,
      json: () => Promise.resolve(stale ? problem : present),
    });
  }) as never;
  return { present: () => present };
}

beforeAll(() => {
  // The browser of the tests has none.
  AbortSignal.timeout ??= () => new AbortController().signal;
});
beforeEach(() => outboxStore.set({}));

describe('saveOuting', () => {
  it('ends an outing once that two phones end', async () => {
    const server = serverWith({ state: 'closed' });
    expect((await saveOuting(row, { state: 'closed' })).kind).toBe('saved');
    expect(server.present().state).toBe('closed');
    expect(outboxStore.get()).toEqual({});
  });

  it('keeps what the other phone wrote beside it', async () => {
    const server = serverWith({ title: 'North bar' });
    await saveOuting(row, { state: 'closed' });
    expect(server.present()).toMatchObject({ state: 'closed', title: 'North bar' });
  });

  it('asks where both changed the same', async () => {
    serverWith({ pressures: [{ position: 'front', pressureKpa: 90 }], pressuresAt: stamps.createdAt });
    const saved = await saveOuting(row, { pressures: [{ position: 'front', pressureKpa: 80 }] });
    expect(saved.kind).toBe('stale');
    expect(outboxStore.get()[`outings/${row.id}`]!.present).toMatchObject({ revision: 2 });
  });
});
