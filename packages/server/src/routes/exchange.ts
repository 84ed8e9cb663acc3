import {
  bodyOf,
  EXCHANGE_VERSION,
  readExchange,
  RESOURCE_NAMES,
  type ExchangeFile,
  type ImportOutcome,
  type ResourceName,
  type RowOf,
} from '@dunlinmoss/contract';
import { importQuery, rowId } from '@dunlinmoss/contract/api';
import type { Pool } from 'mysql2/promise';
import { z } from 'zod';

import { inTransaction } from '../db/pool';
import { followJob } from '../jobs/follow';
import { addRows, outcomesOf, rowsBegin, type RowsAsked, type RowsEvent } from '../jobs/rowsJob';
import type { JobRunner } from '../jobs/runner';
import { byOf } from '../people/whose';
import { Refusal } from '../problems';
import { everyRow } from '../repositories/everyRow';
import { JobLost } from '../repositories/jobs';
import type { Repositories } from '../repositories/repositories';
import type { AddOutcome, Repository } from '../repositories/versioned';
import { beginWhole, keepWhole } from './imports';
import { Routes } from './declared';

const exportQuery = z.strictObject({ rig: rowId.optional() });
const rowsQuery = importQuery.pick({ as: true }).extend({ preview: z.stringbool().default(false) });

/** What an export of one rig carries: the rig alone. Of everything: every row of every kind. */
async function fileOf(repositories: Repositories, ownerId: string, rigId: string | undefined): Promise<unknown> {
  const lists: Partial<Record<ResourceName, readonly unknown[]>> = {};
  const rig = rigId === undefined ? undefined : await repositories.rigs.get(ownerId, rigId);
  if (rig === null) throw new Refusal('notFound');
  for (const kind of RESOURCE_NAMES) {
    const repository = repositories[kind] as unknown as Repository<never, RowOf<ResourceName>>;
    const ofOne = kind === 'rigs' && rig ? [rig] : [];
    const rows = rigId === undefined ? await everyRow(repository, ownerId, {}) : ofOne;
    lists[kind] = rows.map((row) => bodyOf(kind, row));
  }
  return { format: 'dunlinmoss', version: EXCHANGE_VERSION, ...lists };
}

/** What a row of the file is called, for people. */
const nameOf = (kind: ResourceName, row: ExchangeFile[ResourceName][number]): string => {
  if ('name' in row) return row.name;
  return 'title' in row ? row.title : kind;
};

/** Thrown to have a transaction taken back whose outcome was only asked for. */
class OnlyAsked extends Error {
  constructor(readonly outcomes: readonly AddOutcome[]) {
    super('only asked');
  }
}

/** What would become of each row of a file, in their order. Nothing stays written. */
async function outcomesAsked(
  pool: Pool,
  repositories: Repositories,
  ownerId: string,
  file: ExchangeFile,
): Promise<readonly AddOutcome[]> {
  return inTransaction(pool, async (connection): Promise<readonly AddOutcome[]> => {
    const outcomes: AddOutcome[] = [];
    for (const kind of RESOURCE_NAMES) {
      outcomes.push(...(await addRows(connection, repositories, ownerId, { kind, rows: file[kind] }, null)));
    }
    throw new OnlyAsked(outcomes);
  }).catch((error: unknown) => {
    if (error instanceof OnlyAsked) return error.outcomes;
    throw error;
  });
}

/** What became of each row, told with what it is. */
function outcomeOf(file: ExchangeFile, outcomes: readonly AddOutcome[], applied: boolean): ImportOutcome {
  const all = RESOURCE_NAMES.flatMap((kind) =>
    file[kind].map((row, index) => ({ kind, index, name: nameOf(kind, row) })),
  );
  const rows = all.map((row, index) => ({ ...row, action: outcomes[index]! }));
  const added = rows.filter(({ action }) => action === 'add').length;
  return { applied, added, alreadyThere: rows.length - added, rows };
}

/** `GET /export` and `POST /import`: everything kept, or one rig, as one file of the contract's own format. */
export function exchangeRoutes(pool: Pool, repositories: Repositories, runner: JobRunner): Routes {
  const router = new Routes();

  router.get('/export', 'viewer', async (request, response) => {
    const { rig } = exportQuery.parse(request.query);
    response.json(await fileOf(repositories, request.ownerId, rig));
  });

  router.post('/import', 'lead', async (request, response) => {
    const { preview, as } = rowsQuery.parse(request.query);
    const file = readExchange(request.body);
    const { ownerId } = request;
    if (preview) {
      response.json(outcomeOf(file, await outcomesAsked(pool, repositories, ownerId, file), false));
      return;
    }
    // As it came, so that the same file sent again is known again.
    const body = Buffer.from(JSON.stringify(request.body));
    const job = await beginWhole(pool, request, { as, kind: 'rows', asked: (of): RowsAsked => ({ of }), body });
    try {
      if (job.state === 'coming') await keepWhole(pool, job, body, rowsBegin(byOf(request)));
    } catch (error) {
      // The same, sent twice at once: the other one is further.
      throw error instanceof JobLost ? new Refusal('overloaded') : error;
    }
    runner.wake(job);
    let last: RowsEvent | undefined;
    const tell = (event: unknown): void => void (last = event as RowsEvent);
    await followJob(pool, ownerId, job.id, tell, () => response.destroyed);
    if (response.destroyed) return;
    if (!last || 'problem' in last) throw new Refusal(last?.problem.code ?? 'internal');
    response.json(outcomeOf(file, outcomesOf(last.did), true));
  });

  return router;
}
