import { ARCHIVE_PATH, ARCHIVE_TYPE } from '@dunlinmoss/contract/api';
import type { Pool } from 'mysql2/promise';

import { ARCHIVE_BEGIN } from '../jobs/archiveJob';
import { inParts } from '../jobs/parts';
import type { JobRunner } from '../jobs/runner';
import { Refusal } from '../problems';
import { addPart, endComing, findJob, forgetEarlierFiles } from '../repositories/jobs';
import { onlyMediaType } from '../sameSite';
import { idOf } from './idOf';
import { beginImport, importing, ownJob, stateOf } from './imports';
import { sendMade } from './made';
import { Cancelled, ndjsonWriter } from './ndjsonWriter';
import { Routes } from './declared';

/** The largest archive that is taken in, bytes. */
const MOST_BYTES = 20_000_000_000;
/** Archives that come in at once. */
const AT_ONCE = 2;

/**
 * `PUT /archives/:id` has everything put together as one file, and `GET` fetches it. `POST /archive` takes such a file in as a
 * stream.
 */
export function archiveRoutes(pool: Pool, runner: JobRunner): Routes {
  const router = new Routes();
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

  router.put('/archives/:id', 'viewer', async (request, response) => {
    const { ownerId } = request;
    const id = idOf(request.params.id);
    await forgetEarlierFiles(pool, { ownerId, id, kind: 'out' });
    const job = await ownJob(pool, { ownerId, id, kind: 'out', asked: null, mark: null });
    if (job.state === 'coming') await endComing(pool, job, { state: 'working', mark: null, told: null });
    runner.wake(job);
    response.status(202).json(stateOf((await findJob(pool, ownerId, job.id)) ?? job));
  });

  router.get(
    '/archives/:id',
    'viewer',
    sendMade(pool, { kind: 'out', type: ARCHIVE_TYPE, nameOf: () => 'dunlinmoss.zip' }),
  );

  router.post(`/${ARCHIVE_PATH}`, 'lead', onlyMediaType(ARCHIVE_TYPE), (request, response) =>
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
