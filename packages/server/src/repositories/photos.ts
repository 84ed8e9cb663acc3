import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';

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
  return result.affectedRows === 1;
}
