import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import http from 'node:http';
import os from 'node:os';
import { setTimeout as sleep } from 'node:timers/promises';

import { bodyOf, type RigRow } from '../../packages/contract/src';
import { readConfig } from '../../packages/server/src/config';
import { createPool } from '../../packages/server/src/db/pool';

/*
 * What ten thousand crews in the database cost one of them against ten; what a noisy crew costs a quiet one; and what two
 * servers of one database give against one, on the cores that there are.
 */

const [FEW, MANY] = [10, 10_000];
const REQUESTS = 1_500;
const AT_ONCE = 4;
const RIGS_EACH = 6;
const QUIET = 60;
/** A quiet crew looks, and then does something else for a moment, ms. */
const PAUSE_MS = 50;
const ROUNDS = 6;
const NOISE = 16;

/** Asks for one address again and again, so many at once, between a line and the next; then says how often it was answered. */
const NOISY = `
  const http = require('node:http');
  const [, address, cookie, count] = process.argv;
  const agent = new http.Agent({ keepAlive: true });
  let going = false;
  let noise = 0;
  const ask = () => http.get(address, { agent, headers: { cookie } }, (response) => {
    response.resume().on('end', () => {
      noise += 1;
      if (going) ask();
    });
  });
  process.stdin.on('data', () => {
    going = !going;
    if (going) for (let one = 0; one < Number(count); one += 1) ask();
    process.stdout.write(String(noise));
  });
`;

const at = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))]!;

