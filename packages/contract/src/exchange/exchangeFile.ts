import { z } from 'zod';

import { airing } from '../resources/airing';
import { airTool } from '../resources/airTool';
import { gauge } from '../resources/gauge';
import { outing } from '../resources/outing';
import { proofTest } from '../resources/proofTest';
import { readingRound } from '../resources/readingRound';
import { rig } from '../resources/rig';
import { fromVersion1, version1 } from './version1';

export const EXCHANGE_VERSION = 2;

/**
 * The file that carries everything a person keeps, or one rig, from one place to another. Rows keep their ids, so that
 * the same file read in twice changes nothing; revisions in it are ignored.
 */
export const exchangeFile = z.strictObject({
  format: z.literal('dunlinmoss'),
  version: z.literal(EXCHANGE_VERSION),
  rigs: z.array(rig).max(20_000),
  gauges: z.array(gauge).max(20_000),
  tools: z.array(airTool).max(20_000),
  outings: z.array(outing).max(20_000),
  tests: z.array(proofTest).max(20_000),
  airings: z.array(airing).max(20_000).default([]),
  readings: z.array(readingRound).max(20_000).default([]),
});

/** The kinds of rows in a file, in the order in which they point at one another. */
export const EXCHANGED = ['gauges', 'tools', 'rigs', 'outings', 'tests', 'airings', 'readings'] as const;

/** What an import does with one row of the file. Rows that are here already stay as they are. */
export const IMPORT_ACTIONS = ['add', 'same', 'keepOurs'] as const;

/** What an import did, or would do: row by row, and in sum. */
export const importOutcome = z.strictObject({
  applied: z.boolean(),
  added: z.int(),
  alreadyThere: z.int(),
  rows: z.array(
    z.strictObject({
      kind: z.enum(EXCHANGED),
      index: z.int(),
      name: z.string(),
      action: z.enum(IMPORT_ACTIONS),
    }),
  ),
});

export type ExchangeFile = z.infer<typeof exchangeFile>;
export type Exchanged = (typeof EXCHANGED)[number];
export type ImportOutcome = z.infer<typeof importOutcome>;

const hasVersion1 = (json: unknown): boolean =>
  typeof json === 'object' && json !== null && 'version' in json && json.version === 1;

/** Reads such a file of any version there has been. Throws the ZodError of what it refuses. */
export const readExchange = (json: unknown): ExchangeFile =>
  hasVersion1(json) ? exchangeFile.parse(fromVersion1(version1.parse(json))) : exchangeFile.parse(json);
