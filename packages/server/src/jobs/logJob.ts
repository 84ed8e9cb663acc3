import type { LogEvent } from '@dunlinmoss/contract';

import { unpackReadings } from '../imports/logPart';
import { partOf } from '../repositories/jobs';
import { summarise, type Changed } from '../repositories/logSummary';
import { wheelOfLog } from '../repositories/logWheel';
import { addNumbered } from '../repositories/monitorLog';
import type { Work } from './runner';

/** What it was asked for. */
export interface LogAsked {
  readonly rigId: string;
}

/** A wheel's readings that were taken in lie between these two times, ms. */
export type Span = readonly [wheel: number, fromMs: number, toMs: number];

/** How far it has come: so many parts taken in, then so many pieces of its summary made anew. */
export interface LogMark {
  readonly part: number;
  readonly read: number;
  readonly added: number;
  readonly spans: readonly Span[];
  readonly summed: number;
}

export const LOG_BEGIN: LogMark = { part: 0, read: 0, added: 0, spans: [], summed: 0 };

/** The summary is made anew so much of a wheel's time at once, ms: others get in between. */
const PIECE_MS = 10 * 24 * 3_600_000;

/** Spans that take in some readings as well. */
export function widened(spans: readonly Span[], readings: ReturnType<typeof unpackReadings>): readonly Span[] {
  const byWheel = new Map(spans.map((span) => [span[0], span]));
  for (const [wheel, readAt] of readings) {
    const at = readAt.getTime();
    const own = byWheel.get(wheel);
    if (!own) byWheel.set(wheel, [wheel, at, at]);
    else if (at < own[1]) byWheel.set(wheel, [wheel, at, own[2]]);
    else if (at > own[2]) byWheel.set(wheel, [wheel, own[1], at]);
  }
  return [...byWheel.values()];
}

/** The pieces in which a summary is made anew. */
export const piecesOf = (spans: readonly Span[]): Changed[] =>
  spans.flatMap(([wheel, fromMs, toMs]) =>
    Array.from({ length: Math.floor((toMs - fromMs) / PIECE_MS) + 1 }, (_, index) => ({
      ...wheelOfLog(wheel),
      from: new Date(fromMs + index * PIECE_MS),
      to: new Date(Math.min(toMs, fromMs + (index + 1) * PIECE_MS)),
    })),
  );

const iso = (ms: number): string => new Date(ms).toISOString();

/** Takes a log in that was read and found good: a batch of readings a step, then its summary piece by piece. */
export const logWork: Work = async (job, { pool, step }) => {
  const { rigId } = job.asked as LogAsked;
  let mark = job.mark as LogMark;
  const of = job.parts;
  const partAt = (part: number): Promise<Buffer | null> =>
    part < of ? partOf(pool, job, part) : Promise.resolve(null);
  let coming = partAt(mark.part);
  for (let part = await coming; part !== null; part = await coming) {
    const readings = unpackReadings(part);
    // The next one is fetched while this one is written.
    coming = partAt(mark.part + 1);
    coming.catch(() => undefined);
    let next = mark;
    await step(async (connection) => {
      const added = await addNumbered(connection, job.ownerId, rigId, 'file', readings);
      next = {
        ...mark,
        part: mark.part + 1,
        read: mark.read + readings.length,
        added: mark.added + added,
        spans: widened(mark.spans, readings),
      };
      return { mark: next, told: { taken: next.part, of } satisfies LogEvent };
    });
    mark = next;
  }
  const pieces = piecesOf(mark.spans);
  const done: LogEvent = {
    done: {
      added: mark.added,
      alreadyThere: mark.read - mark.added,
      from: iso(Math.min(...mark.spans.map(([, fromMs]) => fromMs))),
      to: iso(Math.max(...mark.spans.map(([, , toMs]) => toMs))),
    },
  };
  while (mark.summed < pieces.length) {
    const piece = pieces[mark.summed]!;
    const next = { ...mark, summed: mark.summed + 1 };
    const isLast = next.summed === pieces.length;
    await step(async (connection) => {
      await summarise(connection, job.ownerId, rigId, [piece]);
      return { mark: next, told: isLast ? done : { taken: of, of }, state: isLast ? 'done' : 'working' };
    });
    mark = next;
  }
};
