import { RESOURCES, type ResourceName } from '@dunlinmoss/contract';
import { rowId, removeQuery } from '@dunlinmoss/contract/api';
import { Router } from 'express';
import { z } from 'zod';

import { Refusal } from '../problems';
import type { Repositories } from '../repositories/repositories';
import type { PageQuery, Repository, Stamped } from '../repositories/versioned';

type AnyBody = { id: string; revision: number };

const idParameter = z.object({ id: rowId });

/** An id that can't be one is simply not there. */
function idOf(parameters: unknown): string {
  const result = idParameter.safeParse(parameters);
  if (!result.success) throw new Refusal('notFound');
  return result.data.id;
}

/** The routes of one kind of row. */
function resourceRouter(name: ResourceName, repository: Repository<AnyBody, AnyBody & Stamped, PageQuery>): Router {
  const { body, query } = RESOURCES[name];
  const router = Router();

  router.get('/', async (request, response) => {
    response.json(await repository.list(request.ownerId, query.parse(request.query)));
  });

  router.get('/:id', async (request, response) => {
    const row = await repository.get(request.ownerId, idOf(request.params));
    if (!row) throw new Refusal('notFound');
    response.json(row);
  });

  router.put('/:id', async (request, response) => {
    const id = idOf(request.params);
    const saved = body.parse(request.body);
    if (saved.id !== id) {
      const field = { path: '/id', code: 'idMismatch', message: 'Expected the id of the address' };
      throw new Refusal('invalid', { fields: [field] });
    }
    const outcome = await repository.save(request.ownerId, saved);
    if (outcome.kind === 'stale') throw new Refusal('staleRevision', { present: outcome.present });
    response.json(outcome.row);
  });

  router.delete('/:id', async (request, response) => {
    const { revision, forever } = removeQuery.parse(request.query);
    const outcome = await repository[forever ? 'erase' : 'remove'](request.ownerId, idOf(request.params), revision);
    if (outcome.kind === 'missing') throw new Refusal('notFound');
    if (outcome.kind === 'stale') throw new Refusal('staleRevision', { present: outcome.present });
    if (outcome.kind === 'notArchived') {
      const field = { path: '/forever', code: 'notArchived', message: 'Expected something that was archived before' };
      throw new Refusal('invalid', { fields: [field] });
    }
    response.status(204).end();
  });

  router.post('/:id/restore', async (request, response) => {
    const row = await repository.restore(request.ownerId, idOf(request.params));
    if (!row) throw new Refusal('notFound');
    response.json(row);
  });

  return router;
}

/** Every kind of row of the contract, each under its own path. */
export function resourceRoutes(repositories: Repositories): Router {
  const router = Router();
  for (const name of Object.keys(RESOURCES) as ResourceName[]) {
    // The table ties each name to its own body; the loop can't tell, so the types meet here.
    const repository = repositories[name] as unknown as Repository<AnyBody, AnyBody & Stamped, PageQuery>;
    router.use(`/${RESOURCES[name].path}`, resourceRouter(name, repository));
  }
  return router;
}
