import { isDeepStrictEqual } from 'node:util';

import { bodyOf, RESOURCES, type ResourceName } from '@dunlinmoss/contract';
import type { HISTORY_DEEDS } from '@dunlinmoss/contract/api';
import type { Pool, RowDataPacket } from 'mysql2/promise';

import { inTransaction, type Connection } from '../db/pool';
import { MOST_ROWS, SpaceFull } from '../limits';
import { columnOf, columnsOf, type Columns, type Packet } from './columns';
import { deleteParts, insertAll, insertParts, selectedOf, selectTogether, type Part, type Selected } from './parts';

/** What every saved row has, as the API gives it. */
export interface Stamped {
  readonly id: string;
  readonly revision: number;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly savedBy?: string | undefined;
}

export type Deed = (typeof HISTORY_DEEDS)[number];

/** What a row was after somebody had done something to it. */
export interface PastRow<Body> {
  readonly revision: number;
  readonly deed: Deed;
  readonly savedAt: string;
  readonly savedBy?: string;
  readonly body: Body;
}

export type SaveOutcome<Row> =
  | { readonly kind: 'saved'; readonly row: Row; readonly isNew: boolean }
  /** Somebody saved in between: the row as it is now, and whether it was archived; null where there is none. */
  | { readonly kind: 'stale'; readonly present: Row | null; readonly archived: boolean };

export type RemoveOutcome<Row> =
  | { readonly kind: 'removed' }
  | { readonly kind: 'missing' }
  | { readonly kind: 'notArchived' }
  | { readonly kind: 'stale'; readonly present: Row };

export type AddOutcome = 'add' | 'same' | 'keepOurs';

export interface Page<Row> {
  readonly items: Row[];
  readonly next: string | null;
}

/** A row with all that is kept of it, archived or not. */
export interface KeptRow<Row> {
  readonly row: Row;
  readonly deletedAt: string | null;
}

/** A row and when it changed last, as the database keeps the time. */
export interface ChangedRow<Row> extends KeptRow<Row> {
  readonly changedAt: Date;
}

/** Gives the items of a part that hang on a row. */
export type ItemsOf<Body> = <Item>(each: Part<Body, Item>) => readonly Item[];

/** How one kind of row lies in its tables. All SQL is written out there; values go in as parameters. */
export interface TableShape<Body, Own, Rest, Query> {
  readonly table: string;
  /** What the contract calls it. */
  readonly kind: ResourceName;
  /** The fields that lie in the table itself, but those that every row has. */
  readonly fields: Columns<Own>;
  /** Fields that are looked up elsewhere and never written, each with its SQL. */
  readonly lookedUp?: Readonly<Partial<Record<keyof Rest & string, string>>>;
  /** What hangs on it. */
  readonly parts?: readonly Part<Body>[];
  /** The fields of a row that are made of what hangs on it. */
  readonly partFields?: (itemsOf: ItemsOf<Body>) => Omit<Body, keyof Own | 'id' | 'revision'>;
  /** The order of its list, as the contract has it: this field, then the id. The index `<table>_listed` has it too. */
  readonly order: { readonly by: string; readonly newestFirst: boolean };
  /** Takes away, or lets go, what other tables keep of a row that is deleted for good. */
  readonly beforeErase?: (connection: Connection, ownerId: string, id: string) => Promise<void>;
  /** What a query adds to the WHERE of a list. */
  readonly filter?: (query: Query) => ListFilter;
}

export interface ListFilter {
  readonly sql: string;
  readonly values: readonly unknown[];
  /** An index of its own leads to what it asks for. */
  readonly hasIndex: boolean;
}

