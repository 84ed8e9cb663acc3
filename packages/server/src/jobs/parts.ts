import type { Pool } from 'mysql2/promise';

import { partOf, type Job } from '../repositories/jobs';

/*
 * What is long lies in parts of one size, but the last: an archive that came in, a table, a file that was put together.
 */

export const PART_BYTES = 1_000_000;

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

/** Gives bytes from one place up to another, out of parts that are had one by one. */
export function piecesFrom(
  partAt: (part: number) => Promise<Buffer>,
): (start: number, end: number) => AsyncGenerator<Buffer> {
  // A directory is read in many small pieces.
  let last: { readonly part: number; readonly bytes: Buffer } | undefined;
  return async function* bytes(start, end) {
    for (let at = start; at < end;) {
      const part = Math.floor(at / PART_BYTES);
      const own = last?.part === part ? last.bytes : await partAt(part);
      last = { part, bytes: own };
      const from = at - part * PART_BYTES;
      const piece = own.subarray(from, Math.min(own.length, from + end - at));
      if (piece.length === 0) return;
      yield piece;
      at += piece.length;
    }
  };
}

/** All of it as text. */
export async function textOf(pool: Pool, job: Job): Promise<string> {
  const pieces: Buffer[] = [];
  for await (const piece of bytesOf(pool, job)(0, job.bytes)) pieces.push(piece);
  return Buffer.concat(pieces).toString('utf8');
}
