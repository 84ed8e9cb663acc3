import path from 'node:path';
import { MessageChannel } from 'node:worker_threads';

import { JOBS_AT_ONCE } from '../limits';
import { threads } from '../threads';
import { ArchiveRefused, type ArchiveBatch, type ArchiveVersion } from './read';
import type { FromThread, ToThread } from './worker';

/** Several times what a batch and a photo take, so that no good archive is too much for a thread. Assumption. */
const MEMORY_MB = 256;
const pool = threads(path.resolve(__dirname, 'worker.ts'), { memoryMb: MEMORY_MB, atOnce: JOBS_AT_ONCE });

/**
 * Reads an archive as `readArchive` does, off the event loop: whatever is wrong with it holds nobody up, and can at worst end
 * the thread.
 *
 * @param size its bytes
 * @param partAt gives a part of them
 * @throws ArchiveRefused, or whatever `partAt` throws
 */
export async function* readArchiveInThread(
  size: number,
  partAt: (part: number) => Promise<Buffer>,
  onVersion: (version: ArchiveVersion) => void = () => undefined,
): AsyncGenerator<ArchiveBatch> {
  const { port1, port2 } = new MessageChannel();
  const tell = (told: ToThread): void => port1.postMessage(told);
  let unavailable: unknown;
  const give = async (part: number): Promise<void> => {
    const bytes = await partAt(part).catch((error: unknown) => {
      unavailable ??= error;
      return null;
    });
    tell({ part, bytes });
  };
  let hear: (said: FromThread) => void = () => undefined;
  let fail: (error: unknown) => void = () => undefined;
  let died: { readonly error: unknown } | undefined;
  port1.on('message', (said: FromThread) => {
    if ('part' in said) void give(said.part);
    else if ('version' in said) onVersion(said.version);
    else hear(said);
  });
  const ended: Promise<void> = pool()
    .run({ size, port: port2 }, { transferList: [port2] })
    .catch((error: unknown) => {
      died = { error };
      fail(error);
    });
  try {
    for (;;) {
      // It may have died while the last batch was being taken in.
      if (died) throw died.error;
      // Not a race with the end of the thread: that would hold every batch until then.
      const answer = new Promise<FromThread>((resolve, reject) => ([hear, fail] = [resolve, reject]));
      tell({ next: true });
      const said = await answer;
      if ('end' in said) return;
      if (unavailable !== undefined) throw unavailable;
      if ('refused' in said) throw new ArchiveRefused(said.refused.code, said.refused.at);
      if (!('batch' in said)) throw new Error('An archive could not be read');
      yield withBuffers(said.batch);
    }
  } finally {
    tell({ stop: true });
    await ended;
    port1.close();
  }
}

/** What comes from another thread is bytes, and no Buffer any more. */
function withBuffers(batch: ArchiveBatch): ArchiveBatch {
  if (batch.part !== 'photos') return batch;
  const [photo] = batch.rows;
  return { ...batch, rows: [{ ...photo, bytes: Buffer.from(photo.bytes) }] };
}
