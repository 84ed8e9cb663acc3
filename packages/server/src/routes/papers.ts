import { sheets } from '@dunlinmoss/contract/api';
import type { Pool } from 'mysql2/promise';

import type { PaperAsked } from '../jobs/paperJob';
import type { JobRunner } from '../jobs/runner';
import { Refusal } from '../problems';
import { findJob, forgetEarlierFiles, forgetJob, JobLost } from '../repositories/jobs';
import { idOf } from './idOf';
import { beginWhole, keepWhole, stateOf } from './imports';
import { sendMade } from './made';
import { Routes } from './declared';

/** `PUT /papers/:id` has sheets laid out as one PDF, and `GET` fetches it. The same under the same name is made once. */
export function paperRoutes(pool: Pool, runner: JobRunner): Routes {
  const router = new Routes();

  router.put('/papers/:id', 'viewer', async (request, response) => {
    const { ownerId } = request;
    const id = idOf(request.params.id);
    const asked = sheets.parse(request.body);
    const body = Buffer.from(JSON.stringify(asked));
    await forgetEarlierFiles(pool, { ownerId, id, kind: 'paper' });
    const before = await findJob(pool, ownerId, id);
    // It came to nothing: asked for again, it is meant anew.
    if (before?.kind === 'paper' && before.state === 'refused') await forgetJob(pool, ownerId, id);
    const job = await beginWhole(pool, request, {
      as: id,
      kind: 'paper',
      asked: (of): PaperAsked => ({ of, name: asked.name }),
      body,
    });
    try {
      if (job.state === 'coming') await keepWhole(pool, job, body, null);
    } catch (error) {
      // The same, sent twice at once: the other one is further.
      throw error instanceof JobLost ? new Refusal('overloaded') : error;
    }
    runner.wake(job);
    response.status(202).json(stateOf((await findJob(pool, ownerId, id)) ?? job));
  });

  const nameOf = ({ asked }: { readonly asked: unknown }): string => `${(asked as PaperAsked).name}.pdf`;
  router.get('/papers/:id', 'viewer', sendMade(pool, { kind: 'paper', type: 'application/pdf', nameOf }));

  return router;
}
