import { z } from 'zod';

import { id, timestamp } from '../quantities';

/** What the server adds to every row it gives back. `savedBy` is whoever saved it last; absent where nobody signs in. */
export const stamps = { createdAt: timestamp, updatedAt: timestamp, savedBy: id.optional() };

/** One page of a list, in a fixed order. `next` asks for the page after it; null at the end. */
export const pageOf = <Item extends z.ZodType>(item: Item) =>
  z.strictObject({ items: z.array(item), next: z.string().nullable() });

/** What became of a row. */
export const HISTORY_DEEDS = ['saved', 'archived', 'restored'] as const;

/** What a row was, newest first: each with what was done and by whom. Only as far back as is kept. */
export const historyOf = <Body extends z.ZodType>(body: Body) =>
  z.strictObject({
    items: z.array(
      z.strictObject({
        revision: z.int().min(1),
        deed: z.enum(HISTORY_DEEDS),
        savedAt: timestamp,
        savedBy: id.optional(),
        body,
      }),
    ),
  });

/** What to archive, as it was seen; `forever` deletes what was archived before, with all that hangs on it. */
export const removeQuery = z.strictObject({
  revision: z.coerce.number().int().min(1),
  forever: z.stringbool().default(false),
});

/** What every list can be asked for. */
export const pageQuery = z.strictObject({
  limit: z.coerce.number().int().min(1).max(100).default(50),
  after: z.string().max(400).optional(),
  /** `true` lists what was archived instead. */
  archived: z.stringbool().default(false),
});
