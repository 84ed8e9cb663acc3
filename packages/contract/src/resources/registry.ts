import { z } from 'zod';

import { id } from '../quantities';
import { airing, airingRow } from './airing';
import { airTool, airToolRow } from './airTool';
import { gauge, gaugeRow } from './gauge';
import { outing, outingRow } from './outing';
import { proofTest, proofTestRow } from './proofTest';
import { readingRound, readingRoundRow } from './readingRound';
import { rig, rigRow } from './rig';
import { pageOf, pageQuery } from './row';

/** A comma-separated list of ids, as a query gives it. */
const ids = z
  .string()
  .max(2000)
  .transform((text) => text.split(','))
  .pipe(z.array(id).min(1).max(50));

/**
 * Every kind of row that can be read and saved under `/api/v1/<path>`, with what its list can be asked for.
 * Routes, documentation and the client's hooks follow from this table.
 */
export const RESOURCES = {
  rigs: {
    path: 'rigs',
    body: rig,
    row: rigRow,
    page: pageOf(rigRow),
    query: pageQuery.extend({ search: z.string().trim().max(60).optional() }),
  },
  gauges: { path: 'gauges', body: gauge, row: gaugeRow, page: pageOf(gaugeRow), query: pageQuery },
  tools: { path: 'tools', body: airTool, row: airToolRow, page: pageOf(airToolRow), query: pageQuery },
  outings: { path: 'outings', body: outing, row: outingRow, page: pageOf(outingRow), query: pageQuery },
  tests: {
    path: 'tests',
    body: proofTest,
    row: proofTestRow,
    page: pageOf(proofTestRow),
    query: pageQuery.extend({ rigId: id.optional(), outingIds: ids.optional() }),
  },
  airings: {
    path: 'airings',
    body: airing,
    row: airingRow,
    page: pageOf(airingRow),
    query: pageQuery.extend({ rigId: id.optional(), outingIds: ids.optional(), toolId: id.optional() }),
  },
  readings: {
    path: 'readings',
    body: readingRound,
    row: readingRoundRow,
    page: pageOf(readingRoundRow),
    query: pageQuery.extend({ rigId: id.optional(), outingIds: ids.optional() }),
  },
} as const;

export type ResourceName = keyof typeof RESOURCES;
export type BodyOf<Name extends ResourceName> = z.infer<(typeof RESOURCES)[Name]['body']>;
export type RowOf<Name extends ResourceName> = z.infer<(typeof RESOURCES)[Name]['row']>;
export type QueryOf<Name extends ResourceName> = z.infer<(typeof RESOURCES)[Name]['query']>;
