import type { Connection } from '../db/pool';

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

/** A rig goes with everything that was done with it: tests and their photos, air, readings, outings, its log. */
export async function eraseRig(connection: Connection, ownerId: string, id: string): Promise<void> {
  await connection.query(photosOfTests('t.rig_id = ?'), [ownerId, id, id]);
  for (const table of ['proof_tests', 'airings', 'reading_rounds', 'outings', 'monitor_log', 'monitor_log_summary']) {
    await connection.query(`DELETE FROM ${table} WHERE owner_id = ? AND rig_id = ?`, [ownerId, id]);
  }
}
