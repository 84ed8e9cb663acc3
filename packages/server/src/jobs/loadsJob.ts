import type { LoadsCounts, LoadsEvent } from '@dunlinmoss/contract';

import { inTransaction, type Connection } from '../db/pool';
import { digestOf, inBatches, planLoads, readTable, sumOf, type LoadsPlan } from '../imports/loadsPlan';
import { insertCases, upsertWeights, weighedRigs } from '../repositories/loadWeights';
import type { Job } from '../repositories/jobs';
import type { Repositories } from '../repositories/repositories';
import { textOf } from './parts';
import type { Work } from './runner';

/** What it was asked for: what was shown, and the table, as their digests. */
export interface LoadsAsked {
  readonly apply: string;
  readonly of: string;
}

/** How far it has come: looked through, then so many batches taken in, and what they came to. */
export interface LoadsMark {
  /** Who asked for it. */
  readonly by: string | null;
  readonly checked: 0 | 1;
  readonly batch: number;
  readonly counts: LoadsCounts;
  readonly newCases: number;
  readonly rigs: number;
}

export const loadsBegin = (by: string | null): LoadsMark => ({
  by,
  checked: 0,
  batch: 0,
  counts: { add: 0, change: 0, same: 0, leave: 0, refuse: 0 },
  newCases: 0,
  rigs: 0,
});

/** So many lines, and the rest of their last machine, are taken in in one transaction. */
const LINES_A_BATCH = 5_000;

/** Why a plan is not carried out; null where it may be. */
function planProblem({ counts }: LoadsPlan, digest: string, apply: string): LoadsEvent | null {
  if (counts.refuse > 0) return { problem: { code: 'linesRefused', refused: counts.refuse } };
  return apply === digest ? null : { problem: { code: 'changedSince' } };
}

/** Carries a plan out. Its rigs must have been read in this transaction. */
async function carryOut(connection: Connection, { rigs }: Repositories, job: Job, plan: LoadsPlan): Promise<void> {
  const { ownerId } = job;
  await insertCases(
    connection,
    plan.newCases.map(({ rigId, id, ordinal, name }) => [ownerId, rigId, id, ordinal, name] as const),
  );
  await upsertWeights(connection, ownerId, plan.weights);
  await rigs.touch(connection, ownerId, plan.rigIds, (job.mark as LoadsMark).by);
}

/**
 * Takes a table of loads in: all of it is looked through first and done only where it comes to what was shown; then batch by
 * batch, whole machines, each against what is there by then.
 */
export const loadsWork =
  (repositories: Repositories): Work =>
  async (job, { pool, step, check }) => {
    const { ownerId } = job;
    const { apply } = job.asked as LoadsAsked;
    let mark = job.mark as LoadsMark;
    const table = readTable(await textOf(pool, job));
    if ('code' in table) {
      await step(async () => ({ mark, told: { problem: { ...table } } satisfies LoadsEvent, state: 'refused' }));
      return;
    }
    if (mark.checked === 0) {
      const rigs = await inTransaction(pool, (connection) => weighedRigs(connection, ownerId), { snapshot: true });
      check();
      const plan = planLoads(table, rigs);
      const problem = planProblem(plan, digestOf(plan), apply);
      if (problem) {
        await step(async () => ({ mark, told: problem, state: 'refused' }));
        return;
      }
      const checked = { ...mark, checked: 1 as const };
      await step(async () => ({ mark: checked, told: null }));
      mark = checked;
    }
    const batches = inBatches(table, LINES_A_BATCH);
    const total = table.lines.length;
    let progress = batches.slice(0, mark.batch).reduce((sum, { lines }) => sum + lines.length, 0);
    while (mark.batch < batches.length) {
      const { lines, named } = batches[mark.batch]!;
      progress += lines.length;
      let next = mark;
      await step(async (connection) => {
        const plan = planLoads({ ...table, lines }, await weighedRigs(connection, ownerId, named));
        await carryOut(connection, repositories, job, plan);
        const counts = { ...mark.counts };
        for (const [action, many] of Object.entries(plan.counts)) counts[action as keyof LoadsCounts] += many;
        const { newCases, rigs } = sumOf(plan);
        next = {
          ...mark,
          batch: mark.batch + 1,
          counts,
          newCases: mark.newCases + newCases,
          rigs: mark.rigs + rigs,
        };
        return { mark: next, told: { progress, total } satisfies LoadsEvent };
      });
      mark = next;
    }
    const { counts, newCases, rigs } = mark;
    const done: LoadsEvent = { done: { applied: true, counts, newCases, rigs, digest: apply } };
    await step(async () => ({ mark, told: done, state: 'done' }));
  };
