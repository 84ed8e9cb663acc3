import type { Pool, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';

/** A rig that somebody follows. */
export interface LiveRig {
  readonly ownerId: string;
  readonly rigId: string;
}

/** What was said of a rig in a slot of time, by the server that made it; null while that is still at it. */
export interface Said extends LiveRig {
  readonly slotMs: number;
  readonly maker: string;
  readonly event: string | null;
}

/** In one order everywhere, so that two servers don't wait for each other crosswise. */
const inOrder = <Rig extends LiveRig>(rigs: readonly Rig[]): Rig[] =>
  [...rigs].sort((a, b) => (a.ownerId + a.rigId < b.ownerId + b.rigId ? -1 : 1));

/** `WHERE` for some rigs of some spaces: a range of the key for each space. */
export function whichRigs(rigs: readonly LiveRig[]): readonly [sql: string, values: readonly unknown[]] {
  const bySpace = new Map<string, string[]>();
  for (const { ownerId, rigId } of rigs) bySpace.set(ownerId, [...(bySpace.get(ownerId) ?? []), rigId]);
  return [
    [...bySpace].map(() => '(owner_id = ? AND rig_id IN (?))').join(' OR '),
    [...bySpace].flatMap(([ownerId, rigIds]) => [ownerId, rigIds]),
  ];
}

/** Says who makes the packets of a slot: whoever comes first. */
export async function claimSlot(pool: Pool, rigs: readonly LiveRig[], slotMs: number, maker: string): Promise<void> {
  await pool.query(
    `INSERT INTO live_rigs (owner_id, rig_id, slot_ms, maker, event) VALUES ?
     ON DUPLICATE KEY UPDATE
       maker = IF(slot_ms < VALUES(slot_ms), VALUES(maker), maker),
       event = IF(slot_ms < VALUES(slot_ms), NULL, event),
       slot_ms = GREATEST(slot_ms, VALUES(slot_ms))`,
    [inOrder(rigs).map(({ ownerId, rigId }) => [ownerId, rigId, slotMs, maker, null])],
  );
}

/** What is said of some rigs now. */
export async function saidOf(pool: Pool, rigs: readonly LiveRig[]): Promise<readonly Said[]> {
  const [which, values] = whichRigs(rigs);
  const [rows] = await pool.query<RowDataPacket[]>(
    `SELECT owner_id, rig_id, slot_ms, maker, event FROM live_rigs WHERE ${which}`,
    values as never,
  );
  return rows.map((row) => ({
    ownerId: row.owner_id,
    rigId: row.rig_id,
    slotMs: Number(row.slot_ms),
    maker: row.maker,
    event: row.event,
  }));
}

/** Leaves what was made where the other servers find it, unless they have gone on to a later slot. */
export async function say(pool: Pool, said: readonly Said[]): Promise<void> {
  await pool.query(
    `INSERT INTO live_rigs (owner_id, rig_id, slot_ms, maker, event) VALUES ?
     ON DUPLICATE KEY UPDATE event = IF(slot_ms = VALUES(slot_ms), VALUES(event), event)`,
    [inOrder(said).map(({ ownerId, rigId, slotMs, maker, event }) => [ownerId, rigId, slotMs, maker, event])],
  );
}

/** What was said of a rig in this slot no longer holds: who begins to follow now is told anew. */
export const forgetSaid = (connection: Pool | Connection, ownerId: string, rigId: string): Promise<unknown> =>
  connection.query('DELETE FROM live_rigs WHERE owner_id = ? AND rig_id = ?', [ownerId, rigId]);
