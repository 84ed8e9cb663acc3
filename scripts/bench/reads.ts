import http from 'node:http';

import mysql from 'mysql2/promise';

import { readConfig } from '../../packages/server/src/config';
import { createPool } from '../../packages/server/src/db/pool';

const READS = 2_000;
const AT_ONCE = 8;
const PARTS = ['rig_axles', 'tire_points', 'load_cases', 'case_weights', 'case_items'];

/** Milliseconds each call took, `AT_ONCE` of them under way at any time. */
async function timed(call: () => Promise<unknown>, times: number): Promise<number[]> {
  const took: number[] = [];
  let left = times;
  const worker = async (): Promise<void> => {
    while (left > 0) {
      left -= 1;
      const begun = performance.now();
      await call();
      took.push(performance.now() - begun);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  return took.sort((a, b) => a - b);
}
const at = (sorted: number[], share: number): number => sorted[Math.floor(share * (sorted.length - 1))]!;

async function main(address: string): Promise<void> {
  const config = readConfig(process.env);
  const pool = createPool(config.database);
  const { items } = (await (await fetch(`${address}/api/v1/rigs?limit=1`)).json()) as { items: { id: string }[] };
  const id = items[0]!.id;
  // Plain connections that are kept open: what fetch adds on top is the measuring side's own cost.
  const agent = new http.Agent({ keepAlive: true, maxSockets: AT_ONCE });
  const viaApi = (): Promise<void> =>
    new Promise((resolve, reject) => {
      http
        .get(`${address}/api/v1/rigs/${id}`, { agent }, (response) => {
          let text = '';
          response.setEncoding('utf8');
          response.on('data', (part: string) => (text += part));
          response.on('end', () => {
            if (response.statusCode !== 200) return reject(new Error(`Status ${response.statusCode}`));
            JSON.parse(text);
            resolve();
          });
        })
        .on('error', reject);
    });
  // The same queries that the server runs for a rig.
  const direct = async (): Promise<void> => {
    const [rows] = await pool.query<mysql.RowDataPacket[]>('SELECT * FROM rigs WHERE owner_id = ? AND id = ?', [
      config.ownerId,
      id,
    ]);
    const parts = await Promise.all(
      PARTS.map((table) =>
        pool.query<mysql.RowDataPacket[]>(`SELECT * FROM ${table} WHERE owner_id = ? AND rig_id IN (?)`, [
          config.ownerId,
          [id],
        ]),
      ),
    );
    if (rows.length !== 1 || parts[0]![0].length === 0) throw new Error('The rig is not there');
  };
  await timed(viaApi, READS / 4);
  await timed(direct, READS / 4);
  const api = await timed(viaApi, READS);
  const select = await timed(direct, READS);
  agent.destroy();
  await pool.end();
  process.stdout.write(
    JSON.stringify({
      p50Ratio: at(api, 0.5) / at(select, 0.5),
      p95Ratio: at(api, 0.95) / at(select, 0.95),
      apiP50Ms: at(api, 0.5),
      selectP50Ms: at(select, 0.5),
    }),
  );
}

void main(process.argv[2]!);
