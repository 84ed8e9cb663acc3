import { createHash } from 'node:crypto';

import { rigLoads, type LoadsEvent, type RigRow } from '@dunlinmoss/contract';
import { LOADS_COLUMNS, rowId } from '@dunlinmoss/contract/api';
import express, { Router } from 'express';
import type { Pool } from 'mysql2/promise';
import Papa from 'papaparse';
import { z } from 'zod';

import { inTransaction, isPassing } from '../db/pool';
import { planLoads, readTable, type LoadsPlan } from '../imports/loadsPlan';
import { Refusal } from '../problems';
import { insertCases, touchRigs, upsertWeights, weighedRigs } from '../repositories/loadWeights';
import type { Repositories } from '../repositories/repositories';
import { onlyMediaType } from '../sameSite';
import { Cancelled, ndjsonWriter } from './ndjsonWriter';

/** A table of 100,000 lines is about 6 MB. */
const TABLE_LIMIT = '16mb';
const OUTCOMES_AT_ONCE = 2_000;

const importQuery = z.strictObject({ apply: z.string().length(64).optional() });
const exportQuery = z.strictObject({ rig: rowId.optional() });

/** What would be done, so that just that is done. */
function digestOf({ outcomes }: LoadsPlan): string {
  const hash = createHash('sha256');
  for (const { line, action, loadKg, beforeKg, problem } of outcomes) {
    hash.update(`${line} ${action} ${loadKg} ${beforeKg ?? ''} ${problem ?? ''}\n`);
  }
  return hash.digest('hex');
}

/** `POST /import/loads` and `GET /export/loads.csv`: weighed loads as a table. */
export function loadsExchangeRoutes(pool: Pool, repositories: Repositories): Router {
  const router = Router();

  router.post(
    '/import/loads',
    onlyMediaType('text/csv'),
    express.text({ limit: TABLE_LIMIT, type: 'text/csv' }),
    async (request, response) => {
      const { apply } = importQuery.parse(request.query);
      const table = readTable(typeof request.body === 'string' ? request.body : '');
      const tell = ndjsonWriter<LoadsEvent>(response);
      if ('code' in table) {
        tell({ problem: { ...table } });
        response.end();
        return;
      }
      const total = table.lines.length;
      tell({ progress: 0, total });
      try {
        // The last line is written only after the commit.
        const last = await inTransaction(
          pool,
          async (connection): Promise<LoadsEvent> => {
            const plan = planLoads(table, await weighedRigs(connection, request.ownerId));
            const digest = digestOf(plan);
            const sum = { counts: plan.counts, newCases: plan.newCases.length, rigs: plan.rigIds.length, digest };
            if (apply === undefined) {
              for (let from = 0; from < plan.outcomes.length; from += OUTCOMES_AT_ONCE) {
                tell({ outcomes: plan.outcomes.slice(from, from + OUTCOMES_AT_ONCE) });
                tell({ progress: Math.min(from + OUTCOMES_AT_ONCE, total), total });
                // Lets it be noticed between the batches that nobody listens any more.
                await new Promise(setImmediate);
              }
              return { done: { applied: false, ...sum } };
            }
            if (plan.counts.refuse > 0) return { problem: { code: 'linesRefused', refused: plan.counts.refuse } };
            if (apply !== digest) return { problem: { code: 'changedSince' } };
            const { ownerId } = request;
            await insertCases(
              connection,
              plan.newCases.map(({ rigId, id, ordinal, name }) => [ownerId, rigId, id, ordinal, name] as const),
            );
            await upsertWeights(connection, ownerId, plan.weights, (done) => tell({ progress: done, total }));
            await touchRigs(connection, ownerId, plan.rigIds);
            if (response.destroyed) throw new Cancelled();
            return { done: { applied: true, ...sum } };
          },
          { snapshot: true },
        );
        tell(last);
      } catch (error) {
        if (error instanceof Cancelled) return;
        // The answer has begun: the error goes out as its last line, and nothing was kept.
        if (!isPassing(error)) request.log.error({ err: error }, 'import of loads');
        tell({ problem: { code: isPassing(error) ? 'databaseAway' : 'internal' } });
      }
      response.end();
    },
  );

  router.get('/export/loads.csv', async (request, response) => {
    const { rig: only } = exportQuery.parse(request.query);
    const one = only === undefined ? undefined : await repositories.rigs.get(request.ownerId, only);
    if (one === null) throw new Refusal('notFound');
    response.type('text/csv').attachment('loads.csv');
    response.write(`${Papa.unparse([[...LOADS_COLUMNS]])}\r\n`);
    let after: string | undefined;
    do {
      const page = one
        ? { items: [one], next: null }
        : await repositories.rigs.list(request.ownerId, { limit: 100, after, archived: false });
      const lines = page.items.flatMap(loadLines);
      if (lines.length > 0) response.write(`${Papa.unparse(lines)}\r\n`);
      after = page.next ?? undefined;
    } while (after !== undefined);
    response.end();
  });

  return router;
}

/** The lines of one rig: what was weighed, and what is worked out for cases that were not. */
function loadLines(rig: RigRow): (string | number)[][] {
  return rig.loadCases.flatMap((loadCase) => {
    if (loadCase.method === 'scales') {
      return loadCase.weighed.map(({ position, part, loadKg }) => [
        rig.name,
        loadCase.name,
        position,
        part,
        loadKg,
        'weighed',
      ]);
    }
    const loads = rigLoads(rig, loadCase);
    if (!loads.ok) return [];
    return loads.value.axles.flatMap(({ position, wheels }) =>
      wheels.map(({ wheel, loadKg }) => [rig.name, loadCase.name, position, wheel, loadKg, 'estimated']),
    );
  });
}
