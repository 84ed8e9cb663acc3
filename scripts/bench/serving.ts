import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream, readFileSync } from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { setTimeout as sleep } from 'node:timers/promises';

import { PLAIN_AXLE, type Rig } from '@dunlinmoss/contract';

/*
 * What the server does under malformed requests, under more clients than it can serve, and with a hundred thousand rigs and
 * a million readings: deep places in lists, windows of the log, the whole archive out and in. Prints figures of this run.
 */

const [address, serverPid, folder] = process.argv.slice(2) as [string, string, string];
const { hostname, port } = new URL(address);
const MALFORMED = 10_000;
/** Three quarters of what one space may have. */
const RIGS = 15_000;
const READINGS = 1_000_000;
const CLIENTS = [16, 500] as const;
const GOODPUT_MS = 10_000;

const memoryMb = (): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${serverPid}/status`, 'utf8'))![1]) / 1024;
const median = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** A small seeded generator (mulberry32), so that every run sends the same. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

interface Answer {
  readonly status: number;
  readonly text: string;
}

function send(
  agent: http.Agent,
  method: string,
  url: string,
  body?: string | Buffer,
  headers: Record<string, string> = {},
): Promise<Answer> {
  return new Promise((resolve) => {
    const request = http.request({ agent, hostname, port, method, path: url, headers }, (response) => {
      let text = '';
      response.setEncoding('utf8');
      response.on('data', (part: string) => (text += part));
      response.on('end', () => resolve({ status: response.statusCode!, text }));
      response.on('error', () => resolve({ status: 0, text }));
    });
    request.on('error', () => resolve({ status: 0, text: '' }));
    request.end(body);
  });
}
const JSON_BODY = { 'content-type': 'application/json' };

const rigOf = (name: string): Rig => ({
  id: randomUUID(),
  revision: 0,
  family: 'fourWheel',
  name,
  hitchMm: null,
  topSpeedKmh: null,
  loadCaseId: null,
  school: null,
  beadFloorKpa: null,
  axles: (['front', 'rear'] as const).map((position) => ({
    ...PLAIN_AXLE,
    position,
    behindMm: position === 'front' ? 0 : 2790,
    trackMm: 1570,
    tireMarking: '265/65R17 112T',
    roadKpa: 248,
  })),
  loadCases: [],
});

const get = async <Body>(url: string): Promise<Body> => (await (await fetch(`${address}${url}`)).json()) as Body;

async function addRigs(): Promise<void> {
  for (let from = 0; from < RIGS; from += 5_000) {
    const rigs = Array.from({ length: 5_000 }, (_, index) => rigOf(`Knot ${String(from + index).padStart(6, '0')}`));
    const file = { format: 'dunlinmoss', version: 2, rigs, gauges: [], tools: [], outings: [], tests: [] };
    const response = await fetch(`${address}/api/v1/import`, {
      method: 'POST',
      headers: JSON_BODY,
      body: JSON.stringify(file),
    });
    if (!response.ok) throw new Error(await response.text());
  }
}

async function addLog(rigId: string): Promise<void> {
  const lines = ['time,axle,wheel,pressure_kpa'];
  const start = Date.parse('2025-11-01T00:00:00Z');
  const stepMs = (365 * 86_400_000) / (READINGS / 4);
  for (let index = 0; index < READINGS / 4; index += 1) {
    const at = new Date(Math.round(start + index * stepMs)).toISOString();
    for (const wheel of ['front,left', 'front,right', 'rear,left', 'rear,right']) {
      lines.push(`${at},${wheel},${(240 + 12 * Math.sin(index / 700)).toFixed(2)}`);
    }
  }
  const response = await fetch(`${address}/api/v1/import/log/${rigId}`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: lines.join('\n'),
  });
  const last = (await response.text()).trim().split('\n').at(-1)!;
  if (!last.includes('"done"')) throw new Error(last);
}

/** Requests that are wrong in every way that a seed makes up: method, path, headers, body cut off, fields turned about. */
async function malformed(): Promise<unknown> {
  const agent = new http.Agent({ keepAlive: true, maxSockets: 16 });
  const chance = seeded(20261127);
  const pick = <Each>(from: readonly Each[]): Each => from[Math.floor(chance() * from.length)]!;
  const paths = [
    'rigs',
    'gauges',
    'tools',
    'outings',
    'tests',
    'airings',
    'readings',
    'import',
    'import/loads',
    'photos',
    'archive',
  ];
  const calculators = ['margin', 'central-inflation', 'move-air', 'let-out', 'put-in', 'one-pressure', 'ground-plan'];
  const junk = [
    null,
    true,
    -1,
    1e308,
    5e-324,
    '',
    'x'.repeat(5_000),
    [],
    {},
    [[[[]]]],
    '../../etc/passwd',
    "'; DROP TABLE rigs; --",
    '\u0000',
  ];
  const broken = (): string => {
    const whole = JSON.stringify(rigOf('Knot'));
    switch (Math.floor(chance() * 4)) {
      case 0:
        return whole.slice(0, Math.floor(chance() * whole.length));
      case 1:
        return JSON.stringify(pick(junk));
      case 2: {
        const rig = rigOf('Knot') as unknown as Record<string, unknown>;
        rig[pick(Object.keys(rig))] = pick(junk);
        return JSON.stringify(rig);
      }
      default:
        return Buffer.from(Array.from({ length: 200 }, () => Math.floor(chance() * 256))).toString('latin1');
    }
  };
  const LEAKS = /node_modules|\.ts:\d|SELECT |INSERT |mysql|ER_[A-Z]|\/work\/|at Object\./i;
  const seen = { sent: 0, dropped: 0, serverErrors: 0, leaks: 0 };
  let left = MALFORMED;
  const worker = async (): Promise<void> => {
    while (left > 0) {
      left -= 1;
      const base = chance() < 0.3 ? `/api/v1/calc/${pick(calculators)}` : `/api/v1/${pick(paths)}`;
      const id =
        chance() < 0.5
          ? `/${chance() < 0.5 ? randomUUID() : encodeURIComponent(String(pick(junk)).slice(0, 200))}`
          : '';
      const query =
        chance() < 0.2
          ? `?after=${encodeURIComponent(String(pick(junk)).slice(0, 300))}&limit=${pick([-1, 0, 'x', 1e9])}`
          : '';
      const type = pick(['application/json', 'application/json', 'text/csv', 'application/zip', 'image/jpeg', 'x/y']);
      const { status, text } = await send(
        agent,
        pick(['GET', 'PUT', 'POST', 'DELETE', 'PATCH']),
        base + id + query,
        broken(),
        {
          'content-type': type,
        },
      );
      seen.sent += 1;
      if (status === 0) seen.dropped += 1;
      if (status >= 500) seen.serverErrors += 1;
      if (LEAKS.test(text)) seen.leaks += 1;
    }
  };
  await Promise.all(Array.from({ length: 16 }, worker));
  agent.destroy();
  const alive = await get<{ ok: boolean }>('/api/v1/health');
  return { ...seen, crashed: !alive.ok };
}

/** Answers of 200 a second to so many clients that each ask again at once; one in ten saves. */
async function goodput(clients: number, ids: readonly string[]): Promise<{ perSecond: number; refusedShare: number }> {
  const agent = new http.Agent({ keepAlive: true, maxSockets: clients });
  let good = 0;
  let refused = 0;
  const end = performance.now() + GOODPUT_MS;
  const client = async (number: number): Promise<void> => {
    for (let turn = 0; performance.now() < end; turn += 1) {
      const rig = rigOf('Twite');
      const { status } =
        (turn + number) % 10 === 0
          ? await send(agent, 'PUT', `/api/v1/rigs/${rig.id}`, JSON.stringify(rig), JSON_BODY)
          : await send(agent, 'GET', `/api/v1/rigs/${ids[(turn * 7 + number) % ids.length]}`);
      if (status === 200) good += 1;
      else refused += 1;
    }
  };
  await Promise.all(Array.from({ length: clients }, (_, number) => client(number)));
  agent.destroy();
  return { perSecond: (good / GOODPUT_MS) * 1000, refusedShare: refused / (good + refused) };
}

/** Milliseconds of a page of fifty at the start of the list, and far down in it. */
async function pages(): Promise<{ firstMs: number; deepMs: number }> {
  let after = '';
  for (let page = 0; page < 135; page += 1) {
    after = `&after=${(await get<{ next: string }>(`/api/v1/rigs?limit=100${after}`)).next}`;
  }
  const times = async (url: string): Promise<number> => {
    const took: number[] = [];
    for (let run = 0; run < 60; run += 1) {
      const begun = performance.now();
      await get(url);
      took.push(performance.now() - begun);
    }
    return median(took.slice(10));
  };
  return { firstMs: await times('/api/v1/rigs?limit=50'), deepMs: await times(`/api/v1/rigs?limit=50${after}`) };
}

async function windows(rigId: string): Promise<{ weekMs: number; wholeMs: number }> {
  const times = async (query: string): Promise<number> => {
    const took: number[] = [];
    for (let run = 0; run < 7; run += 1) {
      const begun = performance.now();
      await get(`/api/v1/rigs/${rigId}/log${query}`);
      took.push(performance.now() - begun);
    }
    return median(took);
  };
  return {
    weekMs: await times('?from=2026-05-04T00:00:00.000Z&to=2026-05-11T00:00:00.000Z'),
    wholeMs: await times(''),
  };
}

/** The archive out, and in again into the same store, where all of it is there already, and its memory meanwhile. */
async function archive(): Promise<unknown> {
  const file = path.join(folder, 'archive.zip');
  let peak = memoryMb();
  const rest = peak;
  const watch = setInterval(() => (peak = Math.max(peak, memoryMb())), 100);
  const begun = performance.now();
  const id = randomUUID();
  await fetch(`${address}/api/v1/archives/${id}`, { method: 'PUT' });
  while ((await get<{ state: string }>(`/api/v1/imports/${id}`)).state !== 'done') await sleep(20);
  const out = await new Promise<http.IncomingMessage>((resolve) =>
    http.get(`${address}/api/v1/archives/${id}`, resolve),
  );
  await pipeline(out, createWriteStream(file));
  const outMs = performance.now() - begun;
  const again = performance.now();
  const last = await new Promise<string>((resolve, reject) => {
    const request = http.request(
      `${address}/api/v1/archive`,
      { method: 'POST', headers: { 'content-type': 'application/zip' } },
      (response) => {
        let text = '';
        response.setEncoding('utf8');
        response.on('data', (part: string) => (text = (text + part).slice(-2_000)));
        response.on('end', () => resolve(text.trim().split('\n').at(-1)!));
      },
    );
    request.on('error', reject);
    createReadStream(file).pipe(request);
  });
  const inMs = performance.now() - again;
  clearInterval(watch);
  if (!last.includes('"done"')) throw new Error(last);
  return { outMs, inMs, restMb: rest, peakMb: peak };
}

/** A stage of the run, told while it goes: the whole takes minutes. */
async function stage<Outcome>(name: string, run: () => Promise<Outcome>): Promise<Outcome> {
  const begun = performance.now();
  const outcome = await run();
  process.stderr.write(`  ${name}: ${((performance.now() - begun) / 1000).toFixed(0)} s\n`);
  return outcome;
}

async function main(): Promise<void> {
  const attacked = await stage('malformed requests', malformed);
  await stage('adding the rigs', addRigs);
  const { items } = await get<{ items: { id: string }[] }>('/api/v1/rigs?limit=100');
  const ids = items.map(({ id }) => id);
  await stage('adding the log', () => addLog(ids[0]!));
  const figures = {
    malformed: attacked,
    pages: await stage('pages', pages),
    windows: await stage('windows of the log', () => windows(ids[0]!)),
    few: await stage('few clients', () => goodput(CLIENTS[0], ids)),
    many: await stage('many clients', () => goodput(CLIENTS[1], ids)),
    archive: await stage('the archive', archive),
  };
  process.stdout.write(JSON.stringify(figures));
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
