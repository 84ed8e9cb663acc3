import { randomUUID } from 'node:crypto';
import { Readable } from 'node:stream';

import { PLAIN_AXLE, type LoadsEvent, type Rig } from '@dunlinmoss/contract';
import mysql, { type RowDataPacket } from 'mysql2/promise';

/*
 * 100,000 weighed loads through the API against LOAD DATA of the same rows into the same tables; and the first page of
 * the rig list with ten rigs and with ten thousand. Prints ratios measured in this one run.
 */

const [address] = process.argv.slice(2) as [string];
const OWNER = '01900000-0000-7000-8000-000000000001';
const RIGS = 5_000;
const CASES = 5;
const WHEELS = [
  ['front', 'left'],
  ['front', 'right'],
  ['rear', 'left'],
  ['rear', 'right'],
] as const;
const ROUNDS = 3;
const FEW = 10;
const MANY = 10_000;
const READS = 300;

const median = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
const p95 = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)]!;
const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const begun = performance.now();
  await work();
  return performance.now() - begun;
};

const axle = (position: 'front' | 'rear'): Rig['axles'][number] => ({
  ...PLAIN_AXLE,
  position,
  behindMm: position === 'front' ? 0 : 2790,
  trackMm: 1570,
  tireMarking: '265/65R17 112T',
  roadKpa: 248,
});
const rigOf = (index: number): Rig => {
  const loadCaseId = randomUUID();
  return {
    id: randomUUID(),
    revision: 0,
    family: 'fourWheel',
    name: `Knot ${String(index).padStart(5, '0')}`,
    hitchMm: null,
    topSpeedKmh: null,
    loadCaseId,
    school: null,
    beadFloorKpa: null,
    axles: [axle('front'), axle('rear')],
    loadCases: [
      {
        id: loadCaseId,
        name: 'As weighed',
        method: 'scales',
        weighed: WHEELS.map(([position, part]) => ({ position, part, loadKg: 600 })),
        wholeKg: null,
        unladen: [],
        items: [],
        posture: null,
      },
    ],
  };
};

