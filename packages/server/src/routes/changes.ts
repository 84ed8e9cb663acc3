import {
  changesQuery,
  RESOURCE_NAMES,
  type Change,
  type Changes,
  type ResourceName,
  type SetBack,
} from '@dunlinmoss/contract';
import type { Pool, RowDataPacket } from 'mysql2/promise';
import { z } from 'zod';

import { MARK_REACHES_BACK_MS } from '../db/pool';
import type { Repositories } from '../repositories/repositories';
import type { Repository, Stamped } from '../repositories/versioned';
import { Routes } from './declared';

/*
 * A device goes through the kinds of rows one after the other, each in the order of its changes, and then begins again
 * from shortly before it began. A row may so come twice, and never not at all.
 */

const time = z.iso.datetime().transform((text) => new Date(text));

/** Where a device stands. */
const mark = z.strictObject({
  /** Of which store it speaks; marks of earlier versions do not say so. */
  store: z.string().max(36).nullable().default(null),
  /** Of which epoch of the store, and of the space. */
  lineage: z.string().max(80),
  /** All that changed before this is known to it. */
  since: time,
  /** When the round that is under way began; what changes from then on is of the next. */
  began: time,
  /** The rows that were sent last. */
  kind: z.int().min(0).max(RESOURCE_NAMES.length),
  changedAt: time,
  id: z.string().max(36),
});
type Mark = z.infer<typeof mark>;

const encode = (value: Mark): string => Buffer.from(JSON.stringify(value)).toString('base64url');

/** A mark that we gave out; null for anything else. */
function decode(text: string | undefined): Mark | null {
  if (text === undefined) return null;
  try {
    return mark.safeParse(JSON.parse(Buffer.from(text, 'base64url').toString('utf8'))).data ?? null;
  } catch {
    return null;
  }
}

const EVER = new Date(0);

/** What a mark of now says, and what became of the epochs before. */
interface Epoch {
  readonly store: string;
  readonly lineage: string;
  /** The newest change in the backup that began it; null where none did, or there was none. */
  readonly setBackTo: Date | null;
  readonly now: Date;
}

async function epochOf(pool: Pool, ownerId: string): Promise<Epoch> {
  const [[found]] = await pool.query<RowDataPacket[]>(
    `SELECT l.id AS store, CONCAT_WS(' ', l.epoch, o.lineage) AS lineage, COALESCE(o.set_back_to, l.set_back_to) AS setBackTo,
       CURRENT_TIMESTAMP(3) AS now
     FROM lineage l LEFT JOIN owners o ON o.id = ?`,
    [ownerId],
  );
  return found as unknown as Epoch;
}

/** What a device that was left behind by a restore is told; null where its mark is none of ours, or it never had everything. */
function setBackOf({ store, setBackTo }: Epoch, given: Mark | null): SetBack | null {
  if (given === null) return null;
  const knew = given.kind === RESOURCE_NAMES.length ? given.began : given.since;
  if (knew <= EVER) return null;
  const sameStore = given.store === null || given.store === store;
  return { to: setBackTo?.toISOString() ?? null, knew: knew.toISOString(), sameStore };
}

/** A moment, or an earlier one where a long transaction came to an end since. */
async function withLate(pool: Pool, since: Date): Promise<Date> {
  const [[late]] = await pool.query<RowDataPacket[]>('SELECT MIN(since) AS since FROM late_changes WHERE until >= ?', [
    since,
  ]);
  const earlier = late?.since as Date | null;
  return earlier !== null && earlier < since ? earlier : since;
}

/** Which rows of a kind were deleted for good since a moment. */
async function goneOf(pool: Pool, ownerId: string, kind: ResourceName, since: Date): Promise<Change[]> {
  const [gone] = await pool.query<RowDataPacket[]>(
    'SELECT id FROM gone_rows WHERE owner_id = ? AND kind = ? AND changed_at >= ? ORDER BY changed_at, id',
    [ownerId, kind, since],
  );
  return gone.map(({ id }) => ({ kind, id, row: null }));
}

/** `GET /changes?after=`: what a device needs to have everything here, without a signal. */
export function changesRoute(pool: Pool, repositories: Repositories): Routes {
  const router = new Routes();
  const repositoryOf = (kind: ResourceName) =>
    repositories[kind] as unknown as Repository<never, Stamped & Change['row']>;

  router.get('/changes', 'viewer', async (request, response) => {
    const { ownerId } = request;
    const { after, limit } = changesQuery.parse(request.query);
    const epoch = await epochOf(pool, ownerId);
    const { store, lineage, now } = epoch;
    const given = decode(after);
    const known = given?.lineage === lineage ? given : null;
    let at: Mark = known ?? { store, lineage, since: EVER, began: now, kind: 0, changedAt: EVER, id: '' };
    // A round that came to its end: the next one.
    if (at.kind === RESOURCE_NAMES.length) {
      const since = await withLate(pool, new Date(at.began.getTime() - MARK_REACHES_BACK_MS));
      at = { ...at, since, began: now, kind: 0, changedAt: since, id: '' };
    }
    const items: Change[] = [];
    while (at.kind < RESOURCE_NAMES.length && items.length < limit) {
      const kind = RESOURCE_NAMES[at.kind]!;
      const room = limit - items.length;
      if (at.id === '' && at.since > EVER) items.push(...(await goneOf(pool, ownerId, kind, at.since)));
      const rows = await repositoryOf(kind).changed(pool, ownerId, [at.changedAt, at.id], room);
      items.push(...rows.map(({ row, deletedAt }) => ({ kind, id: row.id, row: deletedAt === null ? row : null })));
      const last = rows.at(-1);
      at =
        rows.length === room && last
          ? { ...at, changedAt: last.changedAt, id: last.row.id }
          : { ...at, kind: at.kind + 1, changedAt: at.since, id: '' };
    }
    const counts = known
      ? null
      : await Promise.all(RESOURCE_NAMES.map((kind) => repositoryOf(kind).count(pool, ownerId)));
    const answer: Changes = {
      startsOver: known === null,
      setBack: known === null ? setBackOf(epoch, given) : null,
      items,
      next: encode(at),
      more: at.kind < RESOURCE_NAMES.length,
      total: counts && counts.reduce((sum, count) => sum + count, 0),
    };
    response.json(answer);
  });

  return router;
}
