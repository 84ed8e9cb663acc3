import { pipeline } from 'node:stream/promises';

import { ARCHIVE_PATH, ARCHIVE_TYPE } from '@dunlinmoss/contract/api';
import { Router } from 'express';
import type { Pool } from 'mysql2/promise';

import { writeArchive } from '../archive/write';
import { ARCHIVE_BEGIN, PART_BYTES } from '../jobs/archiveJob';
import type { JobRunner } from '../jobs/runner';
import { Refusal } from '../problems';
import { addPart, endComing } from '../repositories/jobs';
import type { Repositories } from '../repositories/repositories';
import { onlyMediaType } from '../sameSite';
import type { PhotoStore } from '../store/photoStore';
import { beginImport, importing } from './imports';
import { Cancelled, ndjsonWriter } from './ndjsonWriter';

/** The largest archive that is taken in, bytes. */
const MOST_BYTES = 20_000_000_000;
/** Archives under way at once: each holds a connection to the database for long. */
const AT_ONCE = 2;

/** `GET /archive`: everything kept as one file. `POST /archive`: takes such a file in. Both as a stream. */
export function archiveRoutes(pool: Pool, repositories: Repositories, store: PhotoStore, runner: JobRunner): Router {
  const router = Router();
  let underWay = 0;
  const one = async (work: () => Promise<void>): Promise<void> => {
    if (underWay >= AT_ONCE) throw new Refusal('overloaded');
    underWay += 1;
    try {
      await work();
    } finally {
      underWay -= 1;
    }
  };

  router.get(`/${ARCHIVE_PATH}`, (request, response) =>
    one(async () => {
      const connection = await pool.getConnection();
      try {
        // Everything of one moment, whatever is saved meanwhile.
        await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
        await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
        response.type(ARCHIVE_TYPE).attachment('dunlinmoss.zip');
        await pipeline(await writeArchive(connection, repositories, store, request.ownerId), response);
        await connection.query('COMMIT');
        connection.release();
      } catch (error) {
        // Half a file must not look like a whole one, and its connection is in the middle of something.
        connection.destroy();
        if (!response.headersSent && !response.destroyed) throw error;
        response.destroy();
      }
    }),
  );

  router.post(`/${ARCHIVE_PATH}`, onlyMediaType(ARCHIVE_TYPE), (request, response) =>
    one(async () => {
      const begun = await beginImport(pool, request, 'archive', null, null);
      const tell = ndjsonWriter<unknown>(response);
      await importing(pool, runner, { request, response, tell, job: begun }, async () => {
        let job = begun;
        for await (const part of inParts(request)) {
          const bytes = job.bytes + part.length;
          if (bytes > MOST_BYTES) throw new Refusal('bodyTooLarge');
          job = await addPart(pool, job, part, bytes, null);
          if (response.destroyed) throw new Cancelled();
        }
        await endComing(pool, job, { state: 'working', mark: ARCHIVE_BEGIN, told: null });
      });
    }),
  );

  return router;
}

/** A body in parts of one size, but the last. */
async function* inParts(body: AsyncIterable<Buffer>): AsyncGenerator<Buffer> {
  let waiting: Buffer[] = [];
  let size = 0;
  for await (const chunk of body) {
    waiting.push(chunk);
    size += chunk.length;
    while (size >= PART_BYTES) {
      const all = Buffer.concat(waiting);
      yield all.subarray(0, PART_BYTES);
      waiting = [all.subarray(PART_BYTES)];
      size -= PART_BYTES;
    }
  }
  if (size > 0) yield Buffer.concat(waiting);
}
