import type { MessagePort } from 'node:worker_threads';

import { piecesFrom } from './pieces';
import { ArchiveRefused, readArchive, type ArchiveBatch, type ArchiveVersion } from './read';

/** What the thread says. */
export type FromThread =
  /** It needs a part of the archive’s bytes. */
  | { readonly part: number }
  | { readonly version: ArchiveVersion }
  | { readonly batch: ArchiveBatch }
  | { readonly refused: Pick<ArchiveRefused, 'code' | 'at'> }
  | { readonly failed: true }
  | { readonly end: true };

/** What it is told. */
export type ToThread =
  | { readonly next: true }
  | { readonly stop: true }
  /** Null where the part can't be had. */
  | { readonly part: number; readonly bytes: Uint8Array | null };

/**
 * Runs in a thread of its own: unzips and checks an archive, a batch each time it is asked for one. Its bytes it asks for
 * part by part, from whoever has them.
 */
export default function readArchiveHere({ size, port }: { readonly size: number; readonly port: MessagePort }) {
  const say = (said: FromThread): void => port.postMessage(said);
  const awaited = new Map<number, (bytes: Uint8Array | null) => void>();
  const partAt = async (part: number): Promise<Buffer> => {
    const coming = new Promise<Uint8Array | null>((resolve) => awaited.set(part, resolve));
    say({ part });
    const bytes = await coming;
    if (!bytes) throw new Error(`Part ${part} can't be had`);
    return Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  };
  const batches = readArchive(size, piecesFrom(partAt), (version) => say({ version }));
  const next = async (): Promise<FromThread> => {
    try {
      const { done, value } = await batches.next();
      return done ? { end: true } : { batch: value };
    } catch (error) {
      return error instanceof ArchiveRefused ? { refused: { code: error.code, at: error.at } } : { failed: true };
    }
  };
  return new Promise<void>((resolve) => {
    port.on('message', (told: ToThread) => {
      if ('part' in told) {
        awaited.get(told.part)?.(told.bytes);
        awaited.delete(told.part);
      } else if ('next' in told) void next().then(say);
      else {
        port.close();
        resolve();
      }
    });
  });
}
