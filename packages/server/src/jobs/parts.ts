import type { Pool } from 'mysql2/promise';

import { PART_BYTES, piecesFrom } from '../archive/pieces';
import { partOf, type Job } from '../repositories/jobs';

/*
 * What is long lies in parts of one size, but the last: an archive that came in, a table, a file that was put together.
 */

/** Bytes as they come, in parts of that size. */
export async function* inParts(bytes: AsyncIterable<Buffer>): AsyncGenerator<Buffer> {
  let waiting: Buffer[] = [];
  let size = 0;
  for await (const chunk of bytes) {
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

/** Gives the bytes of a job from one place up to another. Throws `JobLost` where they are no more. */
export const bytesOf = (pool: Pool, job: Job): ((start: number, end: number) => AsyncGenerator<Buffer>) =>
  piecesFrom((part) => partOf(pool, job, part));

/** All of it as text. */
export async function textOf(pool: Pool, job: Job): Promise<string> {
  const pieces: Buffer[] = [];
  for await (const piece of bytesOf(pool, job)(0, job.bytes)) pieces.push(piece);
  return Buffer.concat(pieces).toString('utf8');
}
