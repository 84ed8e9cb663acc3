import {
  bodyOf,
  EXCHANGE_VERSION,
  readExchange,
  RESOURCE_NAMES,
  type BodyOf,
  type ExchangeFile,
  type ImportOutcome,
  type ResourceName,
  type RowOf,
} from '@dunlinmoss/contract';
import { rowId } from '@dunlinmoss/contract/api';
import { Router } from 'express';
import type { Pool } from 'mysql2/promise';
import { z } from 'zod';

import { inTransaction, type Connection } from '../db/pool';
import { Refusal } from '../problems';
import { everyRow } from '../repositories/everyRow';
import type { Repositories } from '../repositories/repositories';
import type { Repository } from '../repositories/versioned';

const exportQuery = z.strictObject({ rig: rowId.optional() });
const importQuery = z.strictObject({ preview: z.stringbool().default(false) });

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

/** Takes in a file inside a transaction, in the order in which rows point at one another. */
async function takeIn(
  connection: Connection,
  repositories: Repositories,
  ownerId: string,
  file: ExchangeFile,
): Promise<ImportOutcome['rows']> {
  const rows: ImportOutcome['rows'] = [];
  for (const kind of RESOURCE_NAMES) {
    const repository = repositories[kind] as unknown as Repository<BodyOf<ResourceName>, unknown>;
    const bodies = file[kind].map((row) => ({ ...row, revision: 0 }) as BodyOf<ResourceName>);
    const outcomes = await repository.addWithin(connection, ownerId, bodies);
    outcomes.forEach((action, index) => rows.push({ kind, index, name: nameOf(kind, file[kind][index]!), action }));
  }
  return rows;
}

/** Thrown to have a transaction taken back whose outcome was only asked for. */
class OnlyAsked extends Error {
  constructor(readonly rows: ImportOutcome['rows']) {
    super('only asked');
  }
}

/** `GET /export` and `POST /import`: everything kept, or one rig, as one file of the contract's own format. */
export function exchangeRoutes(pool: Pool, repositories: Repositories): Router {
  const router = Router();

  router.get('/export', async (request, response) => {
    const { rig } = exportQuery.parse(request.query);
    response.json(await fileOf(repositories, request.ownerId, rig));
  });

  router.post('/import', async (request, response) => {
    const { preview } = importQuery.parse(request.query);
    const file = readExchange(request.body);
    const rows = await inTransaction(pool, async (connection) => {
      const taken = await takeIn(connection, repositories, request.ownerId, file);
      if (preview) throw new OnlyAsked(taken);
      return taken;
    }).catch((error: unknown) => {
      if (error instanceof OnlyAsked) return error.rows;
      throw error;
    });
    const added = rows.filter(({ action }) => action === 'add').length;
    const outcome: ImportOutcome = { applied: !preview, added, alreadyThere: rows.length - added, rows };
    response.json(outcome);
  });

  return router;
}
