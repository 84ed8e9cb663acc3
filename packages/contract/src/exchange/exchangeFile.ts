import { z } from 'zod';

import { RESOURCE_NAMES } from '../resources/kinds';
import { RESOURCES, type ResourceName } from '../resources/registry';
import { fromVersion1, version1 } from './version1';
import { fromVersion2, version2 } from './version2';

export const EXCHANGE_VERSION = 3;

/**
 * The file that carries everything a person keeps, or one rig, from one place to another. Rows keep their ids, so that
 * the same file read in twice changes nothing; revisions in it are ignored.
 */
export const exchangeFile = z.strictObject({
  format: z.literal('dunlinmoss'),
  version: z.literal(EXCHANGE_VERSION),
  ...(Object.fromEntries(
    RESOURCE_NAMES.map((name) => {
      const { body, missingInOlder } = RESOURCES[name];
      const list = z.array(body as z.ZodType).max(20_000);
      return [name, missingInOlder.files ? list.default([]) : list];
    }),
  ) as { readonly [Name in ResourceName]: z.ZodArray<(typeof RESOURCES)[Name]['body']> }),
});

/** What an import does with one row of the file. Rows that are here already stay as they are. */
export const IMPORT_ACTIONS = ['add', 'same', 'keepOurs'] as const;

/** What an import did, or would do: row by row, and in sum. */
export const importOutcome = z.strictObject({
  applied: z.boolean(),
  added: z.int(),
  alreadyThere: z.int(),
  rows: z.array(
    z.strictObject({
      kind: z.enum(RESOURCE_NAMES as [ResourceName, ...ResourceName[]]),
      index: z.int(),
      name: z.string(),
      action: z.enum(IMPORT_ACTIONS),
    }),
  ),
});

export type ExchangeFile = z.infer<typeof exchangeFile>;
export type ImportOutcome = z.infer<typeof importOutcome>;

const versionOf = (json: unknown): unknown =>
  typeof json === 'object' && json !== null && 'version' in json ? json.version : undefined;

/** One version up; a file of the present one, and what is no such file, as it is. */
function upgraded(json: unknown): unknown {
  switch (versionOf(json)) {
    case 1:
      return upgraded(fromVersion1(version1.parse(json)));
    case 2:
      return upgraded(fromVersion2(version2.parse(json)));
    default:
      return json;
  }
}

/** Reads such a file of any version there has been. Throws the ZodError of what it refuses. */
export const readExchange = (json: unknown): ExchangeFile => exchangeFile.parse(upgraded(json));
