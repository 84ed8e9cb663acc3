import type { ResourceName } from '@dunlinmoss/contract';

import type { Connection } from '../db/pool';
import { everySpaceTable } from './spaceTables';
import { eraseLog } from './logRigs';

/** The photos that some tests name and no other test does. */
const photosOfTests = (which: string): string =>
  `DELETE p FROM proof_photos p
   WHERE p.owner_id = ?
     AND EXISTS (SELECT 1 FROM proof_tests t WHERE t.owner_id = p.owner_id AND ${which} AND LOCATE(p.id, t.details) > 0)
     AND NOT EXISTS (SELECT 1 FROM proof_tests t WHERE t.owner_id = p.owner_id AND NOT (${which}) AND LOCATE(p.id, t.details) > 0)`;

/** A test goes with the photos that only it names. */
export async function eraseTest(connection: Connection, ownerId: string, id: string): Promise<void> {
  await connection.query(photosOfTests('t.id = ?'), [ownerId, id, id]);
}

/** What was done on an outing stays with its rig, and no longer says on which. */
export async function eraseOuting(connection: Connection, ownerId: string, id: string): Promise<void> {
  for (const table of ['proof_tests', 'airings', 'reading_rounds']) {
    await connection.query(`UPDATE ${table} SET outing_id = NULL WHERE owner_id = ? AND outing_id = ?`, [ownerId, id]);
  }
}

/** What a device calls the rows of a rig, by their tables. */
const KINDS_OF_RIG: readonly (readonly [ResourceName, string])[] = [
  ['tests', 'proof_tests'],
  ['airings', 'airings'],
  ['readings', 'reading_rounds'],
  ['outings', 'outings'],
  ['routes', 'day_routes'],
];

/** A rig goes with everything that was done with it: tests and their photos, air, readings, outings, its log. */
export async function eraseRig(connection: Connection, ownerId: string, id: string): Promise<void> {
  await connection.query(photosOfTests('t.rig_id = ?'), [ownerId, id, id]);
  for (const [kind, table] of KINDS_OF_RIG) {
    await connection.query(
      `INSERT INTO gone_rows (owner_id, kind, id) SELECT owner_id, ?, id FROM ${table} WHERE owner_id = ? AND rig_id = ?
       ON DUPLICATE KEY UPDATE changed_at = CURRENT_TIMESTAMP(3)`,
      [kind, ownerId, id],
    );
    await connection.query(
      `DELETE FROM row_history WHERE owner_id = ? AND kind = ? AND id IN (SELECT id FROM ${table} WHERE owner_id = ? AND rig_id = ?)`,
      [ownerId, kind, ownerId, id],
    );
  }
  for (const table of [...KINDS_OF_RIG.map(([, table]) => table), 'monitor_log_summary', 'live_rigs']) {
    await connection.query(`DELETE FROM ${table} WHERE owner_id = ? AND rig_id = ?`, [ownerId, id]);
  }
  await eraseLog(connection, ownerId, id);
}

/** Takes everything away that is in a space, for good, and the space itself. Whose it is must be gone before. */
export async function eraseSpace(connection: Connection, ownerId: string): Promise<void> {
  await eraseLog(connection, ownerId, null);
  // What points at others goes before them.
  for (const { table } of [...(await everySpaceTable(connection))].reverse()) {
    await connection.query(`DELETE FROM ${table} WHERE owner_id = ?`, [ownerId]);
  }
  await connection.query('DELETE FROM owners WHERE id = ?', [ownerId]);
}
