import { z } from 'zod';

import { id } from '../quantities';
import { airing, airingRow } from './airing';
import { airTool, airToolRow } from './airTool';
import { comparison, comparisonRow } from './comparison';
import { gauge, gaugeRow } from './gauge';
import { KINDS } from './kinds';
import { outing, outingRow } from './outing';
import { proofTest, proofTestRow } from './proofTest';
import { readingRound, readingRoundRow } from './readingRound';
import { rig, rigRow } from './rig';
import { route, routeRow } from './route';
import { pageOf, pageQuery } from './row';

/** A comma-separated list of ids, as a query gives it. */
const ids = z
  .string()
  .max(2000)
  .transform((text) => text.split(','))
  .pipe(z.array(id).min(1).max(50));

/** A kind of row: everything that differs from kind to kind, and nothing of it anywhere else. */
interface Kind<Body extends z.ZodType, Row extends z.ZodType, Query extends z.ZodType> {
  /** Under `/api/v1/<path>`. */
  readonly path: string;
  /** As a person saves it, and as the server gives it back. */
  readonly body: Body;
  readonly row: Row;
  /** What its list can be asked for. */
  readonly query: Query;
  /** Its list is in the order of this field, then of the id. */
  readonly order: { readonly by: keyof z.infer<Body> & string; readonly newestFirst: boolean };
  /** Fields that only the server fills, each with what stands there until its first answer; `now` is an ISO time. */
  readonly serverOnly: {
    readonly [Field in Exclude<keyof z.infer<Row>, keyof z.infer<Body>>]: (now: string) => z.infer<Row>[Field];
  };
  /** Exchange files, and archives, of our present versions that are older than this kind lack its list. */
  readonly missingInOlder: { readonly files: boolean; readonly archives: boolean };
}

const kind = <Body extends z.ZodType, Row extends z.ZodType, Query extends z.ZodType>(
  spec: Kind<Body, Row, Query>,
): Kind<Body, Row, Query> & { readonly page: ReturnType<typeof pageOf<Row>> } => ({ ...spec, page: pageOf(spec.row) });

const ofRig = pageQuery.extend({ rigId: id.optional(), outingIds: ids.optional() });

/**
 * Every kind of row with its schemas. Routes, documentation, exchange files, archives and the client's hooks follow from
 * this table.
 */
export const RESOURCES = {
  gauges: kind({ ...KINDS.gauges, body: gauge, row: gaugeRow, query: pageQuery }),
  tools: kind({ ...KINDS.tools, body: airTool, row: airToolRow, query: pageQuery }),
  rigs: kind({
    ...KINDS.rigs,
    body: rig,
    row: rigRow,
    query: pageQuery.extend({ search: z.string().trim().max(60).optional() }),
  }),
  outings: kind({ ...KINDS.outings, body: outing, row: outingRow, query: pageQuery.extend({ rigId: id.optional() }) }),
  tests: kind({ ...KINDS.tests, body: proofTest, row: proofTestRow, query: ofRig }),
  airings: kind({ ...KINDS.airings, body: airing, row: airingRow, query: ofRig.extend({ toolId: id.optional() }) }),
  readings: kind({ ...KINDS.readings, body: readingRound, row: readingRoundRow, query: ofRig }),
  comparisons: kind({ ...KINDS.comparisons, body: comparison, row: comparisonRow, query: pageQuery }),
  routes: kind({ ...KINDS.routes, body: route, row: routeRow, query: pageQuery.extend({ rigId: id.optional() }) }),
} as const satisfies Record<keyof typeof KINDS, unknown>;

export type ResourceName = keyof typeof RESOURCES;
export type BodyOf<Name extends ResourceName> = z.infer<(typeof RESOURCES)[Name]['body']>;
export type RowOf<Name extends ResourceName> = z.infer<(typeof RESOURCES)[Name]['row']>;
export type QueryOf<Name extends ResourceName> = z.infer<(typeof RESOURCES)[Name]['query']>;