export interface Repository<Body, Row, Query extends PageQuery = PageQuery> {
  /** The table that its rows lie in. */
  readonly table: string;
  get(ownerId: string, id: string): Promise<Row | null>;
  list(ownerId: string, query: Query): Promise<Page<Row>>;
  /** @param by who saves; null where nobody signs in. The same of the three below. */
  save(ownerId: string, body: Body, by: string | null): Promise<SaveOutcome<Row>>;
  /** What a row was, newest first; empty where nothing is kept of it. */
  history(ownerId: string, id: string): Promise<readonly PastRow<Body>[]>;
  /**
   * Adds rows inside a transaction that is under way, where there are none of their ids: one that is there stays as it
   * is, be it the same or another.
   */
  addWithin(connection: Connection, ownerId: string, bodies: readonly Body[], by: string | null): Promise<AddOutcome[]>;
  /** What hangs on rows was written beside them, in this transaction: they are of another version now. */
  touch(connection: Connection, ownerId: string, ids: readonly string[], by: string | null): Promise<void>;
  remove(ownerId: string, id: string, revision: number, by: string | null): Promise<RemoveOutcome<Row>>;
  restore(ownerId: string, id: string, by: string | null): Promise<Row | null>;
  /** Deletes for good what was archived, with everything that hangs on it or was made with it. */
  erase(ownerId: string, id: string, revision: number): Promise<RemoveOutcome<Row>>;
  /** Rows that changed after a moment, or at it with a later id, in that order; archived ones too. */
  changed(
    connection: Pool | Connection,
    ownerId: string,
    after: readonly [changedAt: Date, id: string],
    limit: number,
  ): Promise<readonly ChangedRow<Row>[]>;
  /** How many rows there are, archived or not. */
  count(connection: Pool | Connection, ownerId: string): Promise<number>;
  /** Every row in order of its id, archived or not, a batch at a time. */
  everything(connection: Connection, ownerId: string): AsyncGenerator<readonly KeptRow<Row>[]>;
  /** Writes rows as they once were, stamps and all, where there are none of their ids. Gives back how many it wrote. */
  writeKept(connection: Connection, ownerId: string, rows: readonly KeptRow<Row>[]): Promise<number>;
}

export interface PageQuery {
  readonly limit: number;
  readonly after?: string | undefined;
  /** Lists what was archived instead. */
  readonly archived: boolean;
}

const encodeCursor = (key: unknown, id: string): string => Buffer.from(JSON.stringify([key, id])).toString('base64url');

/** The key and id of a cursor, or null for one that we never gave out. */
function decodeCursor(text: string): readonly [string, string] | null {
  try {
    const value: unknown = JSON.parse(Buffer.from(text, 'base64url').toString('utf8'));
    if (!Array.isArray(value) || value.length !== 2) return null;
    const [key, id]: unknown[] = value;
    return typeof key === 'string' && typeof id === 'string' ? [key, id] : null;
  } catch {
    return null;
  }
}

/** A list was asked to go on from a cursor that we never gave out. */
export class BadCursor extends Error {}

const asKey = (value: unknown): unknown => (value instanceof Date ? value.toISOString() : value);
const fromKey = (value: string, direction: 'ASC' | 'DESC'): unknown => (direction === 'DESC' ? new Date(value) : value);

/** A version that was kept before a field came has it as older files do: by its default. */
function asOfToday(kind: ResourceName, body: unknown): unknown {
  const read = RESOURCES[kind].body.safeParse(body);
  return read.success ? read.data : body;
}

const STAMPS = ['id', 'revision', 'created_at', 'updated_at', 'deleted_at', 'saved_by'] as const;
/** So many versions of a row are kept. */
const VERSIONS_KEPT = 40;
const STAMP_DATES = ['created_at', 'updated_at', 'deleted_at'];
/** How many rows are read at once where all are read. */
const BATCH = 500;

/**
 * Rows with an owner, a revision and a soft delete: reading, keyset lists, saving that can be repeated, archiving
 * and bringing back. Every query names the owner.
 */
export function versioned<
  Body extends { id: string; revision: number },
  Row extends Body & Stamped,
  Query extends PageQuery,
  Own extends object,
