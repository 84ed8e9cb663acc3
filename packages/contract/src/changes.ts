import { z } from 'zod';

import { id } from './quantities';
import { RESOURCE_NAMES } from './resources/kinds';
import { RESOURCES, type ResourceName, type RowOf } from './resources/registry';

/** What a device asks for to keep what it has current: all that changed since a mark, or everything without one. */
export const changesQuery = z.strictObject({
  /** The `next` of the answer before. */
  after: z.string().max(600).optional(),
  limit: z.coerce.number().int().min(1).max(500).default(200),
});

/** One row that changed: as it is now, or null where it was archived or deleted. */
const change = z.union(
  RESOURCE_NAMES.map((kind) =>
    z.strictObject({ kind: z.literal(kind), id, row: (RESOURCES[kind].row as z.ZodType).nullable() }),
  ),
);

/** The store was taken back to an earlier moment by a restored backup, after this device had last heard from it. */
const setBack = z.strictObject({
  /** When the newest change in the backup was made; null where it holds none. */
  to: z.iso.datetime().nullable(),
  /** Up to when this device knew everything. */
  knew: z.iso.datetime(),
  /** It is the store that this device knew; else another has taken its place. */
  sameStore: z.boolean(),
});
export type SetBack = z.infer<typeof setBack>;

export const changes = z.strictObject({
  /** The mark is unknown here: this is the first page of everything, and what is not in it is no more. */
  startsOver: z.boolean(),
  /** On the first page of a device that starts over, where the store was set back since; else null. */
  setBack: setBack.nullable(),
  items: z.array(change),
  /** Where to go on. */
  next: z.string(),
  /** There is more to come at once. */
  more: z.boolean(),
  /** How many rows a device that starts over will get in all; null on the pages after. */
  total: z.int().min(0).nullable(),
});

export interface Change<Name extends ResourceName = ResourceName> {
  readonly kind: Name;
  readonly id: string;
  readonly row: RowOf<Name> | null;
}

export interface Changes extends Omit<z.infer<typeof changes>, 'items'> {
  readonly items: readonly Change[];
}
