import { writeArchive } from '../archive/write';
import { dropParts, writePart } from '../repositories/jobs';
import type { Repositories } from '../repositories/repositories';
import type { PhotoStore } from '../store/photoStore';
import { inParts } from './parts';
import type { Work } from './runner';

/** What it says: how much there is, and, at its end, that this is all. */
export type OutEvent = { readonly written: number } | { readonly done: { readonly bytes: number } };

/**
 * Puts everything together as one file, of one moment, and lays it aside to be fetched: the database is not held to that
 * moment for as long as a slow line takes. After a kill it is begun anew, as what there was is of another moment.
 */
export const outWork =
  ({ repositories, store }: { readonly repositories: Repositories; readonly store: PhotoStore }): Work =>
  async (job, { pool, step }) => {
    await dropParts(pool, job);
    const connection = await pool.getConnection();
    let [part, inAll] = [0, 0];
    try {
      await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
      await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
      const file = await writeArchive(connection, repositories, store, job.ownerId);
      for await (const bytes of inParts(file as unknown as AsyncIterable<Buffer>)) {
        inAll += bytes.length;
        await step(async (own) => {
          await writePart(own, job, { part, bytes, inAll });
          return { mark: null, told: { written: inAll } satisfies OutEvent };
        });
        part += 1;
      }
      await connection.query('COMMIT');
      connection.release();
    } catch (error) {
      // It is in the middle of something.
      connection.destroy();
      throw error;
    }
    await step(async () => ({ mark: null, told: { done: { bytes: inAll } } satisfies OutEvent, state: 'done' }));
  };