async function main(near: string, far: string): Promise<void> {
  const { database } = readConfig(process.env);
  const pool = createPool(database);
  const agent = new http.Agent({ keepAlive: true, maxSockets: 64 });
  const sent = (
    method: string,
    address: string,
    body?: object,
    cookie = '',
  ): Promise<{ status: number; text: string }> =>
    new Promise((resolve, reject) => {
      const asked = http.request(
        address,
        { method, agent, headers: { cookie, ...(body && { 'content-type': 'application/json' }) } },
        (response) => {
          let text = '';
          response.setEncoding('utf8').on('data', (part: string) => (text += part));
          response.on('end', () => resolve({ status: response.statusCode!, text }));
        },
      );
      asked.on('error', reject);
      asked.end(body && JSON.stringify(body));
    });
  const { items } = JSON.parse((await sent('GET', `${near}/api/v1/rigs?limit=1`)).text) as { items: { id: string }[] };
  const rig = JSON.parse((await sent('GET', `${near}/api/v1/rigs/${items[0]!.id}`)).text) as RigRow;
  const person = { name: 'Rushy', passphrase: 'samphire on the sea wall', device: 'Bench' };
  const made = await fetch(`${near}/api/v1/people`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(person),
  });
  const cookie = made.headers.get('set-cookie')!.split(';')[0]!;
  const { id: personId } = (
    (await (await fetch(`${near}/api/v1/me`, { headers: { cookie } })).json()) as {
      person: { id: string };
    }
  ).person;

  // One crew with its rigs by the API; the others are copies of it.
  const first = randomUUID();
  await sent('POST', `${near}/api/v1/crews`, { id: first, name: 'Crew' }, cookie);
  for (let index = 0; index < RIGS_EACH; index += 1) {
    const id = randomUUID();
    const body = { ...bodyOf('rigs', rig), id, revision: 0 };
    const { status, text } = await sent('PUT', `${near}/api/v1/in/${first}/rigs/${id}`, body, cookie);
    if (status !== 200) throw new Error(text);
  }
  const crews = [first];
  // Rigs first: their parts point at them.
  const tables = ['rigs', 'rig_axles', 'load_cases', 'case_weights', 'case_items', 'tire_points'];
  const fill = async (count: number): Promise<void> => {
    const fresh = Array.from({ length: count - crews.length }, () => randomUUID());
    for (let from = 0; from < fresh.length; from += 500) {
      const part = fresh.slice(from, from + 500);
      await pool.query('INSERT INTO owners (id) VALUES ?', [part.map((id) => [id])]);
      await pool.query('INSERT INTO crews (id, name) VALUES ?', [part.map((id) => [id, 'Crew'])]);
      await pool.query('INSERT INTO crew_members (crew_id, person_id, role) VALUES ?', [
        part.map((id) => [id, personId, 'own']),
      ]);
      for (const table of tables) {
        const [columns] = await pool.query<never[]>(`SHOW COLUMNS FROM ${table}`);
        const fields = (columns as { Field: string; Extra: string }[])
          .filter(({ Extra }) => !Extra.includes('GENERATED'))
          .map(({ Field }) => Field);
        if (fields.length === 0) continue;
        await pool.query(
          `INSERT INTO ${table} (${fields.join()}) SELECT ${fields.map((field) => (field === 'owner_id' ? 'c.id' : `t.${field}`)).join()}
           FROM ${table} t JOIN crews c ON c.id IN (?) WHERE t.owner_id = ?`,
          [part, first],
        );
      }
    }
    crews.push(...fresh);
    await pool.query(`ANALYZE TABLE ${tables.join()}`);
  };

  /** A list, a gauge saved, what changed: of one crew after the other. */
  const one = async (server: string, index: number): Promise<number> => {
    const space = `${server}/api/v1/in/${crews[(index * 7919) % crews.length]!}`;
    const id = randomUUID();
    const gauge = { id, revision: 0, name: 'Dial', fromKpa: 0, fullScaleKpa: 400, gradePercent: null, comparisons: [] };
    const begun = performance.now();
    const { status, text } =
      index % 10 === 0
        ? await sent('PUT', `${space}/gauges/${id}`, gauge, cookie)
        : await sent('GET', `${space}/${index % 2 === 0 ? 'rigs?limit=20' : 'changes'}`, undefined, cookie);
    if (status !== 200) throw new Error(`${status} ${text}`);
    return performance.now() - begun;
  };
  const run = async (servers: readonly string[], count: number, atOnce: number): Promise<number[]> => {
    const took: number[] = [];
    let next = 0;
    const worker = async (): Promise<void> => {
      while (next < count) {
        const index = next++;
        took.push(await one(servers[index % servers.length]!, index));
      }
    };
    await Promise.all(Array.from({ length: atOnce }, worker));
    return took;
  };

  await fill(FEW);
  await run([near], 400, AT_ONCE);
  const few = await run([near], REQUESTS, AT_ONCE);
  await fill(MANY);
  await run([near], 400, AT_ONCE);
  const many = await run([near], REQUESTS, AT_ONCE);

  /** A quiet crew's lists, one at a time, with a pause between: one that asks without a pause is no quiet one. */
  const quiet = async (): Promise<number[]> => {
    const took: number[] = [];
    for (let index = 0; index < QUIET; index += 1) {
      const begun = performance.now();
      await sent('GET', `${near}/api/v1/in/${crews[1]!}/rigs?limit=20`, undefined, cookie);
      took.push(performance.now() - begun);
      await sleep(PAUSE_MS);
    }
    return took;
  };
  await quiet();
  // In a process of its own, as a crew is: in this one its answers would stand in the way of those that are measured.
  const noisy = spawn(process.execPath, [
    ...['-e', NOISY],
    ...[`${near}/api/v1/in/${first}/rigs?limit=20`, cookie, String(NOISE)],
  ]);
  // It is on another machine in truth: here it gives way, so that it is not the processor that it takes which is measured.
  os.setPriority(noisy.pid!, os.constants.priority.PRIORITY_LOW);
  const turn = async (): Promise<number> => {
    noisy.stdin.write('.');
    const [told] = (await once(noisy.stdout, 'data')) as [Buffer];
    await sleep(300);
    return Number(String(told));
  };
  // In turns: what else the machine does must not fall on one of them.
  const [alone, beside]: [number[], number[]] = [[], []];
  let noise = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    alone.push(...(await quiet()));
    await turn();
    beside.push(...(await quiet()));
    noise = await turn();
  }
  noisy.kill();

  const throughput = async (servers: readonly string[]): Promise<number> => {
    const begun = performance.now();
    await run(servers, 2 * REQUESTS, 16);
    return (2 * REQUESTS) / ((performance.now() - begun) / 1000);
  };
  await throughput([near, far]);
  const single = await throughput([near]);
  const both = await throughput([near, far]);

  agent.destroy();
  await pool.end();
  process.stdout.write(
    JSON.stringify({
      fewMs: at(few, 0.95),
      manyMs: at(many, 0.95),
      aloneMs: at(alone, 0.95),
      besideMs: at(beside, 0.95),
      noise,
      single,
      both,
    }),
  );
}

void main(process.argv[2]!, process.argv[3]!);
