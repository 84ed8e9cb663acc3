import { setTimeout as sleep } from 'node:timers/promises';

import mysql from 'mysql2/promise';

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

it('is renewed while the work goes on, and says so where it was lost', async () => {
  const lasted = withLease(
    connect,
    'long work',
    async (check) => {
      await sleep(2_500);
      check();
      return 'kept';
    },
    { leaseS: 1 },
  );
  // Nobody gets it meanwhile, though its time would be over twice.
  await sleep(300);
  await expect(withLease(connect, 'long work', async () => 'taken', { waitS: 1 })).rejects.toThrow('had the lease');
  expect(await lasted).toBe('kept');

  const robbed = withLease(
    connect,
    'robbed',
    async (check) => {
      await server.pool.query("UPDATE leases SET holder = 'another' WHERE name = 'robbed'");
      await sleep(700);
      check();
    },
    { leaseS: 1 },
  );
  await expect(robbed).rejects.toBeInstanceOf(LeaseLost);
});
