import { Readable } from 'node:stream';

import type { AiringRow, LogEvent, LogLineProblem, ReadingRoundRow } from '@dunlinmoss/contract';
import { LOG_COLUMNS, logBatch, logDeletion, logKeeping, logQuery } from '@dunlinmoss/contract/api';
import { correctedKpa, wheelKey, wheelsOf } from '@dunlinmoss/core';
import type { Request } from 'express';
import type { Pool } from 'mysql2/promise';
import Papa from 'papaparse';

import { LineTooLong, linesIn } from '../archive/lines';
import { inTransaction } from '../db/pool';
import { logColumns, readLogLine, type LogColumns } from '../imports/logLine';
import { packReadings } from '../imports/logPart';
import { LOG_BEGIN, type LogAsked } from '../jobs/logJob';
import type { JobRunner } from '../jobs/runner';
import { Refusal } from '../problems';
import { everyRow } from '../repositories/everyRow';
import { addPart, endComing, type Job } from '../repositories/jobs';
import { keepLogFor, logMonthsOf } from '../repositories/logMonths';
import { changedBy, summarise } from '../repositories/logSummary';
import {
  addToLog,
  deleteFromLog,
  logOf,
  downsampledLogOf,
  numberedReading,
  type LogTuple,
  type NumberedReading,
} from '../repositories/monitorLog';
import type { Repositories } from '../repositories/repositories';
import { onlyMediaType } from '../sameSite';
import { idOf } from './idOf';
import { beginImport, importing } from './imports';
import { Cancelled, ndjsonWriter } from './ndjsonWriter';
import { Routes } from './declared';

/** How many refused lines are shown; all of them are counted. */
const LINES_SHOWN = 20;
/** A log of this size is about 30 million readings. */
const MOST_BYTES = 2_000_000_000;
const LONGEST_LINE = 100_000;
/** So many are kept as one part of an import, and a few more, and taken in in one transaction. */
const READINGS_A_PART = 20_000;

/** `POST /import/log`: long, so it reads its own body as it comes. Stands before whatever reads bodies whole. */
export function logImportRoute(pool: Pool, repositories: Repositories, runner: JobRunner): Routes {
  const router = new Routes();
  router.post('/import/log/:id', 'lead', onlyMediaType('text/csv'), async (request, response) => {
    const { id: rigId, wheels } = await ownRig(request, repositories);
    const asked: LogAsked = { rigId };
    const begun = await beginImport(pool, request, 'log', asked, { line: 0, head: null } satisfies ComingLog);
    const tell = ndjsonWriter<LogEvent>(response);
    const ofBytes = Number(request.headers['content-length']) || null;
    await importing(
      pool,
      runner,
      { request, response, tell: tell as (event: unknown) => void, job: begun },
      async () => {
        const reading = readLog(request, ofBytes === null ? null : begun.bytes + ofBytes, wheels, begun, tell);
        let job = begun;
        // One batch is kept while the next is read.
        let keeping: Promise<Job> = Promise.resolve(job);
        for await (const { readings, bytes, mark } of reading.batches) {
          job = await keeping;
          keeping = addPart(pool, job, packReadings(readings), bytes, mark);
          // Told where it is waited for; the reading may end in between.
          keeping.catch(() => undefined);
          if (response.destroyed) throw new Cancelled();
        }
        job = await keeping;
        const problem = reading.problem() ?? (job.parts === 0 ? { problem: { code: 'noLines' as const } } : undefined);
        await endComing(
          pool,
          job,
          problem
            ? { state: 'refused', mark: null, told: problem }
            : { state: 'working', mark: LOG_BEGIN, told: { taken: 0, of: job.parts } },
        );
      },
    );
  });
  return router;
}

/** Where the reading of a log stands, between the parts of it that have come. */
interface ComingLog {
  /** Lines so far. */
  readonly line: number;
  /** The cells of its first line; null before that has come. */
  readonly head: readonly string[] | null;
}

