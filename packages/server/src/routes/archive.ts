import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';

import type { ArchiveEvent } from '@dunlinmoss/contract';
import { ARCHIVE_PATH, ARCHIVE_TYPE } from '@dunlinmoss/contract/api';
import { Router } from 'express';
import type { Pool } from 'mysql2/promise';

import { ArchiveRefused, readArchive } from '../archive/read';
import { writeArchive } from '../archive/write';
import { inTransaction, isPassing, isMissingReference } from '../db/pool';
import { Refusal } from '../problems';
import type { Repositories } from '../repositories/repositories';
import { onlyMediaType } from '../sameSite';
import { Cancelled, ndjsonWriter } from './ndjsonWriter';

/** The largest archive that is taken in, bytes. */
const MOST_BYTES = 20_000_000_000;
/** Archives under way at once: each holds a connection to the database for long. */
const AT_ONCE = 2;

/** `GET /archive`: everything kept as one file. `POST /archive`: takes such a file in. Both as a stream. */
export function archiveRoutes(pool: Pool, repositories: Repositories): Router {
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
        await pipeline(await writeArchive(connection, repositories, request.ownerId), response);
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
      const folder = await mkdtemp(path.join(os.tmpdir(), 'dunlinmoss-archive-'));
      try {
        const file = path.join(folder, 'archive.zip');
        // A ZIP is read from its end, so it has to be there whole.
        await pipeline(request, limited(MOST_BYTES), createWriteStream(file));
        const tell = ndjsonWriter<ArchiveEvent>(response);
        await inTransaction(pool, (connection) =>
          readArchive(file, connection, repositories, request.ownerId, (part, progress) => tell({ part, progress })),
        )
          .then((done) => tell({ done }))
          .catch((error: unknown) => {
            if (error instanceof Cancelled) return;
            const problem = problemOf(error);
            if (problem.code === 'internal') request.log.error({ err: error }, 'reading an archive');
            tell({ problem });
          });
        response.end();
      } finally {
        await rm(folder, { recursive: true, force: true });
      }
    }),
  );

  return router;
}

function problemOf(error: unknown): Extract<ArchiveEvent, { problem: unknown }>['problem'] {
  if (error instanceof ArchiveRefused) return { code: error.code, ...error.at };
  if (isMissingReference(error)) return { code: 'missingReference' };
  return { code: isPassing(error) ? 'databaseAway' : 'internal' };
}

/** Lets so many bytes through and refuses more. */
function limited(most: number): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      done(bytes > most ? new Refusal('bodyTooLarge') : null, chunk);
    },
  });
}
