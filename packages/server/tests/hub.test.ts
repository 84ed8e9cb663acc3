import { randomUUID } from 'node:crypto';

import type { Pool } from 'mysql2/promise';

import { MonitorHub } from '../src/live/hub';
import { claimSlot, type LiveRig } from '../src/repositories/liveRigs';
import { createRepositories } from '../src/repositories/repositories';
import { switchOff, switchOn } from '../src/repositories/simulatedRigs';
import { aRig, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const SLOT = Math.floor(Date.now() / 5_000) * 5_000;

/** A pool that counts of how many rigs the stand-ins are read: what packets are made of. */
function counting(pool: Pool): { readonly pool: Pool; readonly reads: () => number } {
  let reads = 0;
  const query: Pool['query'] = (sql: never, values: never) => {
    if (/FROM simulated_wheels/.test(sql)) {
      const asked: readonly (string | readonly string[])[] = values;
      reads += asked.filter(Array.isArray).flat().length;
    }
    return pool.query(sql, values) as never;
  };
  return { pool: { query } as unknown as Pool, reads: () => reads };
}

/** Followed rigs of two spaces. */
async function followed(): Promise<LiveRig[]> {
  const repositories = createRepositories(server.pool);
  const other = randomUUID();
  await server.pool.query('INSERT INTO owners (id) VALUES (?)', [other]);
  const rigs: LiveRig[] = [];
  for (const [index, ownerId] of [server.config.ownerId, server.config.ownerId, other].entries()) {
    const rig = aRig();
    await repositories.rigs.save(ownerId, rig, null);
    await switchOn(server.pool, ownerId, rig.id, {
      seed: index,
      ambientC: 12,
      altitudeM: 0,
      driving: false,
      since: new Date(SLOT - 60_000).toISOString(),
      wheels: [{ position: 'front', wheel: 'left', volumeL: 60, coldKpa: 100 + 10 * index }],
    });
    rigs.push({ ownerId, rigId: rig.id });
  }
  return rigs;
}
const keyOf = ({ ownerId, rigId }: LiveRig): string => `${ownerId} ${rigId}`;

describe('what monitors say', () => {
  it('is made once a slot, whichever servers it is followed by, and is the same on all', async () => {
    const rigs = await followed();
    const counted = Array.from({ length: 3 }, () => counting(server.pool));
    const hubs = counted.map(({ pool }) => new MonitorHub(pool));
    // The same rigs by all, each server in another order.
    const [one, two, three] = await Promise.all(
      hubs.map((hub, index) => hub.eventsOf(index === 1 ? [...rigs].reverse() : rigs, SLOT)),
    );
    expect([...one!.keys()].sort()).toEqual(rigs.map(keyOf).sort());
    for (const rig of rigs) {
      expect(one!.get(keyOf(rig))).toMatch(/^event: packets\ndata: /);
      expect(two!.get(keyOf(rig))).toBe(one!.get(keyOf(rig)));
      expect(three!.get(keyOf(rig))).toBe(one!.get(keyOf(rig)));
    }
    const reads = (): number => counted.reduce((sum, each) => sum + each.reads(), 0);
    // Each rig by one of them.
    expect(reads()).toBe(rigs.length);
    const before = reads();
    // Who comes in the middle of the slot finds it.
    await new MonitorHub(counted[2]!.pool).eventsOf(rigs, SLOT);
    expect(reads()).toBe(before);
    await hubs[0]!.eventsOf(rigs, SLOT + 5_000);
    expect(reads()).toBe(before + rigs.length);
  });

  it('is made by another where the server that began to has ended', async () => {
    const rigs = await followed();
    await claimSlot(server.pool, rigs, SLOT, randomUUID());
    const { pool, reads } = counting(server.pool);
    const events = await new MonitorHub(pool).eventsOf(rigs, SLOT);
    expect(events.size).toBe(rigs.length);
    expect(reads()).toBe(rigs.length);
  });

  it('is what they say since they were changed, and that they are off once they are', async () => {
    const [rig] = (await followed()) as [LiveRig];
    const hub = new MonitorHub(server.pool);
    const told = async (): Promise<string> => (await hub.eventsOf([rig], SLOT)).get(keyOf(rig))!;
    expect(await told()).toContain('packets');
    await switchOff(server.pool, rig.ownerId, rig.rigId);
    expect(await told()).toBe('event: off\ndata: {}\n\n');
  });
});
