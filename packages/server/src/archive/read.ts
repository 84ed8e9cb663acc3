import { once } from 'node:events';
import type { Readable } from 'node:stream';
import readline from 'node:readline';
import { promisify } from 'node:util';

import {
  fieldProblems,
  PHOTO_LIMIT,
  RESOURCE_NAMES,
  RESOURCES,
  type ArchiveCounts,
  type ArchivePart,
} from '@dunlinmoss/contract';
import {
  ARCHIVE_PARTS,
  archivedPhoto,
  archivedReading,
  archivedRow,
  archiveHead,
  type ArchivedReading,
} from '@dunlinmoss/contract/api';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import type { z } from 'zod';

import type { Connection } from '../db/pool';
import { isPlainJpeg } from '../imports/jpeg';
import { MOST_ROW_BYTES } from '../limits';
import { addToLog, LOG_ROWS_AT_ONCE, type LogTuple } from '../repositories/monitorLog';
import { summarise, type Changed } from '../repositories/logSummary';
import { keepPhoto } from '../repositories/photos';
import type { Repositories } from '../repositories/repositories';
import type { KeptRow, Repository } from '../repositories/versioned';

/** Why an archive is refused, and where. */
export class ArchiveRefused extends Error {
  constructor(
    readonly code: 'notAnArchive' | 'lineRefused',
    readonly at: { readonly part?: ArchivePart; readonly line?: number; readonly message?: string } = {},
  ) {
    super(code);
  }
}

/** The longest line that is read, characters: the largest row, and what an archive says beside it. */
const LONGEST_LINE = MOST_ROW_BYTES + 10_000;
const ROWS_AT_ONCE = 500;

const open = promisify<string, yauzl.Options, ZipFile>(yauzl.open as never);

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

const tupleOf = ({ position, wheel, readAt, pressureKpa, tempC }: ArchivedReading): LogTuple => [
  position,
  wheel,
  new Date(readAt),
  pressureKpa,
  tempC,
];

/** Adds readings of any rigs, and remembers what of their logs has changed. */
async function addReadings(
  connection: Connection,
  ownerId: string,
  readings: readonly ArchivedReading[],
  changed: Map<string, Changed & { readonly rigId: string }>,
): Promise<number> {
  let added = 0;
  const groups = new Map<string, ArchivedReading[]>();
  for (const reading of readings) {
    const key = `${reading.rigId} ${reading.source}`;
    const group = groups.get(key);
    if (group) group.push(reading);
    else groups.set(key, [reading]);
    const wheel = `${reading.rigId} ${reading.position} ${reading.wheel}`;
    const at = new Date(reading.readAt);
    const known = changed.get(wheel);
    if (!known) changed.set(wheel, { ...reading, from: at, to: at });
    else if (at < known.from) changed.set(wheel, { ...known, from: at });
    else if (at > known.to) changed.set(wheel, { ...known, to: at });
  }
  for (const group of groups.values()) {
    const [{ rigId, source }] = group as [ArchivedReading];
    added += await addToLog(connection, ownerId, rigId, source, group.map(tupleOf));
  }
  return added;
}

/**
 * Takes an archive in, inside a transaction that is under way: rows as they once were, stamps and all. What is there
 * already by its id stays. Never more of it in memory than a batch.
 *
 * @param onProgress called with how many rows of a part are done
 * @throws ArchiveRefused for what is none, with the part and line
 */
export async function readArchive(
  file: string,
  connection: Connection,
  repositories: Repositories,
  ownerId: string,
  onProgress: (part: ArchivePart, done: number) => void,
): Promise<ArchiveCounts> {
  const zip = await open(file, { lazyEntries: true, autoClose: false }).catch(() => {
    throw new ArchiveRefused('notAnArchive');
  });
  try {
    return await readParts(zip, connection, repositories, ownerId, onProgress);
  } catch (error) {
    // What the library says of bytes that are not as their directory promises.
    if (error instanceof Error && /zip|invalid|unexpected end|corrupt|too many bytes|too few/i.test(error.message)) {
      throw new ArchiveRefused('notAnArchive', { message: error.message });
    }
    throw error;
  } finally {
    zip.close();
  }
}

async function readParts(
  zip: ZipFile,
  connection: Connection,
  repositories: Repositories,
  ownerId: string,
  onProgress: (part: ArchivePart, done: number) => void,
): Promise<ArchiveCounts> {
  const entries = await entriesOf(zip);
  const entryOf = (name: string): Entry => {
    const entry = entries.get(name);
    if (!entry) throw new ArchiveRefused('notAnArchive', { message: `${name} is missing` });
    return entry;
  };
  const head = archiveHead.safeParse(JSON.parse((await bytesOf(zip, entryOf('dunlinmoss.json'))).toString('utf8')));
  if (!head.success) throw new ArchiveRefused('notAnArchive', { message: 'It is of another kind or version' });

  const counts = Object.fromEntries(
    ARCHIVE_PARTS.map((part) => [part, { added: 0, alreadyThere: 0 }]),
  ) as ArchiveCounts;
  const count = (part: ArchivePart, added: number, of: number): void => {
    counts[part].added += added;
    counts[part].alreadyThere += of - added;
    onProgress(part, counts[part].added + counts[part].alreadyThere);
  };
  for (const kind of RESOURCE_NAMES) {
    const repository = repositories[kind] as unknown as Repository<never, unknown>;
    const schema = archivedRow(kind, head.data.version) as z.ZodType<KeptRow<unknown>>;
    const name = `${kind}.jsonl`;
    // Made before there was such a kind; any other part that is missing was lost.
    if (RESOURCES[kind].missingInOlder.archives && !entries.has(name)) continue;
    for await (const rows of linesOf(zip, entryOf(name), kind, schema, ROWS_AT_ONCE)) {
      count(kind, await repository.writeKept(connection, ownerId, rows), rows.length);
    }
  }
  const changed = new Map<string, Changed & { readonly rigId: string }>();
  for await (const readings of linesOf(zip, entryOf('log.jsonl'), 'log', archivedReading, LOG_ROWS_AT_ONCE)) {
    count('log', await addReadings(connection, ownerId, readings, changed), readings.length);
  }
  for (const each of changed.values()) await summarise(connection, ownerId, each.rigId, [each]);
  for await (const photos of linesOf(zip, entryOf('photos.jsonl'), 'photos', archivedPhoto, 1)) {
    const [{ id, createdAt }] = photos as [{ id: string; createdAt: string }];
    const bytes = await bytesOf(zip, entryOf(`photos/${id}.jpg`));
    if (!isPlainJpeg(bytes)) throw new ArchiveRefused('notAnArchive', { part: 'photos', message: `${id} is no photo` });
    count('photos', (await keepPhoto(connection, ownerId, { id, bytes, createdAt: new Date(createdAt) })) ? 1 : 0, 1);
  }
  return counts;
}
