import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { Readable } from 'node:stream';
import { promisify } from 'node:util';
import { crc32 } from 'node:zlib';

import {
  fieldProblems,
  PHOTO_LIMIT,
  RESOURCE_NAMES,
  RESOURCES,
  type ArchivePart,
  type ResourceName,
} from '@dunlinmoss/contract';
import {
  archiveDigest,
  archivedPhoto,
  archivedReading,
  archivedRow,
  archiveHead,
  hasDigest,
  type ArchivedReading,
  type ArchiveVersion,
} from '@dunlinmoss/contract/api';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import type { z } from 'zod';

import { isPlainJpeg } from '../imports/jpeg';
import { MOST_ROW_BYTES } from '../limits';
import { LOG_ROWS_AT_ONCE } from '../repositories/monitorLog';
import type { KeptRow } from '../repositories/versioned';
import { LineTooLong, linesIn } from './lines';

export type { ArchiveVersion };

/** Why an archive is refused, and where. */
export class ArchiveRefused extends Error {
  constructor(
    readonly code: 'notAnArchive' | 'lineRefused' | 'missingReference' | 'spaceFull',
    readonly at: { readonly part?: ArchivePart; readonly line?: number; readonly message?: string } = {},
  ) {
    super(code);
  }
}

/** The longest line that is read, bytes: the largest row, and what an archive says beside it. */
const LONGEST_LINE = MOST_ROW_BYTES + 10_000;
const ROWS_AT_ONCE = 500;
/** So much text of rows at once, characters: large rows come in smaller batches. Assumption. */
const TEXT_AT_ONCE = 4_000_000;

const openReader = promisify<yauzl.RandomAccessReader, number, yauzl.Options, ZipFile>(
  yauzl.fromRandomAccessReader as never,
);

/** Reads an archive from wherever its bytes lie. */
class BytesReader extends yauzl.RandomAccessReader {
  /** Why its bytes could not be had; undefined while they could. */
  failed: unknown;

  constructor(private readonly bytes: (start: number, end: number) => AsyncIterable<Buffer>) {
    super();
  }
  override _readStreamForRange(start: number, end: number): Readable {
    const stream = Readable.from(this.bytes(start, end), { objectMode: false });
    return stream.on('error', (error) => (this.failed ??= error));
  }
}

/** The entries of an archive by name, from its directory alone. */
async function entriesOf(zip: ZipFile): Promise<ReadonlyMap<string, Entry>> {
  const entries = new Map<string, Entry>();
  zip.on('entry', (entry: Entry) => {
    entries.set(entry.fileName, entry);
    zip.readEntry();
  });
  // What it finds wrong once the directory was read is told by the stream of the entry as well.
  zip.on('error', () => undefined);
  zip.readEntry();
  await once(zip, 'end');
  return entries;
}

const streamOf = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream))),
  );

/** An archive that was opened. */
interface Opened {
  readonly zip: ZipFile;
  /** The digest of each entry by its name; null in archives of earlier versions. */
  sha256: Readonly<Record<string, string>> | null;
}

/** The bytes of an entry as they come, held against its checksum and its digest at their end. */
async function* partsOf({ zip, sha256 }: Opened, entry: Entry): AsyncGenerator<Buffer> {
  const stream = await streamOf(zip, entry);
  // Left before its end it may fail when nobody waits for it any more.
  stream.on('error', () => undefined);
  let sum = 0;
  const digest = sha256 && createHash('sha256');
  for await (const part of stream) {
    sum = crc32(part as Buffer, sum);
    digest?.update(part as Buffer);
    yield part as Buffer;
  }
  if (sum !== entry.crc32 || digest?.digest('hex') !== sha256?.[entry.fileName]) {
    throw new ArchiveRefused('notAnArchive', { message: `${entry.fileName} was changed since it was written` });
  }
}

async function bytesOf(opened: Opened, entry: Entry, most: number): Promise<Buffer> {
  if (entry.uncompressedSize > most) {
    throw new ArchiveRefused('notAnArchive', { message: `${entry.fileName} is too large` });
  }
  const parts: Buffer[] = [];
  for await (const part of partsOf(opened, entry)) parts.push(part);
  return Buffer.concat(parts);
}

