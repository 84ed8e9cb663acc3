import { rigLoads, type LoadsEvent, type RigRow } from '@dunlinmoss/contract';
import { LOADS_COLUMNS, importQuery, rowId } from '@dunlinmoss/contract/api';
import express, { type Request, type Response } from 'express';
import type { Pool } from 'mysql2/promise';
import Papa from 'papaparse';
import { z } from 'zod';

import { inTransaction, isPassing } from '../db/pool';
import { digestOf, planLoads, readTable, sumOf } from '../imports/loadsPlan';
import { loadsBegin, type LoadsAsked } from '../jobs/loadsJob';
import type { JobRunner } from '../jobs/runner';
import { byOf } from '../people/whose';
import { Refusal } from '../problems';
import { weighedRigs } from '../repositories/loadWeights';
import type { Repositories } from '../repositories/repositories';
import { onlyMediaType } from '../sameSite';
import { beginWhole, importing, keepWhole } from './imports';
import { Cancelled, ndjsonWriter } from './ndjsonWriter';
import { Routes } from './declared';

/** A table of 100,000 lines is about 6 MB. */
const TABLE_LIMIT = '16mb';
const OUTCOMES_AT_ONCE = 2_000;

const loadsQuery = importQuery.pick({ as: true }).extend({ apply: z.string().length(64).optional() });
const exportQuery = z.strictObject({ rig: rowId.optional() });

/** `POST /import/loads` and `GET /export/loads.csv`: weighed loads as a table. */
export function loadsExchangeRoutes(pool: Pool, repositories: Repositories, runner: JobRunner): Routes {
  const router = new Routes();

  router.post(
    '/import/loads',
    'lead',

    onlyMediaType('text/csv'),
    express.text({ limit: TABLE_LIMIT, type: 'text/csv' }),
    async (request, response) => {
      const { apply, as } = loadsQuery.parse(request.query);
      const text = typeof request.body === 'string' ? request.body : '';
      if (apply === undefined) {
        await tellPlan(pool, request, response, text);
        return;
      }
      const body = Buffer.from(text);
      const asked = (of: string): LoadsAsked => ({ apply, of });
      const job = await beginWhole(pool, request, { as, kind: 'loads', asked, body });
      const tell = ndjsonWriter<unknown>(response);
      await importing(pool, runner, { request, response, tell, job }, () =>
        keepWhole(pool, job, body, loadsBegin(byOf(request))),
      );
    },
  );

  router.get('/export/loads.csv', 'viewer', async (request, response) => {
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
      if (lines.length > 0) response.write(`${Papa.unparse(lines, { escapeFormulae: true })}\r\n`);
      after = page.next ?? undefined;
    } while (after !== undefined);
    response.end();
  });

  return router;
}

/** Says what would be done with a table, a batch of lines after the other. Nothing is written. */
async function tellPlan(pool: Pool, request: Request, response: Response, text: string): Promise<void> {
  const table = readTable(text);
  const tell = ndjsonWriter<LoadsEvent>(response);
  if ('code' in table) {
    tell({ problem: { ...table } });
    response.end();
    return;
  }
  const total = table.lines.length;
  try {
    tell({ progress: 0, total });
    const rigs = await inTransaction(pool, (connection) => weighedRigs(connection, request.ownerId), {
      snapshot: true,
    });
    const plan = planLoads(table, rigs);
    for (let from = 0; from < plan.outcomes.length; from += OUTCOMES_AT_ONCE) {
      tell({ outcomes: plan.outcomes.slice(from, from + OUTCOMES_AT_ONCE) });
      tell({ progress: Math.min(from + OUTCOMES_AT_ONCE, total), total });
      // Lets it be noticed between the batches that nobody listens any more.
      await new Promise(setImmediate);
    }
    tell({ done: { applied: false, ...sumOf(plan), digest: digestOf(plan) } });
  } catch (error) {
    if (error instanceof Cancelled) return;
    // The answer has begun: the error goes out as its last line.
    if (!isPassing(error)) request.log.error({ err: error }, 'import of loads');
    tell({ problem: { code: isPassing(error) ? 'databaseAway' : 'internal' } });
  }
  response.end();
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
