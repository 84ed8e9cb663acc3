import { z } from 'zod';

import { pressureKpa, tempC, timestamp } from './quantities';
import { wheelRef } from './resources/wheelRef';

/*
 * The log of a rig: what monitors said, or what a file of theirs says. One reading of one wheel at one time is one row,
 * however often it arrives.
 */

/** No monitor spoke before, and none speaks after. */
export const LOG_FROM = '1990-01-01T00:00:00.000Z';
export const LOG_TO = '2100-01-01T00:00:00.000Z';

export const logTime = timestamp.refine((at) => at >= LOG_FROM && at <= LOG_TO, {
  message: 'expected a time from 1990 to 2100',
  params: { code: 'logTime' },
});

export const logRow = z.strictObject({
  ...wheelRef,
  readAt: logTime,
  pressureKpa,
  tempC: tempC.nullable(),
});

/** Readings as a phone hands them over. */
export const logBatch = z.strictObject({ rows: z.array(logRow).min(1).max(500) });
export const logAdded = z.strictObject({ added: z.int(), alreadyThere: z.int() });

export const logQuery = z.strictObject({
  from: timestamp.optional(),
  to: timestamp.optional(),
  /** Into how many stretches of time it is thinned. */
  stretches: z.coerce.number().int().min(1).max(2_000).default(400),
});

/** The readings to delete. */
export const logDeletion = z.strictObject({ from: timestamp, to: timestamp });
export const logDeleted = z.strictObject({ removed: z.int() });

/** For how many months a space keeps each reading, whole months; for good where null. What they add up to is always kept. */
export const LOG_MONTHS = { least: 1, most: 120 };
export const logKeeping = z.strictObject({ months: z.int().min(LOG_MONTHS.least).max(LOG_MONTHS.most).nullable() });
export type LogKeeping = z.infer<typeof logKeeping>;

/** A log drawn small: each stretch with its least and most, so that no peak is lost. */
export const downsampledLog = z.strictObject({
  from: timestamp,
  to: timestamp,
  readings: z.int(),
  wheels: z.array(
    z.strictObject({
      ...wheelRef,
      stretches: z.array(
        z.strictObject({ at: timestamp, leastKpa: z.number(), mostKpa: z.number(), tempC: z.number().nullable() }),
      ),
    }),
  ),
});

/** The columns of the log as a table. */
export const LOG_COLUMNS = ['time', 'axle', 'wheel', 'pressure_kpa', 'temp_c', 'from'] as const;

export const LOG_LINE_PROBLEMS = ['time', 'axle', 'wheel', 'noSuchWheel', 'pressure', 'temp', 'columns'] as const;

/** What an import of a log says as it goes on, one value a line. */
export const logEvent = z.union([
  z.strictObject({ progress: z.int(), bytes: z.int(), ofBytes: z.int().nullable() }),
  /** All of it has come and is good: so many parts of it are taken in. From here on it goes on by itself. */
  z.strictObject({ taken: z.int(), of: z.int() }),
  z.strictObject({
    done: z.strictObject({
      added: z.int(),
      alreadyThere: z.int(),
      from: timestamp.nullable(),
      to: timestamp.nullable(),
    }),
  }),
  z.strictObject({
    problem: z.strictObject({
      code: z.enum([
        'linesRefused',
        'noLines',
        'headerUnread',
        'tooLarge',
        'databaseAway',
        'serverStopped',
        'diskFull',
        'internal',
      ]),
      /** How many lines, and the first of them. */
      refused: z.int().optional(),
      lines: z
        .array(z.strictObject({ line: z.int(), problem: z.enum(LOG_LINE_PROBLEMS), text: z.string() }))
        .optional(),
    }),
  }),
]);

export type LogRow = z.infer<typeof logRow>;
export type LogEvent = z.infer<typeof logEvent>;
export type DownsampledLog = z.infer<typeof downsampledLog>;
export type LogLineProblem = (typeof LOG_LINE_PROBLEMS)[number];
