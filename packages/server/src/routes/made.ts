import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

import type { RequestHandler } from 'express';
import type { Pool } from 'mysql2/promise';

import { bytesOf } from '../jobs/parts';
import { Refusal } from '../problems';
import { findJob, type FileKind, type Job } from '../repositories/jobs';
import { idOf } from './idOf';

interface Made {
  readonly kind: FileKind;
  readonly type: string;
  /** What the file is called. */
  readonly nameOf: (job: Job) => string;
}

/** Sends the file that a job made, or a range of its bytes. */
export const sendMade =
  (pool: Pool, { kind, type, nameOf }: Made): RequestHandler =>
  async (request, response) => {
    const job = await findJob(pool, request.ownerId, idOf(request.params.id));
    if (job?.kind !== kind || job.state !== 'done') throw new Refusal('notFound');
    const { bytes, id } = job;
    const mark = `"${id}"`;
    response.type(type).attachment(nameOf(job)).set({ 'Accept-Ranges': 'bytes', ETag: mark });
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
  };
