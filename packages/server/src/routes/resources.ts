import { RESOURCES, type ResourceName } from '@dunlinmoss/contract';
import { removeQuery } from '@dunlinmoss/contract/api';

import { byOf, leads } from '../people/whose';
import { Refusal } from '../problems';
import type { Repositories } from '../repositories/repositories';
import type { PageQuery, Repository, Stamped } from '../repositories/versioned';
import { idOf } from './idOf';
import { Routes } from './declared';

type AnyBody = { id: string; revision: number };

/** The routes of one kind of row. */
function resourceRouter(name: ResourceName, repository: Repository<AnyBody, AnyBody & Stamped, PageQuery>): Routes {
  const { body, query } = RESOURCES[name];
  const router = new Routes();

  router.get('/', 'viewer', async (request, response) => {
    response.json(await repository.list(request.ownerId, query.parse(request.query)));
  });

  router.get('/:id', 'viewer', async (request, response) => {
    const row = await repository.get(request.ownerId, idOf(request.params.id));
    if (!row) throw new Refusal('notFound');
    response.json(row);
  });

  router.put('/:id', 'member', async (request, response) => {
    const id = idOf(request.params.id);
    const saved = body.parse(request.body);
    if (saved.id !== id) {
      const field = { path: '/id', code: 'idMismatch', message: 'Expected the id of the address' };
      throw new Refusal('invalid', { fields: [field] });
    }
    const outcome = await repository.save(request.ownerId, saved, byOf(request));
    if (outcome.kind === 'stale') {
      const { present, archived } = outcome;
      throw new Refusal('staleRevision', { present, ...(archived && { presentArchived: true }) });
    }
    response.json(outcome.row);
  });

  router.delete('/:id', 'member', async (request, response) => {
    const { revision, forever } = removeQuery.parse(request.query);
    const id = idOf(request.params.id);
    if (forever && !leads(request)) throw new Refusal('notAllowed');
    const outcome = forever
      ? await repository.erase(request.ownerId, id, revision)
      : await repository.remove(request.ownerId, id, revision, byOf(request));
    if (outcome.kind === 'missing') throw new Refusal('notFound');
    if (outcome.kind === 'stale') throw new Refusal('staleRevision', { present: outcome.present });
    if (outcome.kind === 'notArchived') {
      const field = { path: '/forever', code: 'notArchived', message: 'Expected something that was archived before' };
      throw new Refusal('invalid', { fields: [field] });
    }
    response.status(204).end();
  });

  router.get('/:id/history', 'viewer', async (request, response) => {
    const id = idOf(request.params.id);
    const items = await repository.history(request.ownerId, id);
    if (items.length === 0 && !(await repository.get(request.ownerId, id))) throw new Refusal('notFound');
    response.json({ items });
  });

  router.post('/:id/restore', 'member', async (request, response) => {
    const row = await repository.restore(request.ownerId, idOf(request.params.id), byOf(request));
    if (!row) throw new Refusal('notFound');
    response.json(row);
  });

  return router;
}

/** Every kind of row of the contract, each under its own path. */
export function resourceRoutes(repositories: Repositories): Routes {
  const router = new Routes();
  for (const name of Object.keys(RESOURCES) as ResourceName[]) {
    // The table ties each name to its own body; the loop can't tell, so the types meet here.
    const repository = repositories[name] as unknown as Repository<AnyBody, AnyBody & Stamped, PageQuery>;
    router.mount(resourceRouter(name, repository), `/${RESOURCES[name].path}`);
  }
  return router;
}
