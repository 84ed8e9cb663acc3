import { setTimeout as sleep } from 'node:timers/promises';

import mysql, { type RowDataPacket } from 'mysql2/promise';

import { LEASES_TABLE, LeaseLost, withLease } from '../src/db/lease';
import { testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
  await server.pool.query(LEASES_TABLE);
});
afterAll(() => server.pool.end());

const connect = () => mysql.createConnection({ ...server.config.database, timezone: 'Z' });

it('lets one in at a time, the others one after the other, and leaves nothing behind', async () => {
  let inside = 0;
  let most = 0;
  const done = await Promise.all(
    [1, 2, 3, 4].map((number) =>
      withLease(connect, 'one at a time', async () => {
        inside += 1;
        most = Math.max(most, inside);
        await sleep(50);
        inside -= 1;
        return number;
      }),
    ),
  );
  expect(done).toEqual([1, 2, 3, 4]);
  expect(most).toBe(1);
  const [rows] = await server.pool.query("SELECT * FROM leases WHERE name = 'one at a time'");
  expect(rows).toEqual([]);
});

it('waits for who died until their time is over, and no longer', async () => {
  const dead = "INSERT INTO leases VALUES ('dead', 'somebody', NOW(3) + INTERVAL ? SECOND)";
  await server.pool.query(dead, [60]);
  await expect(withLease(connect, 'dead', async () => 1, { waitS: 0.5 })).rejects.toThrow(
    'Another server had the lease',
  );
  await server.pool.query("UPDATE leases SET until = NOW(3) - INTERVAL 1 SECOND WHERE name = 'dead'");
  expect(await withLease(connect, 'dead', async () => 2, { waitS: 5 })).toBe(2);
});

it('is renewed while the work goes on, and nobody gets it meanwhile', async () => {
  const until = async (): Promise<number> => {
    const [[row]] = await server.pool.query<RowDataPacket[]>("SELECT until FROM leases WHERE name = 'long work'");
    return (row?.until as Date).getTime();
  };
  // Long enough that a machine that stands still for a moment does not lose it.
  const leaseS = 6;
  await withLease(
    connect,
    'long work',
    async (check) => {
      const first = await until();
      while ((await until()) < first + leaseS * 1000) await sleep(200);
      check();
      await expect(withLease(connect, 'long work', async () => 'taken', { waitS: 0.5 })).rejects.toThrow(
        'had the lease',
      );
      check();
    },
    { leaseS },
  );
});

it('says so where it was lost', async () => {
  const robbed = withLease(
    connect,
    'robbed',
    async (check) => {
      check();
      await server.pool.query("UPDATE leases SET holder = 'another' WHERE name = 'robbed'");
      // Before its time is over it hears of it from the next renewal that is answered, whenever that is.
      for (let turn = 0; turn < 300; turn += 1) {
        await sleep(50);
        check();
      }
    },
    { leaseS: 1 },
  );
  await expect(robbed).rejects.toBeInstanceOf(LeaseLost);
});
