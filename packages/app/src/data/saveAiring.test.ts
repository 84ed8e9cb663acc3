import type { Airing, AiringRow } from '@dunlinmoss/contract';

import { newAiring, saveAiring } from './airings';
import { outboxStore } from './outbox';

const wheel: Airing['wheels'][number] = {
  position: 'front',
  wheel: 'left',
  volumeL: 60,
  coldKpa: 110,
  targetKpa: 110,
  settled: null,
};
const airing: Airing = newAiring({
  rigId: '0192f000-0000-7000-8000-000000000001',
  outingId: null,
  way: 'out',
  toolId: null,
  toolKind: 'stick',
  gauge: null,
  coldTempC: 20,
  tireTempC: 20,
  altitudeM: 0,
  justDriven: false,
  wheels: [wheel],
});
const run = (second: number): Airing['runs'][number] => ({
  position: 'front',
  wheel: 'left',
  startedAt: new Date(second * 1000).toISOString(),
  endedAt: null,
  beforeKpa: 240,
  afterKpa: null,
  timed: true,
});

/** A server that holds one row, and refuses what was made from an older one. */
function serverWith(row: AiringRow): { present: () => AiringRow } {
  let present = row;
  globalThis.fetch = jest.fn((_: unknown, init?: RequestInit) => {
    const body = JSON.parse(String(init!.body)) as Airing;
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

describe('saveAiring', () => {
  const stamps = { createdAt: '2026-11-20T07:00:00.000Z', updatedAt: '2026-11-20T07:00:00.000Z' };

  it('saves as anything else while nobody else is on it', async () => {
    const server = serverWith({ ...airing, ...stamps, revision: 0 });
    expect(await saveAiring({ ...airing, runs: [run(1)] })).toMatchObject({ kind: 'saved' });
    expect(server.present().runs).toHaveLength(1);
  });

  it('loses no tap that comes while an older save is still being put together', async () => {
    const server = serverWith({ ...airing, ...stamps, revision: 3, runs: [run(1)] });
    const first = saveAiring({ ...airing, revision: 2, runs: [run(5)] });
    const second = saveAiring({ ...airing, revision: 2, runs: [run(5), run(9)] });
    await Promise.all([first, second]);
    expect(server.present().runs.map(({ startedAt }) => startedAt)).toEqual([1, 5, 9].map((at) => run(at).startedAt));
    expect(outboxStore.get()).toEqual({});
  });

  it('puts two phones together, loses nothing, and says so', async () => {
    const server = serverWith({ ...airing, ...stamps, revision: 3, runs: [run(1)] });
    const saved = await saveAiring({ ...airing, revision: 2, runs: [run(5)] });
    expect(saved).toMatchObject({ kind: 'saved', merged: true });
    expect(server.present().runs.map(({ startedAt }) => startedAt)).toEqual([run(1).startedAt, run(5).startedAt]);
    expect(outboxStore.get()).toEqual({});
  });
});
