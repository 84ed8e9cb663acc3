import { createHash, randomUUID } from 'node:crypto';
import { mkdir, opendir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import path from 'node:path';

import type { Pool, RowDataPacket } from 'mysql2/promise';

/*
 * Where the bytes of photos lie, each under the SHA-256 of what is in it: the same picture is kept once, whoever has it. Who
 * has which, their rows say. An object store would be a third of these.
 */

export interface PhotoStore {
  /** Keeps bytes and gives their hash. Kept again, they count as just kept. */
  readonly put: (bytes: Buffer) => Promise<Buffer>;
  readonly get: (hash: Buffer) => Promise<Buffer | null>;
  /** The hashes of what was kept before a time, some at a time. */
  readonly keptBefore: (at: Date) => AsyncIterable<readonly Buffer[]>;
  /** Removes what was kept under a hash, unless it was kept again since a time. */
  readonly remove: (hash: Buffer, before: Date) => Promise<void>;
}

const AT_ONCE = 500;

const hashOf = (bytes: Buffer): Buffer => createHash('sha256').update(bytes).digest();

/** In the database itself: what a farm needs, and one thing to back up. */
export const databaseStore = (pool: Pool): PhotoStore => ({
  async put(bytes) {
    const hash = hashOf(bytes);
    await pool.query(
      'INSERT INTO kept_bytes (hash, bytes) VALUES (?, ?) ON DUPLICATE KEY UPDATE kept_at = CURRENT_TIMESTAMP(3)',
      [hash, bytes],
    );
    return hash;
  },

  async get(hash) {
    const [[row]] = await pool.query<RowDataPacket[]>('SELECT bytes FROM kept_bytes WHERE hash = ?', [hash]);
    return row?.bytes ?? null;
  },

  async *keptBefore(at) {
    let after = Buffer.alloc(0);
    for (;;) {
      const [rows] = await pool.query<RowDataPacket[]>(
        'SELECT hash FROM kept_bytes WHERE hash > ? AND kept_at < ? ORDER BY hash LIMIT ?',
        [after, at, AT_ONCE],
      );
      if (rows.length === 0) return;
      yield rows.map(({ hash }) => hash);
      after = rows.at(-1)!.hash;
    }
  },

  async remove(hash, before) {
    await pool.query('DELETE FROM kept_bytes WHERE hash = ? AND kept_at < ?', [hash, before]);
  },
});

const isMissing = (error: unknown): boolean => (error as { code?: unknown }).code === 'ENOENT';

/** In a folder, which all servers of one database have to share: `ab/ab12…`, written aside and renamed. */
export function folderStore(folder: string): PhotoStore {
  const fileOf = (hash: Buffer): string => {
    const name = hash.toString('hex');
    return path.join(folder, name.slice(0, 2), name);
  };
  return {
    async put(bytes) {
      const hash = hashOf(bytes);
      const file = fileOf(hash);
      await mkdir(path.dirname(file), { recursive: true });
      // Also where it is there already: its time is then that of now.
      const aside = `${file}.${randomUUID()}`;
      await writeFile(aside, bytes, { flush: true });
      await rename(aside, file);
      return hash;
    },

    get: (hash) =>
      readFile(fileOf(hash)).catch((error: unknown) => {
        if (isMissing(error)) return null;
        throw error;
      }),

    async *keptBefore(at) {
      for await (const shelf of await opendir(folder)) {
        if (!shelf.isDirectory()) continue;
        const old: Buffer[] = [];
        for await (const { name } of await opendir(path.join(folder, shelf.name))) {
          const file = path.join(folder, shelf.name, name);
          if ((await stat(file)).mtime >= at) continue;
          if (/^[0-9a-f]{64}$/.test(name)) old.push(Buffer.from(name, 'hex'));
          // What was being written when a server was killed.
          else await rm(file, { force: true });
        }
        yield old;
      }
    },

    async remove(hash, before) {
      const file = fileOf(hash);
      const kept = await stat(file).catch(() => null);
      if (kept && kept.mtime < before) await rm(file, { force: true });
    },
  };
}

/** Photos go to the first and are found in both: what was kept before there was a first stays where it is. */
export const bothStores = (first: PhotoStore, second: PhotoStore): PhotoStore => ({
  put: first.put,
  get: async (hash) => (await first.get(hash)) ?? second.get(hash),
  async *keptBefore(at) {
    yield* first.keptBefore(at);
    yield* second.keptBefore(at);
  },
  async remove(hash, before) {
    await first.remove(hash, before);
    await second.remove(hash, before);
  },
});

/** The store that the configuration names: a folder, or the database where it names none. */
export async function photoStoreAt(folder: string | null, pool: Pool): Promise<PhotoStore> {
  if (folder === null) return databaseStore(pool);
  await mkdir(folder, { recursive: true });
  return bothStores(folderStore(folder), databaseStore(pool));
}
