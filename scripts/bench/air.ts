import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Readable } from 'node:stream';

import { PACKET_S, PLAIN_AXLE, type DeviceSetup, type LogEvent, type Rig } from '@dunlinmoss/contract';
import { fillPlan, inToolOf } from '@dunlinmoss/core';
import mysql, { type ResultSetHeader, type RowDataPacket } from 'mysql2/promise';

import { readConfig } from '../../packages/server/src/config';
import { createPool } from '../../packages/server/src/db/pool';
import { forgetOldReadings } from '../../packages/server/src/repositories/logMonths';
import { logWheel } from '../../packages/server/src/repositories/logWheel';

/*
 * A log of a million readings through the API against LOAD DATA of the same rows into the same table, with the server's
 * memory; two hundred phones on one rig's live stream; a whole air-up. Prints figures measured in this one run.
 */

const [address, serverPid] = process.argv.slice(2) as [string, string];
const OWNER = '01900000-0000-7000-8000-000000000001';
const READINGS = 1_000_000;
const ROUNDS = 2;
const PHONES = 200;
const FOLLOWED_MS = 30_000;
const RUN_MS = 1_000;
const JSON_BODY = { 'content-type': 'application/json' };

const least = (values: number[]): number => Math.min(...values);
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

async function newRig(): Promise<string> {
  const rig: Rig = {
    id: randomUUID(),
    revision: 0,
    family: 'fourWheel',
    name: 'Knot',
    hitchMm: null,
    topSpeedKmh: null,
    loadCaseId: null,
    school: null,
    beadFloorKpa: null,
    axles: [axle('front'), axle('rear')],
    loadCases: [],
  };
  const response = await fetch(`${address}/api/v1/rigs/${rig.id}`, {
    method: 'PUT',
    headers: JSON_BODY,
    body: JSON.stringify(rig),
  });
  if (!response.ok) throw new Error(await response.text());
  return rig.id;
}

/** A year of four wheels, minute by minute where it was driven: in order of time, as a monitor would write it. */
function* lines(one: (at: Date, axle: string, wheel: string, kpa: number, tempC: number) => string): Generator<string> {
  const wheels = ['front', 'rear'].flatMap((axleName) => ['left', 'right'].map((wheel) => [axleName, wheel] as const));
  const start = Date.parse('2025-11-01T00:00:00Z');
  const stepMs = (365 * 86_400_000) / (READINGS / wheels.length);
  for (let index = 0; index < READINGS / wheels.length; index += 1) {
    const at = new Date(Math.round(start + index * stepMs));
    let text = '';
    wheels.forEach(([axleName, wheel], each) => {
      text += one(
        at,
        axleName,
        wheel,
        240 + each + 12 * Math.sin(index / 700),
        15 + Math.round(9 * Math.sin(index / 700)),
      );
    });
    yield text;
  }
}

function* chunks(head: string, parts: Iterable<string>): Generator<Buffer> {
  let text = head;
  for (const part of parts) {
    text += part;
    if (text.length < 65_536) continue;
    yield Buffer.from(text);
    text = '';
  }
  yield Buffer.from(text);
}

function* slices(whole: Buffer): Generator<Buffer> {
  for (let from = 0; from < whole.length; from += 65_536) yield whole.subarray(from, from + 65_536);
}

const status = (field: string): number =>
  Number(new RegExp(`${field}:\\s+(\\d+)`).exec(readFileSync(`/proc/${serverPid}/status`, 'utf8'))![1]);
/** Seconds of processor the server has used so far. */
const cpuSeconds = (): number => {
  const fields = readFileSync(`/proc/${serverPid}/stat`, 'utf8').split(') ')[1]!.split(' ');
  return (Number(fields[11]) + Number(fields[12])) / 100;
};

