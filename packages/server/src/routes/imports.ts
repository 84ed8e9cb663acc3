import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';

import { importQuery, rowId } from '@dunlinmoss/contract/api';
import { Router, type Request, type Response } from 'express';
import type { Pool } from 'mysql2/promise';
import { z } from 'zod';

import { isPassing } from '../db/pool';
import { followJob } from '../jobs/follow';
import type { JobRunner } from '../jobs/runner';
import { Refusal } from '../problems';
import { beginJob, findJob, forgetJob, JobLost, type Job, type JobKind } from '../repositories/jobs';
import { Cancelled } from './ndjsonWriter';

const idParameter = z.object({ id: rowId });

/** Begins to take something long in, or goes on with it where the line broke: `as` is its name, `from` what has come of it. */
export async function beginImport(
  pool: Pool,
  request: Request,
  kind: JobKind,
  asked: unknown,
  mark: unknown,
): Promise<Job> {
  const { as = randomUUID(), from } = importQuery.parse(request.query);
  const job = await beginJob(pool, { ownerId: request.ownerId, id: as, kind, asked, mark });
  const refuse = (path: string, code: string, message: string, limit?: number): never => {
    throw new Refusal('invalid', { fields: [{ path, code, message, ...(limit !== undefined && { limit }) }] });
  };
  if (job.kind !== kind || !isDeepStrictEqual(job.asked, asked)) {
    refuse('/as', 'otherImport', 'Expected the name of this import, or one that no import has yet');
  }
  if (job.state === 'coming' && job.bytes !== from) {
    refuse('/from', 'otherMark', `Expected ${job.bytes}: so many bytes of it have come`, job.bytes);
  }
  return job;
}

/** Has it come in, where it has not yet, and tells what becomes of it. */
export async function importing(
  pool: Pool,
  runner: JobRunner,
  parts: {
    readonly request: Request;
    readonly response: Response;
    readonly tell: (event: unknown) => void;
    readonly job: Job;
  },
  come: () => Promise<void>,
): Promise<void> {
  const { request, response, tell, job } = parts;
  try {
    if (job.state === 'coming') await come();
    else request.resume();
    runner.wake();
    await followJob(pool, job.ownerId, job.id, tell, () => response.destroyed);
  } catch (error) {
    // What has come stays for whoever goes on with it.
    if (error instanceof Cancelled || response.destroyed) return;
    if (!isPassing(error) && !(error instanceof JobLost)) request.log.error({ err: error }, `import: ${job.kind}`);
    tell({ problem: { code: isPassing(error) || error instanceof JobLost ? 'databaseAway' : 'internal' } });
  }
  response.end();
}

/** `GET` and `DELETE /imports/:id`: how far something long has come, and that it is not wanted any more. */
export function importRoutes(pool: Pool): Router {
  const router = Router();
  const idOf = (request: Request): string => {
    const parsed = idParameter.safeParse(request.params);
    if (!parsed.success) throw new Refusal('notFound');
    return parsed.data.id;
  };

  router.get('/imports/:id', async (request, response) => {
    const job = await findJob(pool, request.ownerId, idOf(request));
    if (!job) throw new Refusal('notFound');
    const { kind, state, bytes, told } = job;
    response.json({ kind, state, bytes, told });
  });

  router.delete('/imports/:id', async (request, response) => {
    if (!(await forgetJob(pool, request.ownerId, idOf(request)))) throw new Refusal('underWay');
    response.status(204).end();
  });

  return router;
}
