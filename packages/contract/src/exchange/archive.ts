import { z } from 'zod';

import { id, pressureKpa, tempC, timestamp } from '../quantities';
import { logTime } from '../log';
import { RESOURCE_NAMES } from '../resources/kinds';
import { RESOURCES, type ResourceName } from '../resources/registry';
import { wheelRef } from '../resources/wheelRef';
import { FROM_VERSION_2 } from './version2';

/*
 * Everything that is kept, in one ZIP file: `dunlinmoss.json` says what it is, `<kind>.jsonl` holds the rows of a kind, one
 * a line, archived or not, `log.jsonl` the readings of monitors, `photos/<id>.jpg` the photos, `photos.jsonl` when each
 * was kept, `digest.json` the digest of each of these. Written and read as a stream, so that it may be larger than memory.
 */

export const ARCHIVE_PATH = 'archive';
export const ARCHIVE_TYPE = 'application/zip';
export const ARCHIVE_VERSION = 3;

export const archiveHead = z.strictObject({
  format: z.literal('dunlinmoss-archive'),
  version: z.literal([1, 2, ARCHIVE_VERSION]),
});
export type ArchiveVersion = z.infer<typeof archiveHead>['version'];

/** Whether archives of a version carry the digests of their parts; null where it is not known. */
export const hasDigest = (version: ArchiveVersion | null): boolean => version === null || version >= 3;

/** `digest.json`, the last entry: the SHA-256 of every other one, by its name. */
export const archiveDigest = z.strictObject({
  sha256: z.record(z.string().max(80), z.string().regex(/^[0-9a-f]{64}$/)),
});

/** A line of `<kind>.jsonl`. Archives of the first version hold rows as files of the second do. */
export function archivedRow(kind: ResourceName, version: ArchiveVersion = ARCHIVE_VERSION) {
  const upgrade = version === 1 ? FROM_VERSION_2[kind] : undefined;
  const row = RESOURCES[kind].row as z.ZodType;
  return z.strictObject({ deletedAt: timestamp.nullable(), row: upgrade ? z.preprocess(upgrade, row) : row });
}

/** A line of `log.jsonl`. */
export const archivedReading = z.strictObject({
  rigId: id,
  ...wheelRef,
  readAt: logTime,
  pressureKpa,
  tempC: tempC.nullable(),
  source: z.enum(['monitor', 'file']),
});

/** A line of `photos.jsonl`. */
export const archivedPhoto = z.strictObject({ id, createdAt: timestamp });

/** What an archive is made of, in the order in which its parts point at one another. */
export const ARCHIVE_PARTS = [...RESOURCE_NAMES, 'log', 'photos'] as const;
export type ArchivePart = (typeof ARCHIVE_PARTS)[number];

const count = z.strictObject({ added: z.int(), alreadyThere: z.int() });
const counts = z.strictObject(
  Object.fromEntries(ARCHIVE_PARTS.map((part) => [part, count])) as Record<ArchivePart, typeof count>,
);

/** What reading an archive says as it goes on, one value a line. */
export const archiveEvent = z.union([
  z.strictObject({ part: z.enum(ARCHIVE_PARTS), progress: z.int() }),
  /** `remark`: of an earlier version, without digests; that it was whole is known by its checksums alone. */
  z.strictObject({ done: counts, remark: z.literal('noDigest').optional() }),
  z.strictObject({
    problem: z.strictObject({
      code: z.enum([
        'notAnArchive',
        'lineRefused',
        'missingReference',
        'spaceFull',
        'databaseAway',
        'serverStopped',
        'diskFull',
        'internal',
      ]),
      part: z.enum(ARCHIVE_PARTS).optional(),
      line: z.int().optional(),
      message: z.string().optional(),
    }),
  }),
]);

export type ArchiveEvent = z.infer<typeof archiveEvent>;
export type ArchiveCounts = z.infer<typeof counts>;
export type ArchivedReading = z.infer<typeof archivedReading>;