interface Batch {
  readonly readings: NumberedReading[];
  /** How far into the table it reaches. */
  readonly bytes: number;
  readonly mark: ComingLog;
}

/** The lines of a log in batches, as the body comes in, never more of it in memory than one batch. */
function readLog(
  request: Request,
  ofBytes: number | null,
  wheels: ReadonlySet<string>,
  job: Job,
  tell: (event: LogEvent) => void,
) {
  let refused = 0;
  const shown: { line: number; problem: LogLineProblem; text: string }[] = [];
  let headerUnread = false;
  let tooLarge = false;

  async function* batches(): AsyncGenerator<Batch> {
    let { line, head } = job.mark as ComingLog;
    let columns: LogColumns | null = head && logColumns(head);
    let bytes = job.bytes;
    let readings: NumberedReading[] = [];
    const takeLine = (text: string): void => {
      line += 1;
      if (text.trim() === '') return;
      // Most lines have nothing to unquote.
      const cells = text.includes('"') ? (Papa.parse<string[]>(text).data[0] ?? []) : text.split(',');
      if (!columns) {
        head = cells;
        columns = logColumns(cells);
        headerUnread = columns === null;
        return;
      }
      const read = readLogLine(cells, columns, wheels);
      if (read === null) return;
      if (typeof read !== 'string') {
        readings.push(numberedReading(read));
        return;
      }
      refused += 1;
      if (shown.length < LINES_SHOWN) shown.push({ line, problem: read, text: text.slice(0, 120) });
    };
    const batch = (): Batch => ({ readings, bytes, mark: { line, head } });
    try {
      for await (const { lines, bytes: read } of linesIn(Readable.from(request), LONGEST_LINE)) {
        bytes = job.bytes + read;
        tooLarge = bytes > MOST_BYTES;
        if (tooLarge) return;
        for (const each of lines) {
          takeLine(each);
          if (headerUnread) return;
        }
        if (readings.length >= READINGS_A_PART) {
          // With lines refused nothing will be kept: the rest is only looked at.
          if (refused === 0) yield batch();
          readings = [];
          tell({ progress: line, bytes, ofBytes });
        }
      }
    } catch (error) {
      if (!(error instanceof LineTooLong)) throw error;
      tooLarge = true;
      return;
    }
    if (readings.length > 0 && refused === 0) yield batch();
    tell({ progress: line, bytes, ofBytes });
  }

  return {
    batches: batches(),
    problem: (): Extract<LogEvent, { problem: unknown }> | undefined => {
      if (tooLarge) return { problem: { code: 'tooLarge' } };
      if (headerUnread) return { problem: { code: 'headerUnread' } };
      return refused === 0 ? undefined : { problem: { code: 'linesRefused', refused, lines: shown } };
    },
  };
}

interface OwnRig {
  readonly id: string;
  /** The wheels it has, each as `wheelKey` writes it. */
  readonly wheels: ReadonlySet<string>;
}

async function ownRig(request: Request, repositories: Repositories): Promise<OwnRig> {
  const rig = await repositories.rigs.get(request.ownerId, idOf(request.params.id));
  if (!rig) throw new Refusal('notFound');
  const wheels = rig.axles.flatMap(({ position, wheels: count }) =>
    wheelsOf(count).map((wheel) => wheelKey({ position, wheel })),
  );
  return { id: rig.id, wheels: new Set(wheels) };
}

