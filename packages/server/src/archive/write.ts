import { createHash } from 'node:crypto';
import { Readable, type PassThrough } from 'node:stream';

import { RESOURCE_NAMES, type ResourceName } from '@dunlinmoss/contract';
import { ARCHIVE_VERSION } from '@dunlinmoss/contract/api';
import { ZipFile } from 'yazl';

import type { Connection } from '../db/pool';
import { rigsWithLog } from '../repositories/logRigs';
import { logOf } from '../repositories/monitorLog';
import { photoBytes, photosOf } from '../repositories/photos';
import type { Repositories } from '../repositories/repositories';
import type { PhotoStore } from '../store/photoStore';

/** The same things give the same bytes: no entry carries the time of its writing. */
const ALWAYS = { mtime: new Date('2000-01-01T00:00:00Z'), mode: 0o100644, forceDosTimestamp: true } as const;

const line = (value: unknown): string => `${JSON.stringify(value)}\n`;

async function* rowLines(
  connection: Connection,
  repositories: Repositories,
  ownerId: string,
  kind: ResourceName,
): AsyncGenerator<string> {
  for await (const batch of repositories[kind].everything(connection, ownerId)) {
    yield batch.map(({ row, deletedAt }) => line({ deletedAt, row })).join('');
  }
}

async function* logLines(connection: Connection, ownerId: string): AsyncGenerator<string> {
  for (const rigId of await rigsWithLog(connection, ownerId)) {
    for await (const rows of logOf(connection, ownerId, rigId)) {
      yield rows
        .map(({ position, wheel, read_at, pressure_kpa, temp_c, source }) =>
          line({
            rigId,
            position,
            wheel,
            readAt: read_at.toISOString(),
            pressureKpa: pressure_kpa,
            tempC: temp_c,
            source,
          }),
        )
        .join('');
    }
  }
}

/**
 * Everything an owner keeps as a ZIP that comes as it is read, from one moment: the connection must be in a transaction
 * with a consistent snapshot. Never more of it in memory than a batch of rows or a photo.
 */
export async function writeArchive(
  connection: Connection,
  repositories: Repositories,
  store: PhotoStore,
  ownerId: string,
): Promise<NodeJS.ReadableStream> {
  const zip = new ZipFile();
  const output = zip.outputStream as PassThrough;
  // Whoever asked may go away in the middle, or the database: then there is no file, and nothing else ends with it.
  const fail = (error: Error): void => void output.destroy(error);
  zip.on('error', fail);
  const source = (parts: Iterable<unknown> | AsyncIterable<unknown>): Readable =>
    Readable.from(parts, { objectMode: false }).on('error', fail);
  const sha256: Record<string, string> = {};
  async function* digested<Part extends string | Buffer>(
    name: string,
    parts: Iterable<Part> | AsyncIterable<Part>,
  ): AsyncGenerator<Part> {
    const hash = createHash('sha256');
    for await (const part of parts) {
      hash.update(part);
      yield part;
    }
    sha256[name] = hash.digest('hex');
  }
  // One entry after the other is opened, so the one connection serves them all.
  const add = (name: string, lines: () => Iterable<string> | AsyncIterable<string>): void =>
    zip.addReadStreamLazy(name, ALWAYS, (done) => done(null, source(digested(name, lines()))));
  add('dunlinmoss.json', () => [line({ format: 'dunlinmoss-archive', version: ARCHIVE_VERSION })]);
  for (const kind of RESOURCE_NAMES) add(`${kind}.jsonl`, () => rowLines(connection, repositories, ownerId, kind));
  add('log.jsonl', () => logLines(connection, ownerId));
  const photos = await photosOf(connection, ownerId);
  add('photos.jsonl', () => photos.map(line));
  for (const { id } of photos) {
    const name = `photos/${id}.jpg`;
    zip.addReadStreamLazy(name, { ...ALWAYS, compress: false }, (done) => {
      photoBytes(connection, store, ownerId, id).then(
        (bytes) => done(null, source(digested(name, [bytes ?? Buffer.alloc(0)]))),
        (error: Error) => done(error, source([])),
      );
    });
  }
  // Opened last, when the digests of all others are known.
  zip.addReadStreamLazy('digest.json', ALWAYS, (done) => done(null, source([line({ sha256 })])));
  zip.end();
  return output;
}
