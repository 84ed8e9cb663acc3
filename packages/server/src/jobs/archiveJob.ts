import type { ArchiveCounts, ArchiveEvent } from '@dunlinmoss/contract';
import { ARCHIVE_PARTS, hasDigest, type ArchivedReading } from '@dunlinmoss/contract/api';

import { checkArchive } from '../archive/check';
import { readArchiveInThread } from '../archive/inThread';
import { ArchiveRefused, type ArchiveBatch, type ArchiveVersion } from '../archive/read';
import type { Connection } from '../db/pool';
import { partOf, type Job } from '../repositories/jobs';
import { summarise } from '../repositories/logSummary';
import { addNumbered, numberedReading } from '../repositories/monitorLog';
import { keepPhoto } from '../repositories/photos';
import type { Repositories } from '../repositories/repositories';
import type { Repository } from '../repositories/versioned';
import type { PhotoStore } from '../store/photoStore';
import { piecesOf, widened, type Span } from './logJob';
import type { Work } from './runner';

/** How far it has come: looked through, so many lines of a part taken in, so many pieces of its logs' summaries made. */
interface ArchiveMark {
  /** 1 once it was looked through: till then nothing of it is kept, and it can be stopped. */
  readonly checked: 0 | 1;
  readonly part: ArchiveBatch['part'] | null;
  readonly lines: number;
  readonly counts: ArchiveCounts;
  /** Which readings of which rig were taken in. */
  readonly spans: Readonly<Record<string, readonly Span[]>>;
  readonly summed: number;
  /** Which version of the format it is; null before that was read. Jobs that an earlier version began have none. */
  readonly version?: ArchiveVersion | null;
}

export const ARCHIVE_BEGIN: ArchiveMark = {
  checked: 0,
  part: null,
  lines: 0,
  counts: Object.fromEntries(ARCHIVE_PARTS.map((part) => [part, { added: 0, alreadyThere: 0 }])) as ArchiveCounts,
  spans: {},
  summed: 0,
  version: null,
};

const groupsOf = (readings: readonly ArchivedReading[]): ArchivedReading[][] => {
  const groups = new Map<string, ArchivedReading[]>();
  for (const reading of readings) {
    const key = `${reading.rigId} ${reading.source}`;
    const group = groups.get(key);
    if (group) group.push(reading);
    else groups.set(key, [reading]);
  }
  return [...groups.values()];
};

interface Kept {
  readonly repositories: Repositories;
  readonly store: PhotoStore;
}

/** Takes a batch of an archive in; what is there already by its id stays. */
async function take(
  connection: Connection,
  job: Job,
  { repositories, store }: Kept,
  mark: ArchiveMark,
  batch: ArchiveBatch,
): Promise<ArchiveMark> {
  const { part, lines, rows } = batch;
  const { ownerId } = job;
  let added = 0;
  let { spans } = mark;
  if (batch.part === 'log') {
    for (const group of groupsOf(batch.rows)) {
      const [{ rigId, source }] = group as [ArchivedReading];
      const readings = group.map(({ position, wheel, readAt, pressureKpa, tempC }) =>
        numberedReading([position, wheel, new Date(readAt), pressureKpa, tempC]),
      );
      added += await addNumbered(connection, ownerId, rigId, source, readings);
      spans = { ...spans, [rigId]: widened(spans[rigId] ?? [], readings) };
    }
  } else if (batch.part === 'photos') {
    const [{ id, createdAt, bytes }] = batch.rows;
    added = (await keepPhoto(connection, store, ownerId, { id, bytes, createdAt: new Date(createdAt) })) ? 1 : 0;
  } else {
    const repository = repositories[batch.part] as unknown as Repository<never, unknown>;
    added = await repository.writeKept(connection, ownerId, batch.rows);
  }
  const before = mark.counts[part];
  const counts = {
    ...mark.counts,
    [part]: { added: before.added + added, alreadyThere: before.alreadyThere + rows.length - added },
  };
  return { ...mark, part, lines, counts, spans };
}

/** Takes an archive in: looks all of it through first, then batch by batch, then the summaries of its logs. */
export const archiveWork =
  (kept: Kept): Work =>
  async (job, { pool, step, check }) => {
    let version: ArchiveVersion | null = null;
    const batches = (): AsyncGenerator<ArchiveBatch> =>
      readArchiveInThread(
        job.bytes,
        (part) => partOf(pool, job, part),
        (read) => (version = read),
      );
    let mark = job.mark as ArchiveMark;
    if (mark.checked === 0) {
      try {
        await checkArchive(batches(), pool, kept.repositories, job.ownerId, check);
      } catch (error) {
        if (!(error instanceof ArchiveRefused)) throw error;
        const told: ArchiveEvent = { problem: { code: error.code, ...error.at } };
        await step(async () => ({ mark, told, state: 'refused' }));
        return;
      }
      const checked = { ...mark, checked: 1 as const, version };
      await step(async () => ({ mark: checked, told: null }));
      mark = checked;
    }
    const order = (part: ArchiveBatch['part'] | null): number => (part === null ? -1 : ARCHIVE_PARTS.indexOf(part));
    if (mark.summed === 0) {
      for await (const batch of batches()) {
        // Taken in before it was gone on with.
        if (order(batch.part) < order(mark.part) || (batch.part === mark.part && batch.lines <= mark.lines)) continue;
        let next = mark;
        await step(async (connection) => {
          next = await take(connection, job, kept, mark, batch);
          return { mark: next, told: { part: batch.part, progress: batch.lines } satisfies ArchiveEvent };
        });
        mark = next;
      }
    }
    const pieces = Object.entries(mark.spans).flatMap(([rigId, spans]) =>
      piecesOf(spans).map((piece) => ({ rigId, piece })),
    );
    while (mark.summed < pieces.length) {
      const { rigId, piece } = pieces[mark.summed]!;
      const next = { ...mark, summed: mark.summed + 1 };
      await step(async (connection) => {
        await summarise(connection, job.ownerId, rigId, [piece]);
        return { mark: next, told: { part: 'log', progress: mark.counts.log.added + mark.counts.log.alreadyThere } };
      });
      mark = next;
    }
    const remark = hasDigest(mark.version ?? null) ? {} : ({ remark: 'noDigest' } as const);
    await step(async () => ({ mark, told: { done: mark.counts, ...remark } satisfies ArchiveEvent, state: 'done' }));
  };
