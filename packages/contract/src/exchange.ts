import { z } from 'zod';

import { outing } from './resources/outing';
import { proofTest } from './resources/proofTest';
import { rig } from './resources/rig';

/**
 * The file that carries everything a person keeps from one place to another. Rows keep their ids, so that the same
 * file read in twice changes nothing; revisions in it are ignored.
 */
export const exchangeFile = z.strictObject({
  format: z.literal('dunlinmoss'),
  version: z.literal(1),
  rigs: z.array(rig).max(1000),
  outings: z.array(outing).max(5000),
  tests: z.array(proofTest).max(5000),
});

/** What an import did: rows that were new, and rows that were there already and stayed as they were. */
export const importOutcome = z.strictObject({ added: z.int(), alreadyThere: z.int() });

export type ExchangeFile = z.infer<typeof exchangeFile>;
export type ImportOutcome = z.infer<typeof importOutcome>;
