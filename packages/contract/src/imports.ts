import { z } from 'zod';

import { id } from './quantities';

/*
 * What is too long to be sent and taken in at once: it comes under a name of the sender's choice, goes on where the line
 * broke, and is taken in by itself once all of it has come. So is what takes long to be put together.
 */

/** `as` names it; `from` says how many bytes of it have come before. */
export const importQuery = z.strictObject({
  as: id.optional(),
  from: z.coerce.number().int().min(0).default(0),
});

/** What is taken in. */
const IMPORT_KINDS = ['log', 'archive', 'loads', 'rows'] as const;
/** What is put together, as a file that is fetched then: everything that is kept, and what is to be printed. */
export const FILE_KINDS = ['out', 'paper'] as const;

/** How far it has come; `told` is what it said last, as in the answer to its sending. */
export const importState = z.strictObject({
  kind: z.enum([...IMPORT_KINDS, ...FILE_KINDS]),
  state: z.enum(['coming', 'working', 'done', 'refused']),
  bytes: z.int(),
  told: z.unknown(),
});

export type ImportState = z.infer<typeof importState>;

/** One that has begun and not ended, by whichever device; `rigId` where it is about one rig. */
export const openImport = importState.extend({ kind: z.enum(IMPORT_KINDS), id, rigId: id.nullable() });
export const openImports = z.strictObject({ items: z.array(openImport) });

export type OpenImport = z.infer<typeof openImport>;
