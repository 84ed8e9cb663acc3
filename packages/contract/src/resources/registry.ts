import { z } from 'zod';

import { id } from '../quantities';
import { airing, airingRow } from './airing';
import { airTool, airToolRow } from './airTool';
import { comparison, comparisonRow } from './comparison';
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

const NEVER = { files: false, archives: false };
const byName = { by: 'name', newestFirst: false } as const;
const stampedAt = { createdAt: (now: string) => now, updatedAt: (now: string) => now };
const ofRig = pageQuery.extend({ rigId: id.optional(), outingIds: ids.optional() });

/**
 * Every kind of row that can be read and saved, in the order in which they point at one another. Routes, documentation,
 * exchange files, archives and the client's hooks follow from this table.
 */
export const RESOURCES = {
  gauges: kind({
    path: 'gauges',
    body: gauge,
    row: gaugeRow,
    query: pageQuery,
    order: byName,
    serverOnly: stampedAt,
    missingInOlder: NEVER,
  }),
  tools: kind({
    path: 'tools',
    body: airTool,
    row: airToolRow,
    query: pageQuery,
    order: byName,
    serverOnly: stampedAt,
    missingInOlder: NEVER,
  }),
  rigs: kind({
    path: 'rigs',
    body: rig,
    row: rigRow,
    query: pageQuery.extend({ search: z.string().trim().max(60).optional() }),
    order: byName,
    serverOnly: stampedAt,
    missingInOlder: NEVER,
  }),
  outings: kind({
    path: 'outings',
    body: outing,
    row: outingRow,
    query: pageQuery.extend({ rigId: id.optional() }),
    order: { by: 'startedAt', newestFirst: true },
    serverOnly: { ...stampedAt, rigName: () => '' },
    missingInOlder: NEVER,
  }),
  tests: kind({
    path: 'tests',
    body: proofTest,
    row: proofTestRow,
    query: ofRig,
    order: { by: 'performedAt', newestFirst: true },
    serverOnly: stampedAt,
    missingInOlder: NEVER,
  }),
  airings: kind({
    path: 'airings',
    body: airing,
    row: airingRow,
    query: ofRig.extend({ toolId: id.optional() }),
    order: { by: 'startedAt', newestFirst: true },
    serverOnly: stampedAt,
    missingInOlder: { files: true, archives: false },
  }),
  readings: kind({
    path: 'readings',
    body: readingRound,
    row: readingRoundRow,
    query: ofRig,
    order: { by: 'readAt', newestFirst: true },
    serverOnly: stampedAt,
    missingInOlder: { files: true, archives: false },
  }),
  comparisons: kind({
    path: 'comparisons',
    body: comparison,
    row: comparisonRow,
    query: pageQuery,
    order: { by: 'keptAt', newestFirst: true },
    serverOnly: stampedAt,
    missingInOlder: { files: true, archives: true },
  }),
} as const;

export type ResourceName = keyof typeof RESOURCES;
export type BodyOf<Name extends ResourceName> = z.infer<(typeof RESOURCES)[Name]['body']>;
export type RowOf<Name extends ResourceName> = z.infer<(typeof RESOURCES)[Name]['row']>;
export type QueryOf<Name extends ResourceName> = z.infer<(typeof RESOURCES)[Name]['query']>;

export const RESOURCE_NAMES = Object.keys(RESOURCES) as readonly ResourceName[];

/** The part of a row that a person saves: all but what only the server fills. */
export const bodyOf = <Name extends ResourceName>(name: Name, row: RowOf<Name>): BodyOf<Name> =>
  Object.fromEntries(
    Object.entries(row).filter(([field]) => !(field in RESOURCES[name].serverOnly)),
  ) as unknown as BodyOf<Name>;

/** What stands in the fields that only the server fills until its first answer. */
export const serverOnlyFields = (name: ResourceName, now: string): Readonly<Record<string, unknown>> =>
  Object.fromEntries(
    Object.entries(RESOURCES[name].serverOnly).map(([field, until]: [string, (now: string) => unknown]) => [
      field,
      until(now),
    ]),
  );