async function addRigs(from: number, to: number): Promise<Rig[]> {
  const all: Rig[] = [];
  for (let start = from; start < to; start += 1_000) {
    const rigs = Array.from({ length: Math.min(1_000, to - start) }, (_, index) => rigOf(start + index));
    const response = await fetch(`${address}/api/v1/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ format: 'dunlinmoss', version: 2, rigs, gauges: [], tools: [], outings: [], tests: [] }),
    });
    if (!response.ok) throw new Error(await response.text());
    all.push(...rigs);
  }
  return all;
}

async function sendTable(text: string, apply?: string): Promise<string> {
  const query = apply === undefined ? '' : `?apply=${apply}`;
  const response = await fetch(`${address}/api/v1/import/loads${query}`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: text,
  });
  const events = (await response.text()).trim().split('\n');
  const last = JSON.parse(events.at(-1)!) as LoadsEvent;
  if (!('done' in last)) throw new Error(JSON.stringify(last));
  return last.done.digest;
}

/** A packet has its limit. */
function* pieces(text: string): Generator<Buffer> {
  const bytes = Buffer.from(text);
  for (let at = 0; at < bytes.length; at += 1_000_000) yield bytes.subarray(at, at + 1_000_000);
}

/** As it lies in the table, whether or not the driver has read it. */
const asText = (body: unknown): string => (typeof body === 'string' ? body : JSON.stringify(body));

async function firstPages(): Promise<number> {
  const read = async (): Promise<unknown> => (await fetch(`${address}/api/v1/rigs?limit=${FEW}`)).json();
  for (let run = 0; run < 30; run += 1) await read();
  const times: number[] = [];
  for (let run = 0; run < READS; run += 1) times.push(await timed(read));
  return p95(times);
}

async function main(): Promise<void> {
  const connection = await mysql.createConnection({
    host: process.env.DUNLINMOSS_DB_HOST ?? '127.0.0.1',
    port: Number(process.env.DUNLINMOSS_DB_PORT),
    user: process.env.DUNLINMOSS_DB_USER!,
    password: process.env.DUNLINMOSS_DB_PASSWORD!,
    database: process.env.DUNLINMOSS_DB_NAME!,
    timezone: 'Z',
    flags: ['+LOCAL_FILES'],
  });
  const rigs = await addRigs(0, FEW);
  const fewMs = await firstPages();
  rigs.push(...(await addRigs(FEW, MANY)));
  const manyMs = await firstPages();

  const weighed = rigs.slice(0, RIGS);
  const loaded = weighed.map((rig, index) => ({
    rig,
    cases: Array.from({ length: CASES }, (_, number) => ({
      id: randomUUID(),
      name: `Day ${number}`,
      base: 500 + (index % 90),
    })),
  }));
  const table = [
    'rig,load case,axle,wheel,load kg',
    ...loaded.flatMap(({ rig, cases }) =>
      cases.flatMap(({ name, base }) =>
        WHEELS.map(([position, part], at) => `${rig.name},${name},${position},${part},${base + at}`),
      ),
    ),
  ].join('\n');
  const caseRows = loaded
    .flatMap(({ rig, cases }) =>
      cases.map(({ id, name }, number) => [OWNER, rig.id, id, number + 1, name, 'scales'].join('\t')),
    )
    .join('\n');
  const weightRows = loaded
    .flatMap(({ rig, cases }) =>
      cases.flatMap(({ id, base }) =>
        WHEELS.map(([position, part], at) => [OWNER, rig.id, id, 'weighed', position, part, at, base + at].join('\t')),
      ),
    )
    .join('\n');
  /** What was written down of each machine just now, as a table, taken away again. */
  const versions = async (): Promise<string> => {
    const just = 'h.owner_id = ? AND h.kind = "rigs" AND h.revision = r.revision AND r.revision > 1';
    const joined = `row_history h JOIN rigs r ON r.owner_id = h.owner_id AND r.id = h.id WHERE ${just}`;
    const [rows] = await connection.query<RowDataPacket[]>(
      `SELECT h.owner_id, h.kind, h.id, h.revision, h.deed, CAST(h.saved_at AS CHAR) saved_at, CAST(h.body AS CHAR) body FROM ${joined}`,
      [OWNER],
    );
    await connection.query(`DELETE h FROM ${joined}`, [OWNER]);
    return rows
      .map((row) =>
        [row.owner_id, row.kind, row.id, row.revision, row.deed, row.saved_at, asText(row.body)]
          .map((value) => String(value).replaceAll('\\', '\\\\'))
          .join('\t'),
      )
      .join('\n');
  };
  const clear = (): Promise<unknown> =>
    connection.query("DELETE FROM load_cases WHERE owner_id = ? AND name LIKE 'Day %'", [OWNER]);
  const load = (rows: string, into: string): Promise<unknown> =>
    connection.query({
      sql: `LOAD DATA LOCAL INFILE 'rows' INTO TABLE ${into}`,
      infileStreamFactory: () => Readable.from(pieces(rows)),
    } as never);

  const api: number[] = [];
  const asked: number[] = [];
  const direct: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    let digest = '';
    asked.push(await timed(async () => (digest = await sendTable(table))));
    api.push(await timed(() => sendTable(table, digest)));
    await clear();
    const versionRows = await versions();
    direct.push(
      await timed(async () => {
        await connection.beginTransaction();
        await load(caseRows, 'load_cases (owner_id, rig_id, id, ordinal, name, method)');
        await load(weightRows, 'case_weights (owner_id, rig_id, case_id, kind, position, part, ordinal, load_kg)');
        await load(versionRows, 'row_history (owner_id, kind, id, revision, deed, saved_at, body)');
        await connection.commit();
      }),
    );
    await clear();
  }
  await connection.end();
  process.stdout.write(
    JSON.stringify({
      applyRatio: median(api.map((ms, round) => ms / direct[round]!)),
      askRatio: median(asked.map((ms, round) => ms / direct[round]!)),
      applyMs: median(api),
      loadDataMs: median(direct),
      listRatio: manyMs / fewMs,
      listManyMs: manyMs,
    }),
  );
}

void main().catch((error: unknown) => {
  process.stderr.write(String(error instanceof Error ? error.stack : error));
  process.exit(1);
});
