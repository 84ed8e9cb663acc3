import { Readable } from 'node:stream';

import type { AiringRow, LogEvent, LogLineProblem, ReadingRoundRow } from '@dunlinmoss/contract';
import { LOG_COLUMNS, logBatch, logDeletion, logKeeping, logQuery, rowId } from '@dunlinmoss/contract/api';
import { correctedKpa, wheelKey, wheelsOf } from '@dunlinmoss/core';
import { Router, type Request } from 'express';
import type { Pool } from 'mysql2/promise';
import Papa from 'papaparse';
import { z } from 'zod';

import { inTransaction, isPassing } from '../db/pool';
import { logColumns, readLogLine, type LogColumns } from '../imports/logLine';
import { Refusal } from '../problems';
import { everyRow } from '../repositories/everyRow';
import { keepLogFor, logMonthsOf } from '../repositories/logMonths';
import { changedBy, summarise, type Changed } from '../repositories/logSummary';
import {
  addToLog,
  deleteFromLog,
  LOG_ROWS_AT_ONCE,
  logOf,
  downsampledLogOf,
  type LogTuple,
} from '../repositories/monitorLog';
import type { Repositories } from '../repositories/repositories';
import { onlyMediaType } from '../sameSite';
import { Cancelled, ndjsonWriter } from './ndjsonWriter';

const rigParameter = z.object({ id: rowId });
/** How many refused lines are shown; all of them are counted. */
const LINES_SHOWN = 20;
/** A log of this size is about 30 million readings. */
const MOST_BYTES = 2_000_000_000;

type Told = Extract<LogEvent, { done: unknown }> | Extract<LogEvent, { problem: unknown }>;

/** `POST /import/log`: long, so it reads its own body as it comes. Stands before whatever reads bodies whole. */
export function logImportRoute(pool: Pool, repositories: Repositories): Router {
  const router = Router();
  router.post('/import/log/:id', onlyMediaType('text/csv'), async (request, response) => {
    const { id: rigId, wheels } = await ownRig(request, repositories);
    const tell = ndjsonWriter<LogEvent>(response);
    const ofBytes = Number(request.headers['content-length']) || null;
    try {
      tell(
        await inTransaction(pool, async (connection): Promise<Told> => {
          const reading = readLog(request, ofBytes, wheels, tell);
          const changed = new Map<string, Changed>();
          let added = 0;
          let read = 0;
          let [from, to] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
          // One batch is written while the next is read.
          let writing: Promise<number> = Promise.resolve(0);
          for await (const batch of reading.batches) {
            added += await writing;
            writing = addToLog(connection, request.ownerId, rigId, 'file', batch);
            // Told where it is waited for; the reading may end in between.
            writing.catch(() => undefined);
            read += batch.length;
            for (const [position, wheel, readAt] of batch) {
              const at = readAt.getTime();
              if (at < from) from = at;
              if (at > to) to = at;
              const key = `${position} ${wheel}`;
              const own = changed.get(key);
              if (!own) changed.set(key, { position, wheel, from: readAt, to: readAt });
              else if (readAt < own.from) changed.set(key, { ...own, from: readAt });
              else if (readAt > own.to) changed.set(key, { ...own, to: readAt });
            }
            if (response.destroyed) throw new Cancelled();
          }
          added += await writing;
          const problem = reading.problem();
          // Thrown, so that nothing of it stays.
          if (problem) throw new LogRefused(problem);
          if (read === 0) throw new LogRefused({ problem: { code: 'noLines' } });
          await summarise(connection, request.ownerId, rigId, [...changed.values()]);
          if (response.destroyed) throw new Cancelled();
          return {
            done: {
              added,
              alreadyThere: read - added,
              from: new Date(from).toISOString(),
              to: new Date(to).toISOString(),
            },
          };
        }),
      );
    } catch (error) {
      if (error instanceof Cancelled) return;
      if (error instanceof LogRefused) tell(error.told);
      else {
        if (!isPassing(error)) request.log.error({ err: error }, 'import of a log');
        tell({ problem: { code: isPassing(error) ? 'databaseAway' : 'internal' } });
      }
    }
    response.end();
  });
  return router;
}