/** `GET` and `PUT /log-keeping`, `GET`, `POST` and `DELETE /rigs/:id/log`, `GET /export/log/:id`. */
export function logRoutes(pool: Pool, repositories: Repositories): Routes {
  const router = new Routes();

  router.get('/log-keeping', 'viewer', async (request, response) => {
    response.json({ months: await logMonthsOf(pool, request.ownerId) });
  });

  router.put('/log-keeping', 'lead', async (request, response) => {
    const { months } = logKeeping.parse(request.body);
    await keepLogFor(pool, request.ownerId, months);
    response.json({ months });
  });

  router.get('/rigs/:id/log', 'viewer', async (request, response) => {
    const { id: rigId } = await ownRig(request, repositories);
    const log = await downsampledLogOf(pool, request.ownerId, rigId, logQuery.parse(request.query));
    response.json(log ?? { from: EPOCH, to: EPOCH, readings: 0, wheels: [] });
  });

  router.post('/rigs/:id/log', 'member', async (request, response) => {
    const { id: rigId, wheels } = await ownRig(request, repositories);
    const { rows } = logBatch.parse(request.body);
    const lacking = rows.flatMap((row, index) => (wheels.has(wheelKey(row)) ? [] : [index]));
    if (lacking.length > 0) {
      const message = 'expected a wheel that this rig has';
      const fields = lacking.map((index) => ({ path: `/rows/${index}/wheel`, code: 'noSuchWheel', message }));
      throw new Refusal('invalid', { fields });
    }
    const tuples = rows.map(({ position, wheel, readAt, pressureKpa, tempC }): LogTuple => [
      position,
      wheel,
      new Date(readAt),
      pressureKpa,
      tempC,
    ]);
    const added = await inTransaction(pool, async (connection) => {
      const fresh = await addToLog(connection, request.ownerId, rigId, 'monitor', tuples);
      if (fresh > 0) await summarise(connection, request.ownerId, rigId, changedBy(tuples));
      return fresh;
    });
    response.json({ added, alreadyThere: rows.length - added });
  });

  router.delete('/rigs/:id/log', 'lead', async (request, response) => {
    const { id: rigId } = await ownRig(request, repositories);
    const { from, to } = logDeletion.parse(request.query);
    response.json({ removed: await deleteFromLog(pool, request.ownerId, rigId, new Date(from), new Date(to)) });
  });

  router.get('/export/log/:id', 'viewer', async (request, response) => {
    const { id: rigId } = await ownRig(request, repositories);
    response.type('text/csv').attachment('log.csv');
    response.write(`${LOG_COLUMNS.join(',')}\r\n`);
    for await (const rows of logOf(pool, request.ownerId, rigId)) {
      const text = rows.map(({ position, wheel, read_at, pressure_kpa, temp_c, source }) =>
        [read_at.toISOString(), position, wheel, pressure_kpa, temp_c ?? '', source].join(','),
      );
      if (!response.write(`${text.join('\r\n')}\r\n`)) await new Promise((resolve) => response.once('drain', resolve));
      if (response.destroyed) return;
    }
    // What was read by hand stands in the table too, as it truly was.
    const byHand = [
      ...(await everyRow(repositories.airings, request.ownerId, { rigId })).flatMap(linesOfAiring),
      ...(await everyRow(repositories.readings, request.ownerId, { rigId })).flatMap(linesOfRound),
    ];
    if (byHand.length > 0) response.write(`${byHand.join('\r\n')}\r\n`);
    response.end();
  });

  return router;
}

const gaugeLine = (at: string, position: string, wheel: string, kpa: number, tempC: number | null): string =>
  [at, position, wheel, kpa, tempC ?? '', 'gauge'].join(',');

const linesOfAiring = ({ runs, gauge, tireTempC }: AiringRow): string[] =>
  runs.flatMap(({ position, wheel, startedAt, endedAt, beforeKpa, afterKpa }) => {
    const offset = gauge?.offsetKpa ?? 0;
    return [
      gaugeLine(startedAt, position, wheel, correctedKpa(beforeKpa, offset), tireTempC),
      ...(afterKpa === null || endedAt === null
        ? []
        : [gaugeLine(endedAt, position, wheel, correctedKpa(afterKpa, offset), tireTempC)]),
    ];
  });

const linesOfRound = ({ wheels, gauge, readAt, tireTempC }: ReadingRoundRow): string[] =>
  wheels.map(({ position, wheel, shownKpa }) =>
    gaugeLine(readAt, position, wheel, correctedKpa(shownKpa, gauge?.offsetKpa ?? 0), tireTempC),
  );

const EPOCH = new Date(0).toISOString();