/** The lines of an entry, each checked against its schema, in batches. */
async function* linesOf<Value>(
  opened: Opened,
  entry: Entry,
  part: ArchivePart,
  schema: z.ZodType<Value>,
  atOnce: number,
): AsyncGenerator<Value[]> {
  let line = 0;
  let batch: Value[] = [];
  let size = 0;
  const refuse = (message: string): never => {
    throw new ArchiveRefused('lineRefused', { part, line, message });
  };
  for await (const { lines } of linesIn(partsOf(opened, entry), LONGEST_LINE)) {
    for (const text of lines) {
      line += 1;
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
      size += text.length;
      if (batch.length === atOnce || size >= TEXT_AT_ONCE) {
        yield batch;
        batch = [];
        size = 0;
      }
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
 * @param onVersion told which version of the format it is
 * @throws ArchiveRefused for what is none, with the part and line
 */
export async function* readArchive(
  size: number,
  bytes: (start: number, end: number) => AsyncIterable<Buffer>,
  onVersion: (version: ArchiveVersion) => void = () => undefined,
): AsyncGenerator<ArchiveBatch> {
  const reader = new BytesReader(bytes);
  /** What goes wrong here is wrong with the archive, unless its bytes could not be had. */
  const asRefused = (error: unknown): unknown => {
    if (reader.failed !== undefined) return reader.failed;
    if (error instanceof ArchiveRefused) return error;
    const message = error instanceof LineTooLong ? 'A line is too long' : error instanceof Error ? error.message : '';
    return new ArchiveRefused('notAnArchive', { message });
  };
  let zip: ZipFile | undefined;
  try {
    zip = await openReader(reader, size, { lazyEntries: true, autoClose: false });
    yield* batchesOf(zip, onVersion);
  } catch (error) {
    throw asRefused(error);
  } finally {
    zip?.close();
  }
}

/** Lines of rows and readings unpack to thirty times their size at the most. Beyond this it is made to keep a server busy. Assumption. */
const MOST_UNPACKED = 250;
const SMALL_BYTES = 1_000_000;
const DIGEST = 'digest.json';
/** The largest JSON that is read whole: the digests of as many photos as a space may have. */
const MOST_JSON_BYTES = 2_000_000;

const isBlownUp = ({ compressedSize, uncompressedSize }: Entry): boolean =>
  uncompressedSize > SMALL_BYTES && uncompressedSize > MOST_UNPACKED * compressedSize;

async function* batchesOf(zip: ZipFile, onVersion: (version: ArchiveVersion) => void): AsyncGenerator<ArchiveBatch> {
  const opened: Opened = { zip, sha256: null };
  const entries = await entriesOf(zip);
  const blownUp = [...entries.values()].find(isBlownUp);
  if (blownUp) throw new ArchiveRefused('notAnArchive', { message: `${blownUp.fileName} unpacks to far too much` });
  const unread = new Set(entries.keys());
  const entryOf = (name: string): Entry => {
    const entry = entries.get(name);
    if (!entry) throw new ArchiveRefused('notAnArchive', { message: `${name} is missing` });
    unread.delete(name);
    return entry;
  };
  const jsonOf = async (entry: Entry): Promise<unknown> =>
    JSON.parse((await bytesOf(opened, entry, MOST_JSON_BYTES)).toString('utf8'));
  const headEntry = entryOf('dunlinmoss.json');
  const head = archiveHead.safeParse(await jsonOf(headEntry));
  if (!head.success) throw new ArchiveRefused('notAnArchive', { message: 'It is of another kind or version' });
  const { version } = head.data;
  onVersion(version);
  if (hasDigest(version)) {
    const { sha256 } = archiveDigest.parse(await jsonOf(entryOf(DIGEST)));
    const named = new Set(Object.keys(sha256));
    const unnamed = [...entries.keys()].find((name) => name !== DIGEST && !named.delete(name));
    const [lost] = unnamed === undefined ? named : [unnamed];
    if (lost !== undefined) throw new ArchiveRefused('notAnArchive', { message: `${lost} is not as in ${DIGEST}` });
    opened.sha256 = sha256;
    // Its own digest is known only by now.
    await jsonOf(headEntry);
  }

  for (const part of RESOURCE_NAMES) {
    const schema = archivedRow(part, version) as z.ZodType<KeptRow<ArchivedRow>>;
    const name = `${part}.jsonl`;
    // Made before there was such a kind; any other part that is missing was lost.
    if (RESOURCES[part].missingInOlder.archives && !entries.has(name)) continue;
    let lines = 0;
    for await (const rows of linesOf(opened, entryOf(name), part, schema, ROWS_AT_ONCE)) {
      lines += rows.length;
      yield { part, lines, rows };
    }
  }
  let lines = 0;
  for await (const rows of linesOf(opened, entryOf('log.jsonl'), 'log', archivedReading, LOG_ROWS_AT_ONCE)) {
    lines += rows.length;
    yield { part: 'log', lines, rows };
  }
  lines = 0;
  for await (const photos of linesOf(opened, entryOf('photos.jsonl'), 'photos', archivedPhoto, 1)) {
    const [{ id, createdAt }] = photos as [{ id: string; createdAt: string }];
    const bytes = await bytesOf(opened, entryOf(`photos/${id}.jpg`), PHOTO_LIMIT);
    if (!isPlainJpeg(bytes)) throw new ArchiveRefused('notAnArchive', { part: 'photos', message: `${id} is no photo` });
    lines += 1;
    yield { part: 'photos', lines, rows: [{ id, createdAt, bytes }] };
  }
  // A part under a name that is not its own would be lost without a word.
  const [stranger] = unread;
  if (stranger !== undefined) throw new ArchiveRefused('notAnArchive', { message: `${stranger} is no part of one` });
}