class LogRefused extends Error {
  constructor(readonly told: Extract<LogEvent, { problem: unknown }>) {
    super('refused');
  }
}

/** The lines of a log in batches, as the body comes in, never more of it in memory than one batch. */
function readLog(
  request: Request,
  ofBytes: number | null,
  wheels: ReadonlySet<string>,
  tell: (event: LogEvent) => void,
) {
  let refused = 0;
  const shown: { line: number; problem: LogLineProblem; text: string }[] = [];
  let headerUnread = false;

  async function* batches(): AsyncGenerator<LogTuple[]> {
    let columns: LogColumns | null = null;
    let line = 0;
    let bytes = 0;
    let batch: LogTuple[] = [];
    let rest = '';
    const takeLine = (text: string): void => {
      line += 1;
      if (text.trim() === '') return;
      // Most lines have nothing to unquote.
      const cells = text.includes('"') ? (Papa.parse<string[]>(text).data[0] ?? []) : text.split(',');
      if (!columns) {
        columns = logColumns(cells);
        headerUnread = columns === null;
        return;
      }
      const read = readLogLine(cells, columns, wheels);
      if (read === null) return;
      if (typeof read !== 'string') {
        batch.push(read);
        return;
      }
      refused += 1;
      if (shown.length < LINES_SHOWN) shown.push({ line, problem: read, text: text.slice(0, 120) });
    };
    const decoder = new TextDecoder();
    for await (const chunk of Readable.from(request) as AsyncIterable<Buffer>) {
      bytes += chunk.length;
      if (bytes > MOST_BYTES) throw new Refusal('bodyTooLarge');
      const lines = (rest + decoder.decode(chunk, { stream: true })).split(/\r?\n/);
      rest = lines.pop()!;
      for (const each of lines) {
        takeLine(each);
        if (headerUnread) return;
        if (batch.length === LOG_ROWS_AT_ONCE) {
          // With lines refused nothing will be kept: the rest is only looked at.
          if (refused === 0) yield batch;
          batch = [];
          tell({ progress: line, bytes, ofBytes });
        }
      }
    }
    takeLine(rest);
    if (batch.length > 0 && refused === 0) yield batch;
    tell({ progress: line, bytes, ofBytes });
  }

  return {
    batches: batches(),
    problem: (): Extract<LogEvent, { problem: unknown }> | undefined => {
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
  const parsed = rigParameter.safeParse(request.params);
  const rig = parsed.success ? await repositories.rigs.get(request.ownerId, parsed.data.id) : null;
  if (!rig) throw new Refusal('notFound');
  const wheels = rig.axles.flatMap(({ position, wheels: count }) =>
    wheelsOf(count).map((wheel) => wheelKey({ position, wheel })),
  );
  return { id: rig.id, wheels: new Set(wheels) };
}

/** `GET` and `PUT /log-keeping`, `GET`, `POST` and `DELETE /rigs/:id/log`, `GET /export/log/:id`. */
export function logRoutes(pool: Pool, repositories: Repositories): Router {
  const router = Router();

  router.get('/log-keeping', async (request, response) => {
    response.json({ months: await logMonthsOf(pool, request.ownerId) });
  });

  router.put('/log-keeping', async (request, response) => {
    const { months } = logKeeping.parse(request.body);
    await keepLogFor(pool, request.ownerId, months);
    response.json({ months });
  });

  router.get('/rigs/:id/log', async (request, response) => {
    const { id: rigId } = await ownRig(request, repositories);
    const log = await downsampledLogOf(pool, request.ownerId, rigId, logQuery.parse(request.query));
    response.json(log ?? { from: EPOCH, to: EPOCH, readings: 0, wheels: [] });
  });

  router.post('/rigs/:id/log', async (request, response) => {
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

  router.delete('/rigs/:id/log', async (request, response) => {
    const { id: rigId } = await ownRig(request, repositories);
    const { from, to } = logDeletion.parse(request.query);
    response.json({ removed: await deleteFromLog(pool, request.ownerId, rigId, new Date(from), new Date(to)) });
  });

  router.get('/export/log/:id', async (request, response) => {
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
