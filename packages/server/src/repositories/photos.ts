import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';
import { MOST_PHOTOS, SpaceFull } from '../limits';

/** The photos of an owner, by id. */
export async function photosOf(
  connection: Pool | Connection,
  ownerId: string,
): Promise<{ readonly id: string; readonly createdAt: string }[]> {
  const [rows] = await connection.query<RowDataPacket[]>(
    'SELECT id, created_at FROM proof_photos WHERE owner_id = ? ORDER BY id',
    [ownerId],
  );
  return rows.map(({ id, created_at }) => ({ id, createdAt: created_at.toISOString() }));
}

export async function photoBytes(connection: Pool | Connection, ownerId: string, id: string): Promise<Buffer | null> {
  const [rows] = await connection.query<RowDataPacket[]>(
    'SELECT bytes FROM proof_photos WHERE owner_id = ? AND id = ?',
    [ownerId, id],
  );
  return rows[0]?.bytes ?? null;
}

/** Keeps a photo; the same id again is the same photo. True where it is new. */
export async function keepPhoto(
  connection: Pool | Connection,
  ownerId: string,
  { id, bytes, createdAt }: { readonly id: string; readonly bytes: Buffer; readonly createdAt: Date },
): Promise<boolean> {
  const [result] = await connection.query<ResultSetHeader>(
    'INSERT INTO proof_photos SET ? ON DUPLICATE KEY UPDATE id = proof_photos.id',
    [{ owner_id: ownerId, id, bytes, created_at: createdAt }],
  );
  const isNew = result.affectedRows === 1;
  if (isNew) {
    const [[count]] = await connection.query<RowDataPacket[]>(
      'SELECT COUNT(*) many FROM proof_photos WHERE owner_id = ?',
      [ownerId],
    );
    if (count!.many > MOST_PHOTOS) {
      await connection.query('DELETE FROM proof_photos WHERE owner_id = ? AND id = ?', [ownerId, id]);
      throw new SpaceFull();
    }
  }
  return isNew;
}

/** A photo arrives before its test, from a phone without signal long before. After so many days it was never saved. */
const FORGOTTEN_DAYS = 30;
const AT_ONCE = 200;

/** Deletes photos, of any owner, that no test has named for a month: their tests were never saved. */
export async function deleteForgottenPhotos(pool: Pool): Promise<void> {
  const [old] = await pool.query<RowDataPacket[]>(
    `SELECT p.owner_id, p.id FROM proof_photos p
     WHERE p.created_at < NOW(3) - INTERVAL ? DAY
       AND NOT EXISTS (SELECT 1 FROM proof_tests t WHERE t.owner_id = p.owner_id AND LOCATE(p.id, t.details) > 0)
     LIMIT ?`,
    [FORGOTTEN_DAYS, AT_ONCE],
  );
  for (const { owner_id, id } of old) {
    await pool.query('DELETE FROM proof_photos WHERE owner_id = ? AND id = ?', [owner_id, id]);
  }
}
