/** @jest-environment node */
import type { GaugeRow } from '@dunlinmoss/contract';

import { FakeServer, type Line } from '../testing/fakeServer';
import { playHistory, type HistoryServer } from '../testing/histories';

// Pages of two devices run in one process here: they must not hear one another.
delete (globalThis as { BroadcastChannel?: unknown }).BroadcastChannel;

/** Histories are played against the server at this address where one is given: `npm run bench -- histories`. */
const ADDRESS = process.env.DUNLINMOSS_HISTORIES_AT;
const COUNT = Number(process.env.DUNLINMOSS_HISTORIES ?? 150);
const PER_TEST = 25;

function inMemory(): HistoryServer {
  const server = new FakeServer();
  return {
    get line() {
      return server.line;
    },
    set line(line: Line) {
      server.line = line;
    },
    fetch: server.fetch,
    gauges: async () => server.kept.map(({ row, archived }) => ({ row: row as unknown as GaugeRow, archived })),
  };
}

const realFetch = globalThis.fetch;

/** The real one, with nothing of earlier histories in it: their rows would be fetched by every page. */
async function real(address: string): Promise<HistoryServer> {
  const list = async (query: string): Promise<GaugeRow[]> => {
    const rows: GaugeRow[] = [];
    for (let after: string | null = ''; after !== null;) {
      const page = await realFetch(`${address}/api/v1/gauges?limit=100&${query}${after && `&after=${after}`}`);
      const { items, next } = (await page.json()) as { items: GaugeRow[]; next: string | null };
      rows.push(...items);
      after = next;
    }
    return rows;
  };
  const server: HistoryServer = {
    line: 'up',
    fetch: async (url, init) => {
      if (server.line === 'away') throw new TypeError('Failed to fetch');
      if (server.line === 'busy') return new Response('{}', { status: 503 });
      const answer = await realFetch(`${address}${String(url)}`, init);
      if (server.line === 'answersLost') throw new TypeError('Failed to fetch');
      return answer;
    },
    gauges: async () => [
      ...(await list('')).map((row) => ({ row, archived: false })),
      ...(await list('archived=true')).map((row) => ({ row, archived: true })),
    ],
  };
  const erase = async (forever: boolean): Promise<void> => {
    for (const { id, revision } of await list(forever ? 'archived=true' : '')) {
      const path = `${address}/api/v1/gauges/${id}?revision=${revision}${forever ? '&forever=true' : ''}`;
      const { ok } = await realFetch(path, { method: 'DELETE' });
      if (!ok) throw new Error(`${path} could not be deleted`);
    }
  };
  await erase(false);
  await erase(true);
  return server;
}

describe('histories of two devices by chance', () => {
  const blocks = Array.from({ length: Math.ceil(COUNT / PER_TEST) }, (_, index) => index * PER_TEST);
  it.each(blocks)(
    'lose nothing, double nothing and overwrite nothing in silence, from seed %i on',
    async (from) => {
      for (let seed = from; seed < Math.min(COUNT, from + PER_TEST); seed += 1) {
        const faults = await playHistory(seed, ADDRESS === undefined ? inMemory() : await real(ADDRESS));
        expect({ seed, faults }).toEqual({ seed, faults: [] });
      }
    },
    120_000,
  );
});
