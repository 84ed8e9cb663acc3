import type { WeighedPart } from '@dunlinmoss/core';
import type { RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';

/** A rig as an import of loads looks at it. */
export interface WeighedRig {
  readonly id: string;
  readonly name: string;
  readonly wheels: ReadonlyMap<string, number>;
  readonly cases: Map<string, WeighedCase>;
}

export interface WeighedCase {
  readonly id: string;
  readonly name: string;
  readonly method: string;
  readonly isNew: boolean;
  /** Load by axle and part, kg. */
  readonly weights: Map<string, number>;
}

const idOf = ({ id }: { readonly id: string }): string => id;
export const weightKey = (position: string, part: WeighedPart): string => `${position} ${part}`;
/** Names of load cases are compared as people read them. */
export const caseKey = (name: string): string => name.toLowerCase();

/**
 * Every rig of an owner that is not archived, with axles, load cases and what was weighed in each.
 *
 * @param named those that will be written, by id or by name in small letters: what hangs on the others is left out, and
 *   nobody else writes to these before the transaction ends
 */
export async function weighedRigs(
  connection: Connection,
  ownerId: string,
  named?: ReadonlySet<string>,
): Promise<Map<string, WeighedRig>> {
  // Columns, as the database gives them
  const query = async (sql: string, ids?: readonly string[]): Promise<any[][]> =>
    (await connection.query<RowDataPacket[][]>({ sql, rowsAsArray: true }, [ownerId, ...(ids ? [ids] : [])]))[0];
  const rigs = new Map<string, WeighedRig>();
  for (const [id, name] of await query('SELECT id, name FROM rigs WHERE owner_id = ? AND deleted_at IS NULL')) {
    rigs.set(id, { id, name, wheels: new Map(), cases: new Map() });
  }
  const ids =
    named && [...rigs.values()].filter(({ id, name }) => named.has(id) || named.has(name.toLowerCase())).map(idOf);
  if (ids?.length === 0) return rigs;
  if (ids) await query('SELECT id FROM rigs WHERE owner_id = ? AND id IN (?) FOR UPDATE', ids);
  const mine =
    'JOIN rigs r ON r.owner_id = t.owner_id AND r.id = t.rig_id WHERE t.owner_id = ? AND r.deleted_at IS NULL' +
    (ids ? ' AND t.rig_id IN (?)' : '');
  for (const [rigId, position, wheels] of await query(
    `SELECT t.rig_id, t.position, t.wheels FROM rig_axles t ${mine}`,
    ids,
  )) {
    (rigs.get(rigId)!.wheels as Map<string, number>).set(position, wheels);
  }
  const byId = new Map<string, WeighedCase>();
  for (const [rigId, id, name, method] of await query(
    `SELECT t.rig_id, t.id, t.name, t.method FROM load_cases t ${mine}`,
    ids,
  )) {
    const loadCase: WeighedCase = { id, name, method, isNew: false, weights: new Map() };
    rigs.get(rigId)!.cases.set(caseKey(name), loadCase);
    byId.set(`${rigId} ${id}`, loadCase);
  }
  for (const [rigId, caseId, position, part, loadKg] of await query(
    `SELECT t.rig_id, t.case_id, t.position, t.part, t.load_kg FROM case_weights t ${mine} AND t.kind = 'weighed'`,
    ids,
  )) {
    byId.get(`${rigId} ${caseId}`)!.weights.set(weightKey(position, part), loadKg);
  }
  return rigs;
}

/** How many rows one statement writes. */
const ROWS_AT_ONCE = 5_000;

/** New load cases, at the end of each rig's own. */
export async function insertCases(
  connection: Connection,
  rows: readonly (readonly [ownerId: string, rigId: string, id: string, ordinal: number, name: string])[],
): Promise<void> {
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    const batch = rows.slice(from, from + ROWS_AT_ONCE).map((row) => [...row, 'scales']);
    await connection.query('INSERT INTO load_cases (owner_id, rig_id, id, ordinal, name, method) VALUES ?', [batch]);
  }
}

/** What was weighed: added, or in place of what stood there. */
export async function upsertWeights(
  connection: Connection,
  ownerId: string,
  rows: readonly {
    readonly rigId: string;
    readonly caseId: string;
    readonly position: string;
    readonly part: WeighedPart;
    readonly ordinal: number;
    readonly loadKg: number;
  }[],
): Promise<void> {
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    const batch = rows
      .slice(from, from + ROWS_AT_ONCE)
      .map((row) => [ownerId, row.rigId, row.caseId, 'weighed', row.position, row.part, row.ordinal, row.loadKg]);
    await connection.query(
      `INSERT INTO case_weights (owner_id, rig_id, case_id, kind, position, part, ordinal, load_kg) VALUES ?
       ON DUPLICATE KEY UPDATE load_kg = VALUES(load_kg)`,
      [batch],
    );
  }
}
