import { once } from 'node:events';
import { Readable } from 'node:stream';
import readline from 'node:readline';
import { promisify } from 'node:util';

import {
  fieldProblems,
  PHOTO_LIMIT,
  RESOURCE_NAMES,
  RESOURCES,
  type ArchivePart,
  type ResourceName,
} from '@dunlinmoss/contract';
import {
  archivedPhoto,
  archivedReading,
  archivedRow,
  archiveHead,
  type ArchivedReading,
} from '@dunlinmoss/contract/api';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import type { z } from 'zod';

import { isPlainJpeg } from '../imports/jpeg';
import { MOST_ROW_BYTES } from '../limits';
import { LOG_ROWS_AT_ONCE } from '../repositories/monitorLog';
import type { KeptRow } from '../repositories/versioned';

/** Why an archive is refused, and where. */
export class ArchiveRefused extends Error {
  constructor(
    readonly code: 'notAnArchive' | 'lineRefused' | 'missingReference' | 'spaceFull',
    readonly at: { readonly part?: ArchivePart; readonly line?: number; readonly message?: string } = {},
  ) {
    super(code);
  }
}

/** The longest line that is read, characters: the largest row, and what an archive says beside it. */
const LONGEST_LINE = MOST_ROW_BYTES + 10_000;
const ROWS_AT_ONCE = 500;

const openReader = promisify<yauzl.RandomAccessReader, number, yauzl.Options, ZipFile>(
  yauzl.fromRandomAccessReader as never,
);

/** Reads an archive from wherever its bytes lie. */
class BytesReader extends yauzl.RandomAccessReader {
  constructor(private readonly bytes: (start: number, end: number) => AsyncIterable<Buffer>) {
    super();
  }
  override _readStreamForRange(start: number, end: number): Readable {
    return Readable.from(this.bytes(start, end), { objectMode: false });
  }
}

/** The entries of an archive by name, from its directory alone. */
async function entriesOf(zip: ZipFile): Promise<ReadonlyMap<string, Entry>> {
  const entries = new Map<string, Entry>();
  zip.on('entry', (entry: Entry) => {
    entries.set(entry.fileName, entry);
    zip.readEntry();
  });
  zip.readEntry();
  await once(zip, 'end');
  return entries;
}

const streamOf = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
  );

async function bytesOf(zip: ZipFile, entry: Entry): Promise<Buffer> {
  if (entry.uncompressedSize > PHOTO_LIMIT) throw new ArchiveRefused('notAnArchive', { part: 'photos' });
  const parts: Buffer[] = [];
  for await (const part of await streamOf(zip, entry)) parts.push(part as Buffer);
  return Buffer.concat(parts);
}

/** The lines of an entry, each checked against its schema, in batches. */
async function* linesOf<Value>(
  zip: ZipFile,
  entry: Entry,
  part: ArchivePart,
  schema: z.ZodType<Value>,
  atOnce: number,
): AsyncGenerator<Value[]> {
  let line = 0;
  let batch: Value[] = [];
  const refuse = (message: string): never => {
    throw new ArchiveRefused('lineRefused', { part, line, message });
  };
  for await (const text of readline.createInterface({ input: await streamOf(zip, entry), crlfDelay: Infinity })) {
    line += 1;
    if (text.length > LONGEST_LINE) refuse('The line is too long');
    let json: unknown;
    try {
      json = JSON.parse(text);
    } catch {
      refuse('Expected JSON');
    }
    const parsed = schema.safeParse(json);
    if (!parsed.success) {
      const [first] = fieldProblems(parsed.error);
      refuse(`${first!.path}: ${first!.message}`);
      continue;
    }
    batch.push(parsed.data);
    if (batch.length === atOnce) {
      yield batch;
      batch = [];
    }
  }
  if (batch.length > 0) yield batch;
}

/** A batch of one part of an archive, and how many lines of that part there are up to its end. */
export type ArchiveBatch =
  | { readonly part: ResourceName; readonly lines: number; readonly rows: readonly KeptRow<ArchivedRow>[] }
  | { readonly part: 'log'; readonly lines: number; readonly rows: readonly ArchivedReading[] }
  | { readonly part: 'photos'; readonly lines: number; readonly rows: readonly [ArchivedPhoto] };

/** A row of any kind: what every one of them has. */
export type ArchivedRow = { readonly id: string; readonly revision: number } & Record<string, unknown>;
export interface ArchivedPhoto {
  readonly id: string;
  readonly createdAt: string;
  readonly bytes: Buffer;
}

/**
 * Everything in an archive, batch by batch and checked as it is read, in the order in which its parts point at one another.
 * Never more of it in memory than a batch.
 *
 * @param size its bytes
 * @param bytes gives those from one place up to another
 * @throws ArchiveRefused for what is none, with the part and line
 */
export async function* readArchive(
  size: number,
  bytes: (start: number, end: number) => AsyncIterable<Buffer>,
): AsyncGenerator<ArchiveBatch> {
  const zip = await openReader(new BytesReader(bytes), size, { lazyEntries: true, autoClose: false }).catch(
    (error: unknown) => {
      throw damaged(error) ?? error;
    },
  );
  try {
    yield* batchesOf(zip);
  } catch (error) {
    throw damaged(error) ?? error;
  } finally {
    zip.close();
  }
}

/** What the library says of bytes that are not as their directory promises. */
const damaged = (error: unknown): ArchiveRefused | undefined =>
  error instanceof Error &&
  /zip|invalid|unexpected end|corrupt|central directory|too many bytes|too few/i.test(error.message)
    ? new ArchiveRefused('notAnArchive', { message: error.message })
    : undefined;

async function* batchesOf(zip: ZipFile): AsyncGenerator<ArchiveBatch> {
  const entries = await entriesOf(zip);
  const entryOf = (name: string): Entry => {
    const entry = entries.get(name);
    if (!entry) throw new ArchiveRefused('notAnArchive', { message: `${name} is missing` });
    return entry;
  };
  const head = archiveHead.safeParse(JSON.parse((await bytesOf(zip, entryOf('dunlinmoss.json'))).toString('utf8')));
  if (!head.success) throw new ArchiveRefused('notAnArchive', { message: 'It is of another kind or version' });

  for (const part of RESOURCE_NAMES) {
    const schema = archivedRow(part, head.data.version) as z.ZodType<KeptRow<ArchivedRow>>;
    const name = `${part}.jsonl`;
    // Made before there was such a kind; any other part that is missing was lost.
    if (RESOURCES[part].missingInOlder.archives && !entries.has(name)) continue;
    let lines = 0;
    for await (const rows of linesOf(zip, entryOf(name), part, schema, ROWS_AT_ONCE)) {
      lines += rows.length;
      yield { part, lines, rows };
    }
  }
  let lines = 0;
  for await (const rows of linesOf(zip, entryOf('log.jsonl'), 'log', archivedReading, LOG_ROWS_AT_ONCE)) {
    lines += rows.length;
    yield { part: 'log', lines, rows };
  }
  lines = 0;
  for await (const photos of linesOf(zip, entryOf('photos.jsonl'), 'photos', archivedPhoto, 1)) {
    const [{ id, createdAt }] = photos as [{ id: string; createdAt: string }];
    const bytes = await bytesOf(zip, entryOf(`photos/${id}.jpg`));
    if (!isPlainJpeg(bytes)) throw new ArchiveRefused('notAnArchive', { part: 'photos', message: `${id} is no photo` });
    lines += 1;
    yield { part: 'photos', lines, rows: [{ id, createdAt, bytes }] };
  }
}
