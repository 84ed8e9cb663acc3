import { randomUUID } from 'node:crypto';
import http from 'node:http';

import { bodyOf, type RigRow } from '../../packages/contract/src';
import { readConfig } from '../../packages/server/src/config';
import { createPool } from '../../packages/server/src/db/pool';

/*
 * What signing in costs a read, and how soon a change is told to those who follow it, over two servers of one database.
 */

const READS = 1_500;
const AT_ONCE = 8;
const ROUNDS = 5;
const CREWS = 20;
const FOLLOWERS_EACH = 10;
const CHANGES = 60;
/** A server remembers for a second who a session belongs to. */
const FORGOTTEN_MS = 1_200;

const sleep = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
const at = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))]!;

async function main(near: string, far: string): Promise<void> {
  const { database, ownerId } = readConfig(process.env);
  const pool = createPool(database);
  const agent = new http.Agent({ keepAlive: true, maxSockets: AT_ONCE });
  const json = async (method: string, address: string, body?: object, cookie = ''): Promise<Response> => {
    const answer = await fetch(address, {
      method,
      headers: { 'content-type': 'application/json', cookie },
      ...(body && { body: JSON.stringify(body) }),
    });
    if (!answer.ok) throw new Error(`${method} ${address}: ${answer.status} ${await answer.text()}`);
    return answer;
  };
  const { items } = (await (await json('GET', `${near}/api/v1/rigs?limit=1`)).json()) as { items: { id: string }[] };
  const rig = (await (await json('GET', `${near}/api/v1/rigs/${items[0]!.id}`)).json()) as RigRow;
  const read = (cookie: string): Promise<void> =>
    new Promise((resolve, reject) => {
      http
        .get(`${near}/api/v1/rigs/${items[0]!.id}`, { agent, headers: cookie === '' ? {} : { cookie } }, (response) => {
          response.resume();
          response.on('end', () =>
            response.statusCode === 200 ? resolve() : reject(new Error(`${response.statusCode}`)),
          );
        })
        .on('error', reject);
    });
  const timed = async (cookie: string): Promise<number[]> => {
    const took: number[] = [];
    let left = READS;
    const worker = async (): Promise<void> => {
      while (left-- > 0) {
        const begun = performance.now();
        await read(cookie);
        took.push(performance.now() - begun);
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, worker));
    return took;
  };

  const person = { name: 'Rushy', passphrase: 'samphire on the sea wall', device: 'Bench' };
  const cookie = (await json('POST', `${near}/api/v1/people`, person)).headers.get('set-cookie')!.split(';')[0]!;
  await timed(cookie);
  // In turns, so that whatever else the machine does meets both.
  const without: number[] = [];
  const withSession: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    await pool.query('DELETE FROM sign_in');
    await sleep(FORGOTTEN_MS);
    without.push(...(await timed('')));
    await pool.query('INSERT INTO sign_in (first_id) VALUES (?)', [ownerId]);
    await sleep(FORGOTTEN_MS);
    withSession.push(...(await timed(cookie)));
  }
  agent.destroy();

  const lags: number[] = [];
  let dropped = 0;
  const heard = new Map<string, (() => void)[]>();
  const crews = Array.from({ length: CREWS }, () => randomUUID());
  const lines: http.ClientRequest[] = [];
  for (const [index, crew] of crews.entries()) {
    await json('POST', `${near}/api/v1/crews`, { id: crew, name: `Crew ${index}` }, cookie);
    for (let follower = 0; follower < FOLLOWERS_EACH; follower += 1) {
      const server = follower % 2 === 0 ? near : far;
      lines.push(
        http.get(`${server}/api/v1/in/${crew}/changes/stream`, { headers: { cookie } }, (response) => {
          response.setEncoding('utf8').on('data', (text: string) => {
            if (text.includes('event: changed')) heard.get(crew)?.forEach((tell) => tell());
          });
          response.on('close', () => (dropped += 1));
        }),
      );
    }
  }
  await sleep(1_000);
  let told = 0;
  for (let change = 0; change < CHANGES; change += 1) {
    const crew = crews[change % CREWS]!;
    const body = bodyOf('rigs', rig);
    const id = randomUUID();
    let begun = 0;
    heard.set(crew, [
      () => {
        told += 1;
        lags.push(performance.now() - begun);
      },
    ]);
    const server = change % 2 === 0 ? near : far;
    await json('PUT', `${server}/api/v1/in/${crew}/rigs/${id}`, { ...body, id, revision: 0 }, cookie);
    // From the moment when it was kept.
    begun = performance.now();
    await sleep(500);
    heard.delete(crew);
  }
  const lost = CHANGES * FOLLOWERS_EACH - told;
  const droppedSoFar = dropped;
  lines.forEach((line) => line.destroy());
  await pool.end();
  process.stdout.write(
    JSON.stringify({
      p50Ratio: at(withSession, 0.5) / at(without, 0.5),
      p95Ratio: at(withSession, 0.95) / at(without, 0.95),
      p50Ms: at(withSession, 0.5),
      lagP50Ms: at(lags, 0.5),
      lagP95Ms: at(lags, 0.95),
      followers: CREWS * FOLLOWERS_EACH,
      lost,
      dropped: droppedSoFar,
    }),
  );
}

void main(process.argv[2]!, process.argv[3]!);
