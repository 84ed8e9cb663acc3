import { KINDS } from './kinds';
import type { BodyOf, ResourceName, RowOf } from './registry';

/** The part of a row that a person saves: all but what only the server fills. */
export const bodyOf = <Name extends ResourceName>(name: Name, row: RowOf<Name>): BodyOf<Name> =>
  Object.fromEntries(
    Object.entries(row).filter(([field]) => !(field in KINDS[name].serverOnly)),
  ) as unknown as BodyOf<Name>;

/** What stands in the fields that only the server fills until its first answer. */
export const serverOnlyFields = (name: ResourceName, now: string): Readonly<Record<string, unknown>> =>
  Object.fromEntries(
    Object.entries(KINDS[name].serverOnly).map(([field, until]: [string, (now: string) => unknown]) => [
      field,
      until(now),
    ]),
  );