async function logImport() {
  const connection = await mysql.createConnection({
    host: process.env.DUNLINMOSS_DB_HOST ?? '127.0.0.1',
    port: Number(process.env.DUNLINMOSS_DB_PORT),
    user: process.env.DUNLINMOSS_DB_USER!,
    password: process.env.DUNLINMOSS_DB_PASSWORD!,
    database: process.env.DUNLINMOSS_DB_NAME!,
    flags: ['LOCAL_FILES'],
  });
  const api: number[] = [];
  const loadData: number[] = [];
  const restBefore = status('VmRSS');
  for (let round = 0; round < ROUNDS; round += 1) {
    const rigId = await newRig();
    const csv = Buffer.concat([
      ...chunks(
        'time,axle,wheel,pressure_kpa,temp_c\n',
        lines(
          (at, axleName, wheel, kpa, tempC) => `${at.toISOString()},${axleName},${wheel},${kpa.toFixed(2)},${tempC}\n`,
        ),
      ),
    ]);
    api.push(
      await timed(async () => {
        const response = await fetch(`${address}/api/v1/import/log/${rigId}`, {
          method: 'POST',
          headers: { 'content-type': 'text/csv' },
          body: csv,
        });
        const last = JSON.parse((await response.text()).trim().split('\n').at(-1)!) as LogEvent;
        if (!('done' in last) || last.done.added !== READINGS) throw new Error(JSON.stringify(last));
      }),
    );
    const other = randomUUID();
    const [made] = await connection.query<ResultSetHeader>('INSERT INTO log_rigs (owner_id, rig_id) VALUES (?, ?)', [
      OWNER,
      other,
    ]);
    const table = Buffer.concat([
      ...chunks(
        '',
        lines(
          (at, axleName, wheel, kpa, tempC) =>
            `${made.insertId},${logWheel(axleName, wheel)},${at.toISOString().slice(0, 23).replace('T', ' ')},${Math.round(10 * kpa)},${10 * tempC},file\n`,
        ),
      ),
    ]);
    loadData.push(
      await timed(() =>
        connection.query({
          sql: `LOAD DATA LOCAL INFILE 'log' INTO TABLE rig_log FIELDS TERMINATED BY ','
                (rig, wheel, read_at, tenths_kpa, tenths_c, source)`,
          // No packet may be larger than the database takes.
          infileStreamFactory: () => Readable.from(slices(table)),
        }),
      ),
    );
  }
  await connection.query('ANALYZE TABLE rig_log');
  const one = async (sql: string): Promise<number> =>
    Number((await connection.query<RowDataPacket[]>(`SELECT ${sql} AS n`))[0][0]!.n);
  const bytes = await one(
    "(SELECT SUM(data_length) FROM information_schema.partitions WHERE table_schema = DATABASE() AND table_name = 'rig_log')",
  );
  const rows = await one('(SELECT COUNT(*) FROM rig_log)');
  // Nobody keeps them any more: month after month of them is let go.
  await connection.query('UPDATE owners SET log_months = 1');
  const pool = createPool(readConfig(process.env).database);
  let months = 0;
  const forgottenMs = await timed(async () => {
    months = (await forgetOldReadings(pool, new Date('2027-06-15T00:00:00Z'))).months.length;
  });
  const left = await one('(SELECT COUNT(*) FROM rig_log)');
  await pool.end();
  if (left > 0 || months === 0) throw new Error(`${left} readings were left of ${months} months`);
  await connection.end();
  return {
    bytesARow: bytes / rows,
    monthMs: forgottenMs / months,
    monthRows: rows / months,
    apiMs: least(api),
    loadDataMs: least(loadData),
    ratio: least(api) / least(loadData),
    peakMb: status('VmHWM') / 1024,
    restMb: restBefore / 1024,
  };
}

async function phones() {
  const rigId = await newRig();
  const setup: DeviceSetup = {
    seed: 1,
    ambientC: 10,
    altitudeM: 0,
    driving: true,
    since: new Date(Date.now() - 3_600_000).toISOString(),
    wheels: (['front', 'rear'] as const).flatMap((position) =>
      (['left', 'right'] as const).map((wheel) => ({ position, wheel, volumeL: 69, coldKpa: 110 })),
    ),
  };
  await fetch(`${address}/api/v1/devices/rigs/${rigId}`, {
    method: 'PUT',
    headers: JSON_BODY,
    body: JSON.stringify(setup),
  });
  const lags: number[] = [];
  const heard = new Array<number>(PHONES).fill(0);
  let dropped = 0;
  const end = new AbortController();
  const follow = async (phone: number): Promise<void> => {
    try {
      const response = await fetch(`${address}/api/v1/devices/rigs/${rigId}/monitors/stream`, { signal: end.signal });
      let rest = '';
      for await (const text of response.body!.pipeThrough(new TextDecoderStream())) {
        const events = (rest + text).split('\n\n');
        rest = events.pop()!;
        for (const event of events) {
          const data = /^data: (.*)$/m.exec(event)?.[1];
          if (!event.startsWith('event: packets') || !data) continue;
          heard[phone]! += 1;
          // Whoever has just come is told at once what was made for this slot, some seconds ago.
          if (heard[phone] === 1) continue;
          lags.push(Date.now() - Date.parse((JSON.parse(data) as { sentAt: string }).sentAt));
        }
      }
      dropped += 1;
    } catch {
      if (!end.signal.aborted) dropped += 1;
    }
  };
  const cpuBefore = cpuSeconds();
  const all = heard.map((_, phone) => follow(phone));
  await new Promise((resolve) => setTimeout(resolve, FOLLOWED_MS));
  const cpu = (cpuSeconds() - cpuBefore) / (FOLLOWED_MS / 1000);
  end.abort();
  await Promise.all(all);
  return {
    lagP95Ms: p95(lags),
    cpuShare: cpu,
    dropped,
    leastHeard: Math.min(...heard),
    expected: Math.floor(FOLLOWED_MS / (PACKET_S * 1000)),
  };
}

function airUp(): number {
  const { pump, setUpS } = inToolOf('batteryClipCompressor')!;
  const wheels = (['front', 'rear'] as const).flatMap((position) =>
    (['left', 'right'] as const).map((wheel) => ({ position, wheel, volumeL: 69, fromKpa: 110, toKpa: 250, walkS: 5 })),
  );
  let runs = 0;
  let sum = 0;
  const begun = performance.now();
  while (performance.now() - begun < RUN_MS) {
    for (let each = 0; each < 200; each += 1) sum += fillPlan({ wheels, pump, outsideKpaAbs: 101.325, setUpS }).totalS;
    runs += 200;
  }
  if (!(sum > 0)) throw new Error('nothing was filled');
  return ((performance.now() - begun) * 1000) / runs;
}

async function main(): Promise<void> {
  const log = await logImport();
  const stream = await phones();
  process.stdout.write(JSON.stringify({ log, stream, airUpUs: airUp() }));
}

void main();
