import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';
import { MOST_PHOTOS, SpaceFull } from '../limits';
import type { PhotoStore } from '../store/photoStore';

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

/** What is in a photo; null where there is none of that id. */
export async function photoBytes(
  connection: Pool | Connection,
  store: PhotoStore,
  ownerId: string,
  id: string,
): Promise<Buffer | null> {
  const [[row]] = await connection.query<RowDataPacket[]>(
    'SELECT hash FROM proof_photos WHERE owner_id = ? AND id = ?',
    [ownerId, id],
  );
  return row ? store.get(row.hash) : null;
}

/** Keeps a photo; the same id again is the same photo. True where it is new. */
export async function keepPhoto(
  connection: Pool | Connection,
  store: PhotoStore,
  ownerId: string,
  { id, bytes, createdAt }: { readonly id: string; readonly bytes: Buffer; readonly createdAt: Date },
): Promise<boolean> {
  // First what is in it: a row without that would be a photo that nobody can see.
  const hash = await store.put(bytes);
  const [result] = await connection.query<ResultSetHeader>(
    'INSERT INTO proof_photos SET ? ON DUPLICATE KEY UPDATE id = proof_photos.id',
    [{ owner_id: ownerId, id, hash, created_at: createdAt }],
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

/** Bytes are kept before the row that names them is: so long they may have none, ms. */
const UNNAMED_MS = 24 * 3_600_000;

/** Removes the bytes of photos that no row of any space names any more. */
export async function removeUnnamedBytes(pool: Pool, store: PhotoStore, now = new Date()): Promise<void> {
  const before = new Date(now.getTime() - UNNAMED_MS);
  for await (const hashes of store.keptBefore(before)) {
    if (hashes.length === 0) continue;
    const [rows] = await pool.query<RowDataPacket[]>('SELECT DISTINCT hash FROM proof_photos WHERE hash IN (?)', [
      hashes,
    ]);
    const named = new Set(rows.map(({ hash }) => hash.toString('hex')));
    for (const hash of hashes) if (!named.has(hash.toString('hex'))) await store.remove(hash, before);
  }
}