>(pool: Pool, shape: TableShape<Body, Own, Omit<Row, keyof Stamped>, Query>): Repository<Body, Row, Query> {
  const { table, parts = [] } = shape;
  const order = { column: columnOf(shape.order.by), direction: shape.order.newestFirst ? 'DESC' : 'ASC' } as const;
  const own = columnsOf(shape.fields);
  const lookedUp = Object.entries(shape.lookedUp ?? {}) as [string, string][];
  const selectRows =
    ['SELECT t.*', ...lookedUp.map(([name, sql]) => `${sql} AS ${name}`)].join(', ') + ` FROM ${table} t`;
  const partSelects: readonly Selected[] = parts.map(selectedOf);
  // The row and all that hangs on it in one query; where nothing does, a plain one is that already.
  const wholeSelects: readonly Selected[] = [
    { table, parent: 'id', columns: [...STAMPS, ...own.names], dates: [...STAMP_DATES, ...own.dates] },
    ...partSelects,
  ];
  const inOneQuery = parts.length > 0 && lookedUp.length === 0;

  const rowOf = (packet: Packet, packetsOf: (name: string) => readonly Packet[]): Row =>
    ({
      id: packet.id,
      revision: packet.revision,
      ...own.read(packet),
      ...Object.fromEntries(lookedUp.map(([name]) => [name, packet[name]])),
      ...shape.partFields?.((each) => packetsOf(each.table).map(each.fields.read)),
      createdAt: packet.created_at.toISOString(),
      updatedAt: packet.updated_at.toISOString(),
      ...(packet.saved_by !== null && { savedBy: packet.saved_by }),
    }) as unknown as Row;

  const toRows = async (connection: Pool | Connection, ownerId: string, packets: readonly Packet[]): Promise<Row[]> => {
    if (packets.length === 0) return [];
    if (parts.length === 0) return packets.map((packet) => rowOf(packet, () => []));
    const ids = packets.map(({ id }) => id as string);
    const found = await selectTogether(connection, ownerId, ids, partSelects);
    return packets.map((packet) => rowOf(packet, (name) => found.get(name)!.get(packet.id) ?? []));
  };

  interface Found {
    readonly row: Row;
    readonly deletedAt: Date | null;
  }

  const find = async (
    connection: Pool | Connection,
    ownerId: string,
    id: string,
    lock = false,
  ): Promise<Found | null> => {
    if (inOneQuery && !lock) {
      const found = await selectTogether(connection, ownerId, [id], wholeSelects);
      const packet = found.get(table)!.get(id)?.[0];
      return packet
        ? { row: rowOf(packet, (name) => found.get(name)!.get(id) ?? []), deletedAt: packet.deleted_at }
        : null;
    }
    const [packets] = await connection.query<RowDataPacket[]>(
      `${selectRows} WHERE t.owner_id = ? AND t.id = ?${lock ? ' FOR UPDATE' : ''}`,
      [ownerId, id],
    );
    const [row] = await toRows(connection, ownerId, packets);
    return row ? { row, deletedAt: packets[0]!.deleted_at } : null;
  };

  const sameBody = (row: Row, body: Body): boolean =>
    (Object.keys(body) as (keyof Body)[]).every((key) => key === 'revision' || isDeepStrictEqual(row[key], body[key]));

  /** Rows that are new, each with its stamps. */
  const insert = async (
    connection: Connection,
    ownerId: string,
    rows: readonly { readonly body: Body; readonly stamps: Packet }[],
  ): Promise<void> => {
    await insertAll(
      connection,
      table,
      ['owner_id', ...STAMPS, ...own.names],
      rows.map(({ body, stamps }) => ({
        owner_id: ownerId,
        id: body.id,
        ...stamps,
        ...own.write(body as unknown as Own),
      })),
    );
    await insertParts(
      connection,
      ownerId,
      rows.map(({ body }) => body),
      parts,
    );
    // Counted after, within the transaction: a refusal takes all of it back.
    const [[count]] = await connection.query<RowDataPacket[]>(`SELECT COUNT(*) many FROM ${table} WHERE owner_id = ?`, [
      ownerId,
    ]);
    if (rows.length > 0 && count!.many > MOST_ROWS) throw new SpaceFull();
  };
  const fresh = (by: string | null): Packet => {
    const now = new Date();
    return { revision: 1, created_at: now, updated_at: now, deleted_at: null, saved_by: by };
  };

  /** Writes down what rows are now, and lets go of what they were very long ago. */
  const remember = async (
    connection: Connection,
    ownerId: string,
    rows: readonly (Body & { readonly revision: number })[],
    deed: Deed,
    by: string | null,
  ): Promise<void> => {
    if (rows.length === 0) return;
    const now = new Date();
    await connection.query(
      `INSERT INTO row_history (owner_id, kind, id, revision, deed, saved_at, saved_by, body) VALUES ?
       ON DUPLICATE KEY UPDATE deed = VALUES(deed), saved_at = VALUES(saved_at), saved_by = VALUES(saved_by), body = VALUES(body)`,
      [
        rows.map((row) => {
          const body = bodyOf(shape.kind, row as never);
          return [ownerId, shape.kind, row.id, row.revision, deed, now, by, JSON.stringify(body)];
        }),
      ],
    );
    for (const { id, revision } of rows) {
      if (revision <= VERSIONS_KEPT) continue;
      await connection.query('DELETE FROM row_history WHERE owner_id = ? AND kind = ? AND id = ? AND revision <= ?', [
        ownerId,
        shape.kind,
        id,
        revision - VERSIONS_KEPT,
      ]);
    }
  };

  const saveWithin = async (
    connection: Connection,
    ownerId: string,
    body: Body,
    by: string | null,
  ): Promise<SaveOutcome<Row>> => {
    const present = await find(connection, ownerId, body.id, true);
    if (!present) {
      if (body.revision !== 0) return { kind: 'stale', present: null, archived: false };
      await insert(connection, ownerId, [{ body, stamps: fresh(by) }]);
    } else {
      // A save that got through although its answer was lost comes again with the old revision: it is one row.
      if (!present.deletedAt && present.row.revision === body.revision + 1 && sameBody(present.row, body)) {
        return { kind: 'saved', row: present.row, isNew: false };
      }
      if (present.row.revision !== body.revision) {
        return { kind: 'stale', present: present.row, archived: present.deletedAt !== null };
      }
      await connection.query(`UPDATE ${table} SET ?, deleted_at = NULL WHERE owner_id = ? AND id = ?`, [
        { revision: body.revision + 1, ...own.write(body as unknown as Own), updated_at: new Date(), saved_by: by },
        ownerId,
        body.id,
      ]);
      await deleteParts(connection, ownerId, body.id, parts);
      await insertParts(connection, ownerId, [body], parts);
    }
    const saved = await find(connection, ownerId, body.id);
    await remember(connection, ownerId, [saved!.row], 'saved', by);
    return { kind: 'saved', row: saved!.row, isNew: present === null };
  };

  /** Which of some ids there are, with their rows. */
  const presentOf = async (
    connection: Connection,
    ownerId: string,
    ids: readonly string[],
  ): Promise<ReadonlyMap<string, Found>> => {
    const [packets] = await connection.query<RowDataPacket[]>(
      `${selectRows} WHERE t.owner_id = ? AND t.id IN (?) FOR UPDATE`,
      [ownerId, ids],
    );
    const rows = await toRows(connection, ownerId, packets);
    return new Map(rows.map((row, index) => [row.id, { row, deletedAt: packets[index]!.deleted_at }]));
  };

  return {
    table,

    async get(ownerId, id) {
      const found = await find(pool, ownerId, id);
      return found && !found.deletedAt ? found.row : null;
    },

    async list(ownerId, query) {
      const filter = shape.filter?.(query);
      const after = query.after === undefined ? undefined : decodeCursor(query.after);
      if (after === null) throw new BadCursor();
      const beyond = order.direction === 'ASC' ? '>' : '<';
      const key = after && fromKey(after[0], order.direction);
      // Right after many rows came in, the database's own figures of the table are old, and it would read a list from its
      // start. Only a filter with an index of its own is better off with that.
      const index = filter?.hasIndex === true ? '' : ` FORCE INDEX (${table}_listed)`;
      const [packets] = await pool.query<RowDataPacket[]>(
        `${selectRows}${index} WHERE t.owner_id = ? AND t.archived = ?` +
          (filter?.sql ?? '') +
          // Written out: the database makes no range of (a, b) > (x, y), and would read the list from its start.
          (after ? ` AND (t.${order.column} ${beyond} ? OR (t.${order.column} = ? AND t.id ${beyond} ?))` : '') +
          ` ORDER BY t.${order.column} ${order.direction}, t.id ${order.direction} LIMIT ?`,
        [ownerId, query.archived, ...(filter?.values ?? []), ...(after ? [key, key, after[1]] : []), query.limit + 1],
      );
      const page = packets.slice(0, query.limit);
      const last = page.at(-1);
      return {
        items: await toRows(pool, ownerId, page),
        next: packets.length > query.limit && last ? encodeCursor(asKey(last[order.column]), last.id) : null,
      };
    },

    save: (ownerId, body, by) => inTransaction(pool, (connection) => saveWithin(connection, ownerId, body, by)),

    async history(ownerId, id) {
      const [packets] = await pool.query<RowDataPacket[]>(
        `SELECT revision, deed, saved_at, saved_by, body FROM row_history
          WHERE owner_id = ? AND kind = ? AND id = ? ORDER BY revision DESC LIMIT ${VERSIONS_KEPT}`,
        [ownerId, shape.kind, id],
      );
      return packets.map(({ revision, deed, saved_at, saved_by, body }) => ({
        revision,
        deed,
        savedAt: saved_at.toISOString(),
        ...(saved_by !== null && { savedBy: saved_by }),
        body: asOfToday(shape.kind, JSON.parse(body)) as Body,
      }));
    },

    async addWithin(connection, ownerId, bodies, by) {
      const outcomes: AddOutcome[] = [];
      for (let from = 0; from < bodies.length; from += BATCH) {
        const batch = bodies.slice(from, from + BATCH);
        const ids = batch.map(({ id }) => id);
        const present = new Map(await presentOf(connection, ownerId, ids));
        const added: { body: Body; stamps: Packet }[] = [];
        for (const body of batch) {
          const found = present.get(body.id);
          if (found) outcomes.push(!found.deletedAt && sameBody(found.row, body) ? 'same' : 'keepOurs');
          else {
            added.push({ body, stamps: fresh(by) });
            // The same id once more in one file is the row that was just added, or another of its name.
            present.set(body.id, { row: body as unknown as Row, deletedAt: null });
            outcomes.push('add');
          }
        }
        await insert(connection, ownerId, added);
        const written = added.map(({ body }) => ({ ...body, revision: 1 }));
        await remember(connection, ownerId, written, 'saved', by);
      }
      return outcomes;
    },

    async touch(connection, ownerId, ids, by) {
      for (let from = 0; from < ids.length; from += BATCH) {
        const batch = ids.slice(from, from + BATCH);
        await connection.query(
          `UPDATE ${table} SET revision = revision + 1, updated_at = ?, saved_by = ? WHERE owner_id = ? AND id IN (?)`,
          [new Date(), by, ownerId, batch],
        );
        const now = await presentOf(connection, ownerId, batch);
        await remember(
          connection,
          ownerId,
          [...now.values()].map(({ row }) => row),
          'saved',
          by,
        );
      }
    },

    remove: (ownerId, id, revision, by) =>
      inTransaction(pool, async (connection): Promise<RemoveOutcome<Row>> => {
        const present = await find(connection, ownerId, id, true);
        if (!present) return { kind: 'missing' };
        if (present.deletedAt) return { kind: 'removed' };
        if (present.row.revision !== revision) return { kind: 'stale', present: present.row };
        await connection.query(
          `UPDATE ${table} SET deleted_at = ?, revision = revision + 1, saved_by = ? WHERE owner_id = ? AND id = ?`,
          [new Date(), by, ownerId, id],
        );
        await remember(connection, ownerId, [{ ...present.row, revision: revision + 1 }], 'archived', by);
        return { kind: 'removed' };
      }),

    restore: (ownerId, id, by) =>
      inTransaction(pool, async (connection) => {
        const present = await find(connection, ownerId, id, true);
        if (!present) return null;
        if (!present.deletedAt) return present.row;
        await connection.query(
          `UPDATE ${table} SET deleted_at = NULL, revision = revision + 1, saved_by = ? WHERE owner_id = ? AND id = ?`,
          [by, ownerId, id],
        );
        const { row } = (await find(connection, ownerId, id))!;
        await remember(connection, ownerId, [row], 'restored', by);
        return row;
      }),

    erase: (ownerId, id, revision) =>
      inTransaction(pool, async (connection): Promise<RemoveOutcome<Row>> => {
        const present = await find(connection, ownerId, id, true);
        if (!present) return { kind: 'missing' };
        if (!present.deletedAt) return { kind: 'notArchived' };
        if (present.row.revision !== revision) return { kind: 'stale', present: present.row };
        await shape.beforeErase?.(connection, ownerId, id);
        // Devices that have it and are away just now hear of it by this.
        await connection.query(
          'INSERT INTO gone_rows (owner_id, kind, id) VALUES (?) ON DUPLICATE KEY UPDATE changed_at = CURRENT_TIMESTAMP(3)',
          [[ownerId, shape.kind, id]],
        );
        await connection.query('DELETE FROM row_history WHERE owner_id = ? AND kind = ? AND id = ?', [
          ownerId,
          shape.kind,
          id,
        ]);
        await connection.query(`DELETE FROM ${table} WHERE owner_id = ? AND id = ?`, [ownerId, id]);
        return { kind: 'removed' };
      }),

    async changed(connection, ownerId, [changedAt, id], limit) {
      const [packets] = await connection.query<RowDataPacket[]>(
        `${selectRows.replace('t.*', 't.*, t.changed_at')} FORCE INDEX (${table}_changed)` +
          ' WHERE t.owner_id = ? AND (t.changed_at > ? OR (t.changed_at = ? AND t.id > ?))' +
          ' ORDER BY t.changed_at, t.id LIMIT ?',
        [ownerId, changedAt, changedAt, id, limit],
      );
      const rows = await toRows(connection, ownerId, packets);
      return rows.map((row, index) => ({
        row,
        deletedAt: packets[index]!.deleted_at?.toISOString() ?? null,
        changedAt: packets[index]!.changed_at,
      }));
    },

    async count(connection, ownerId) {
      const [[counted]] = await connection.query<RowDataPacket[]>(
        `SELECT COUNT(*) AS many FROM ${table} WHERE owner_id = ?`,
        [ownerId],
      );
      return counted!.many;
    },

    async *everything(connection, ownerId) {
      let after = '';
      for (;;) {
        const [packets] = await connection.query<RowDataPacket[]>(
          `${selectRows} WHERE t.owner_id = ? AND t.id > ? ORDER BY t.id LIMIT ?`,
          [ownerId, after, BATCH],
        );
        if (packets.length === 0) return;
        const rows = await toRows(connection, ownerId, packets);
        yield rows.map((row, index) => ({ row, deletedAt: packets[index]!.deleted_at?.toISOString() ?? null }));
        after = packets.at(-1)!.id;
      }
    },

    async writeKept(connection, ownerId, rows) {
      const present = await presentOf(
        connection,
        ownerId,
        rows.map(({ row }) => row.id),
      );
      const missing = rows.filter(({ row }) => !present.has(row.id));
      await insert(
        connection,
        ownerId,
        missing.map(({ row, deletedAt }) => ({
          body: row,
          stamps: {
            revision: row.revision,
            created_at: new Date(row.createdAt),
            updated_at: new Date(row.updatedAt),
            deleted_at: deletedAt === null ? null : new Date(deletedAt),
            saved_by: row.savedBy ?? null,
          },
        })),
      );
      return missing.length;
    },
  };
}
