import { setTimeout as sleep } from 'node:timers/promises';

import type { ProblemCode } from '@dunlinmoss/contract';
import { sheets as sheetsSchema } from '@dunlinmoss/contract/api';

import { layOut } from '../paper/layOut';
import { putFile } from '../repositories/jobs';
import { PART_BYTES } from '../archive/pieces';
import { textOf } from './parts';
import type { Work } from './runner';

/** What it was asked for: the digest of what came, and what the file is called. */
export interface PaperAsked {
  readonly of: string;
  readonly name: string;
}

/** What it says: how many sheets are made, and of how many; or why it came to nothing. */
export type PaperEvent =
  { readonly made: number; readonly of: number } | { readonly problem: { readonly code: ProblemCode } };

/** How often it is told how far it is, ms. */
const TELL_MS = 300;
/** Two thousand sheets take a tenth of it, ms. */
const TIME_LIMIT_MS = 300_000;

/** Makes a PDF of sheets and lays it aside, in place of them, to be fetched. After a kill it is made anew: it is the same. */
export const paperWork: Work = async (job, { pool, step, check }) => {
  const sheets = sheetsSchema.parse(JSON.parse(await textOf(pool, job)));
  const of = sheets.sheets.length;
  let made = 0;
  const ending = new AbortController();
  const tooLong = AbortSignal.timeout(TIME_LIMIT_MS);
  let isMade = false;
  const making = layOut(sheets, {
    signal: AbortSignal.any([ending.signal, tooLong]),
    onMade: (many) => (made = many),
  }).finally(() => (isMade = true));
  try {
    while (!isMade) {
      await Promise.race([making, sleep(TELL_MS)]);
      check();
      const told: PaperEvent = { made, of };
      if (!isMade) await step(async () => ({ mark: null, told }));
    }
    const pdf = await making;
    await step(async (connection) => {
      await putFile(connection, job, pdf, PART_BYTES);
      return { mark: null, told: { made: of, of } satisfies PaperEvent, state: 'done' };
    });
  } catch (error) {
    if (!tooLong.aborted) throw error;
    const told: PaperEvent = { problem: { code: 'tooLong' } };
    await step(async () => ({ mark: null, told, state: 'refused' }));
  } finally {
    // Whoever left it off has no use for it any more.
    ending.abort();
    making.catch(() => undefined);
  }
};
