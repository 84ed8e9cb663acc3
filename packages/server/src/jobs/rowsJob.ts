import {
  readExchange,
  RESOURCE_NAMES,
  type BodyOf,
  type ExchangeFile,
  type ProblemCode,
  type ResourceName,
} from '@dunlinmoss/contract';

import { checkArchive } from '../archive/check';
import { ArchiveRefused, type ArchiveBatch } from '../archive/read';
import type { Connection } from '../db/pool';
import type { Repositories } from '../repositories/repositories';
import type { AddOutcome, Repository } from '../repositories/versioned';
import { textOf } from './parts';
import type { Work } from './runner';

/** What it was asked for: the digest of the file. */
export interface RowsAsked {
  readonly of: string;
}

/** How far it has come: looked through, then so many batches taken in, and what became of each row, a letter each. */
export interface RowsMark {
  /** Who asked for it. */
  readonly by: string | null;
  readonly checked: 0 | 1;
  readonly batch: number;
  readonly did: string;
}

export const rowsBegin = (by: string | null): RowsMark => ({ by, checked: 0, batch: 0, did: '' });

/** What it says when it has ended. */
export type RowsEvent = { readonly did: string } | { readonly problem: { readonly code: ProblemCode } };

const LETTERS: Readonly<Record<AddOutcome, string>> = { add: 'a', same: 's', keepOurs: 'k' };
/** What became of each row. */
export const outcomesOf = (did: string): AddOutcome[] =>
  [...did].map((letter) => (Object.keys(LETTERS) as AddOutcome[]).find((outcome) => LETTERS[outcome] === letter)!);
const lettersOf = (outcomes: readonly AddOutcome[]): string => outcomes.map((one) => LETTERS[one]).join('');

const ROWS_A_BATCH = 500;

interface RowsBatch {
  readonly kind: ResourceName;
  readonly rows: readonly ExchangeFile[ResourceName][number][];
}

/** A file in batches, in the order in which rows point at one another. */
const batchesOf = (file: ExchangeFile): RowsBatch[] =>
  RESOURCE_NAMES.flatMap((kind) =>
    Array.from({ length: Math.ceil(file[kind].length / ROWS_A_BATCH) }, (_, index) => ({
      kind,
      rows: file[kind].slice(index * ROWS_A_BATCH, (index + 1) * ROWS_A_BATCH),
    })),
  );

/** Adds rows of a file where there are none of their ids. */
export function addRows(
  connection: Connection,
  repositories: Repositories,
  ownerId: string,
  { kind, rows }: RowsBatch,
  by: string | null,
): Promise<AddOutcome[]> {
  const repository = repositories[kind] as unknown as Repository<BodyOf<ResourceName>, unknown>;
  const bodies = rows.map((row) => ({ ...row, revision: 0 }) as BodyOf<ResourceName>);
  return repository.addWithin(connection, ownerId, bodies, by);
}

async function* looked(batches: readonly RowsBatch[]): AsyncGenerator<ArchiveBatch> {
  for (const { kind, rows } of batches) {
    yield { part: kind, lines: 0, rows: rows.map((row) => ({ row, deletedAt: null })) } as ArchiveBatch;
  }
}

/** Takes a file of rows in: all of it is looked through first, then taken in batch by batch. */
export const rowsWork =
  (repositories: Repositories): Work =>
  async (job, { pool, step, check }) => {
    let mark = job.mark as RowsMark;
    const batches = batchesOf(readExchange(JSON.parse(await textOf(pool, job))));
    if (mark.checked === 0) {
      try {
        await checkArchive(looked(batches), pool, repositories, job.ownerId, check);
      } catch (error) {
        if (!(error instanceof ArchiveRefused)) throw error;
        const code = error.code === 'spaceFull' ? 'tooMany' : 'missingReference';
        await step(async () => ({ mark, told: { problem: { code } } satisfies RowsEvent, state: 'refused' }));
        return;
      }
      const checked = { ...mark, checked: 1 as const };
      await step(async () => ({ mark: checked, told: null }));
      mark = checked;
    }
    while (mark.batch < batches.length) {
      const batch = batches[mark.batch]!;
      let next = mark;
      await step(async (connection) => {
        const outcomes = await addRows(connection, repositories, job.ownerId, batch, mark.by);
        next = { ...mark, batch: mark.batch + 1, did: mark.did + lettersOf(outcomes) };
        return { mark: next, told: null };
      });
      mark = next;
    }
    await step(async () => ({ mark, told: { did: mark.did } satisfies RowsEvent, state: 'done' }));
  };
