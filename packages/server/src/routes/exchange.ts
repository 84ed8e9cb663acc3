import { exchangeFile, type ExchangeFile, type ImportOutcome } from '@dunlinmoss/contract';
import { Router } from 'express';
import type { Pool } from 'mysql2/promise';

import { inTransaction } from '../db/pool';
import type { Repositories } from '../repositories/repositories';
import type { PageQuery, Repository } from '../repositories/versioned';

/** Every row of one kind, page by page. */
async function everyRow<Row>(repository: Repository<never, Row>, ownerId: string): Promise<Row[]> {
  const rows: Row[] = [];
  let after: string | undefined;
  do {
    const page = await repository.list(ownerId, { limit: 100, after } as PageQuery);
    rows.push(...page.items);
    after = page.next ?? undefined;
  } while (after !== undefined);
  return rows;
}

/** `GET /export` and `POST /import`: everything kept, as one file of the contract's own format. */
export function exchangeRoutes(pool: Pool, repositories: Repositories): Router {
  const router = Router();

  router.get('/export', async (request, response) => {
    const { ownerId } = request;
    const strip = ({ createdAt: _, updatedAt: __, ...row }: { createdAt: string; updatedAt: string }) => row;
    const outings = await everyRow(repositories.outings, ownerId);
    response.json({
      format: 'dunlinmoss',
      version: 1,
      rigs: (await everyRow(repositories.rigs, ownerId)).map(strip),
      outings: outings.map(({ rigName: _, ...row }) => strip(row)),
      tests: (await everyRow(repositories.tests, ownerId)).map(strip),
    });
  });

  router.post('/import', async (request, response) => {
    const file: ExchangeFile = exchangeFile.parse(request.body);
    const outcome = await inTransaction(pool, async (connection): Promise<ImportOutcome> => {
      let added = 0;
      let alreadyThere = 0;
      // In the order in which rows point at one another.
      for (const name of ['rigs', 'outings', 'tests'] as const) {
        for (const row of file[name]) {
          const body = { ...row, revision: 0 };
          const saved = await repositories[name].saveWithin(connection, request.ownerId, body as never);
          if (saved.kind === 'saved' && saved.isNew) added += 1;
          else alreadyThere += 1;
        }
      }
      return { added, alreadyThere };
    });
    response.json(outcome);
  });

  return router;
}
