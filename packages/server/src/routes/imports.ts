import { createHash, randomUUID } from 'node:crypto';
import { Readable } from 'node:stream';
import { isDeepStrictEqual } from 'node:util';

import type { ImportState, OpenImport } from '@dunlinmoss/contract';
import { importQuery } from '@dunlinmoss/contract/api';
import type { Request, Response } from 'express';
import type { Pool } from 'mysql2/promise';

import { isPassing } from '../db/pool';
import { followJob } from '../jobs/follow';
import { inParts } from '../jobs/parts';
import type { JobRunner } from '../jobs/runner';
import { Refusal } from '../problems';
import {
  addPart,
  beginJob,
  endComing,
  findJob,
  forgetJob,
  JobLost,
  openJobs,
  type Job,
  type JobKind,
} from '../repositories/jobs';
import { idOf } from './idOf';
import { Cancelled } from './ndjsonWriter';
import { Routes } from './declared';

/** Begins to take something long in, or goes on with it where the line broke: `as` is its name, `from` what has come of it. */
export async function beginImport(
  pool: Pool,
  request: Request,
  kind: JobKind,
  asked: unknown,
  mark: unknown,
): Promise<Job> {
  const { as = randomUUID(), from } = importQuery.parse(request.query);
  const job = await ownJob(pool, { ownerId: request.ownerId, id: as, kind, asked, mark });
  if (job.state === 'coming' && job.bytes !== from) {
    const message = `Expected ${job.bytes}: so many bytes of it have come`;
    throw new Refusal('invalid', { fields: [{ path: '/from', code: 'otherMark', message, limit: job.bytes }] });
  }
  return job;
}

/** Begins a job, or finds it; refuses a name that something else has. */
export async function ownJob(pool: Pool, named: Parameters<typeof beginJob>[1]): Promise<Job> {
  const job = await beginJob(pool, named);
  if (job.kind !== named.kind || !isDeepStrictEqual(job.asked, named.asked)) {
    const message = 'Expected the name of this import, or one that no import has yet';
    throw new Refusal('invalid', { fields: [{ path: '/as', code: 'otherImport', message }] });
  }
  return job;
}

/**
 * Begins to take in what has come whole, or finds what became of it: the same under the same name is done once.
 *
 * @param asked what is asked for, with the digest of what came
 */
export const beginWhole = (
  pool: Pool,
  { ownerId }: Request,
  parts: {
    readonly as: string | undefined;
    readonly kind: JobKind;
    readonly asked: (digest: string) => unknown;
    readonly body: Buffer;
  },
): Promise<Job> =>
  ownJob(pool, {
    ownerId,
    id: parts.as ?? randomUUID(),
    kind: parts.kind,
    asked: parts.asked(createHash('sha256').update(parts.body).digest('hex')),
    mark: null,
  });

/** Keeps what has come whole for its job, where it was not all kept before. */
export async function keepWhole(pool: Pool, begun: Job, body: Buffer, begin: unknown): Promise<void> {
  let job = begun;
  for await (const part of inParts(Readable.from([body.subarray(job.bytes)]))) {
    job = await addPart(pool, job, part, job.bytes + part.length, null);
  }
  await endComing(pool, job, { state: 'working', mark: begin, told: null });
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
    runner.wake(job);
    await followJob(pool, job.ownerId, job.id, tell, () => response.destroyed);
  } catch (error) {
    // What has come stays for whoever goes on with it.
    if (error instanceof Cancelled || response.destroyed) return;
    if (!isPassing(error) && !(error instanceof JobLost)) request.log.error({ err: error }, `import: ${job.kind}`);
    tell({ problem: { code: isPassing(error) || error instanceof JobLost ? 'databaseAway' : 'internal' } });
  }
  response.end();
}

/** How far a job has come, as it is told. */
export const stateOf = ({ kind, state, bytes, told }: Job): ImportState => ({ kind, state, bytes, told });

/** `GET /imports`, `GET` and `DELETE /imports/:id`: how far something long has come, and that it is not wanted any more. */
export function importRoutes(pool: Pool): Routes {
  const router = new Routes();
  router.get('/imports', 'viewer', async (request, response) => {
    const jobs = await openJobs(pool, request.ownerId);
    const items = jobs.map((job): OpenImport => {
      const { rigId = null } = (job.asked ?? {}) as { readonly rigId?: string };
      return { ...stateOf(job), kind: job.kind, id: job.id, rigId };
    });
    response.json({ items });
  });
  router.get('/imports/:id', 'viewer', async (request, response) => {
    const job = await findJob(pool, request.ownerId, idOf(request.params.id));
    if (!job) throw new Refusal('notFound');
    response.json(stateOf(job));
  });

  router.delete('/imports/:id', 'lead', async (request, response) => {
    if (!(await forgetJob(pool, request.ownerId, idOf(request.params.id)))) throw new Refusal('underWay');
    response.status(204).end();
  });

  return router;
}
