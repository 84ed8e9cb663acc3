import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

import { ARCHIVE_PATH, ARCHIVE_TYPE } from '@dunlinmoss/contract/api';
import { Router } from 'express';
import type { Pool } from 'mysql2/promise';

import { ARCHIVE_BEGIN } from '../jobs/archiveJob';
import { bytesOf, inParts } from '../jobs/parts';
import type { JobRunner } from '../jobs/runner';
import { Refusal } from '../problems';
import { addPart, endComing, findJob, forgetEarlierFiles } from '../repositories/jobs';
import { onlyMediaType } from '../sameSite';
import { idOf } from './idOf';
import { beginImport, importing, ownJob, stateOf } from './imports';
import { Cancelled, ndjsonWriter } from './ndjsonWriter';

/** The largest archive that is taken in, bytes. */
const MOST_BYTES = 20_000_000_000;
/** Archives that come in at once. */
const AT_ONCE = 2;

/**
 * `PUT /archives/:id` has everything put together as one file, and `GET` fetches it. `POST /archive` takes such a file in as a
 * stream.
 */
export function archiveRoutes(pool: Pool, runner: JobRunner): Router {
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

  router.put('/archives/:id', async (request, response) => {
    const { ownerId } = request;
    const id = idOf(request.params.id);
    await forgetEarlierFiles(pool, { ownerId, id });
    const job = await ownJob(pool, { ownerId, id, kind: 'out', asked: null, mark: null });
    if (job.state === 'coming') await endComing(pool, job, { state: 'working', mark: null, told: null });
    runner.wake(job);
    response.status(202).json(stateOf((await findJob(pool, ownerId, job.id)) ?? job));
  });

  router.get('/archives/:id', async (request, response) => {
    const job = await findJob(pool, request.ownerId, idOf(request.params.id));
    if (job?.kind !== 'out' || job.state !== 'done') throw new Refusal('notFound');
    const { bytes, id } = job;
    const mark = `"${id}"`;
    response.type(ARCHIVE_TYPE).attachment('dunlinmoss.zip').set({ 'Accept-Ranges': 'bytes', ETag: mark });
    // A part of it, for whoever goes on where the line broke.
    const isSame = [undefined, mark].includes(request.get('if-range'));
    const ranges = isSame ? request.range(bytes) : undefined;
    if (ranges === -1) {
      response.status(416).set('Content-Range', `bytes */${bytes}`).end();
      return;
    }
    const [one] = Array.isArray(ranges) && ranges.length === 1 ? ranges : [];
    const { start, end } = one ?? { start: 0, end: bytes - 1 };
    if (one) response.status(206).set('Content-Range', `bytes ${start}-${end}/${bytes}`);
    response.set('Content-Length', String(end + 1 - start));
    if (request.method === 'HEAD') {
      response.end();
      return;
    }
    // Half a file must not look like a whole one: what fails ends the line.
    await pipeline(Readable.from(bytesOf(pool, job)(start, end + 1)), response).catch(() => response.destroy());
  });

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
