import { RESOURCE_NAMES, type ResourceName } from '@dunlinmoss/contract';
import type { Pool, RowDataPacket } from 'mysql2/promise';

import { MOST_PHOTOS, MOST_ROWS } from '../limits';
import type { Repositories } from '../repositories/repositories';
import { ArchiveRefused, type ArchiveBatch } from './read';

/** A field of a kind of row that names a row of another kind. */
interface Pointer {
  readonly field: string;
  readonly to: ResourceName;
}

const camel = (column: string): string => column.replace(/_(\w)/g, (_, letter: string) => letter.toUpperCase());

/** Which fields of each kind of row point at rows, as the tables themselves say. */
async function pointersOf(pool: Pool, repositories: Repositories): Promise<ReadonlyMap<ResourceName, Pointer[]>> {
  const kindOf = new Map(RESOURCE_NAMES.map((kind) => [repositories[kind].table, kind]));
  const [rows] = await pool.query<RowDataPacket[]>(
    `SELECT table_name AS own, column_name AS named, referenced_table_name AS other FROM information_schema.key_column_usage
     WHERE table_schema = DATABASE() AND referenced_column_name = 'id' AND column_name <> 'owner_id'`,
  );
  const pointers = new Map<ResourceName, Pointer[]>();
  for (const { own, named, other } of rows) {
    const kind = kindOf.get(own);
    const to = kindOf.get(other);
    if (kind && to) pointers.set(kind, [...(pointers.get(kind) ?? []), { field: camel(named), to }]);
  }
  return pointers;
}

/**
 * Looks an archive through before any of it is taken in: each line was read by then; here, that what its rows point at is
 * in it or kept already, and that there is room.
 *
 * @throws ArchiveRefused
 */
export async function checkArchive(
  batches: AsyncIterable<ArchiveBatch>,
  pool: Pool,
  repositories: Repositories,
  ownerId: string,
  onBatch: (batch: ArchiveBatch) => void,
): Promise<void> {
  const pointers = await pointersOf(pool, repositories);
  const known = {} as Record<ResourceName, Set<string>>;
  const kept = {} as Record<ResourceName, number>;
  for (const kind of RESOURCE_NAMES) {
    const [rows] = await pool.query<RowDataPacket[]>(`SELECT id FROM ${repositories[kind].table} WHERE owner_id = ?`, [
      ownerId,
    ]);
    known[kind] = new Set(rows.map(({ id }) => id));
    kept[kind] = rows.length;
  }
  const [photoRows] = await pool.query<RowDataPacket[]>('SELECT id FROM proof_photos WHERE owner_id = ?', [ownerId]);
  const photos = new Set(photoRows.map(({ id }) => id));
  for await (const batch of batches) {
    onBatch(batch);
    if (batch.part === 'log') {
      if (batch.rows.some(({ rigId }) => !known.rigs.has(rigId))) {
        throw new ArchiveRefused('missingReference', { part: 'log' });
      }
    } else if (batch.part === 'photos') photos.add(batch.rows[0].id);
    else {
      const { part } = batch;
      for (const { row } of batch.rows) known[part].add(row.id);
      for (const { field, to } of pointers.get(part) ?? []) {
        const lost = batch.rows.some(({ row }) => typeof row[field] === 'string' && !known[to].has(row[field]));
        if (lost) throw new ArchiveRefused('missingReference', { part });
      }
      if (known[part].size > Math.max(MOST_ROWS, kept[part])) throw new ArchiveRefused('spaceFull', { part });
    }
  }
  if (photos.size > Math.max(MOST_PHOTOS, photoRows.length)) throw new ArchiveRefused('spaceFull', { part: 'photos' });
}
