import { isDeepStrictEqual } from 'node:util';

import type { Pool, RowDataPacket } from 'mysql2/promise';

import { inTransaction, type Connection } from '../db/pool';

/** What every saved row has, as the API gives it. */
export interface Stamped {
  readonly id: string;
  readonly revision: number;
  readonly createdAt: string;
  readonly updatedAt: string;
}

export type SaveOutcome<Row> =
  | { readonly kind: 'saved'; readonly row: Row; readonly isNew: boolean }
  | { readonly kind: 'stale'; readonly present: Row | null };

export type RemoveOutcome<Row> =
  { readonly kind: 'removed' } | { readonly kind: 'missing' } | { readonly kind: 'stale'; readonly present: Row };

export interface Page<Row> {
  readonly items: Row[];
  readonly next: string | null;
}

/** How one kind of row lies in its tables. All SQL is written out there; values go in as parameters. */
export interface TableShape<Body, Rest, Query> {
  readonly table: string;
  /** The columns of a body, without id, revision and times. */
  readonly columns: (body: Body) => Readonly<Record<string, unknown>>;
  /** Writes the rows that hang on it anew, inside the transaction. */
  readonly writeChildren?: (connection: Connection, ownerId: string, body: Body) => Promise<void>;
  /** The rest of each row from the rows of the table, what hangs on them fetched along, in the same order. */
  readonly read: (connection: Pool | Connection, ownerId: string, rows: RowDataPacket[]) => Promise<Rest[]>;
  /** The order of the list: these columns, then the id. */
  readonly order: { readonly column: string; readonly direction: 'ASC' | 'DESC' };
  /** What a query adds to the WHERE of a list. */
  readonly filter?: (query: Query) => { readonly sql: string; readonly values: unknown[] };
}

export interface Repository<Body, Row, Query extends PageQuery = PageQuery> {
  get(ownerId: string, id: string): Promise<Row | null>;
  list(ownerId: string, query: Query): Promise<Page<Row>>;
  save(ownerId: string, body: Body): Promise<SaveOutcome<Row>>;
  /**
   * Adds a row inside a transaction that is under way, where there is none of its id: one that is there stays as it is,
   * be it the same or another.
   */
  addWithin(connection: Connection, ownerId: string, body: Body): Promise<'add' | 'same' | 'keepOurs'>;
  remove(ownerId: string, id: string, revision: number): Promise<RemoveOutcome<Row>>;
  restore(ownerId: string, id: string): Promise<Row | null>;
}

export interface PageQuery {
  readonly limit: number;
  readonly after?: string | undefined;
  /** Lists what was put aside instead. */
  readonly aside: boolean;
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

/**
 * Rows with an owner, a revision and a soft delete: reading, keyset lists, saving that can be repeated, putting aside
 * and bringing back. Every query names the owner.
 */
export function versioned<
  Body extends { id: string; revision: number },
  Row extends Body & Stamped,
  Query extends PageQuery,
>(pool: Pool, shape: TableShape<Body, Omit<Row, keyof Stamped>, Query>): Repository<Body, Row, Query> {
  const { table, order } = shape;

  const toRows = async (connection: Pool | Connection, ownerId: string, packets: RowDataPacket[]): Promise<Row[]> => {
    const bodies = packets.length > 0 ? await shape.read(connection, ownerId, packets) : [];
    return packets.map(
      (packet, index) =>
        ({
          id: packet.id,
          revision: packet.revision,
          ...bodies[index],
          createdAt: packet.created_at.toISOString(),
          updatedAt: packet.updated_at.toISOString(),
        }) as unknown as Row,
    );
  };

  const find = async (
    connection: Pool | Connection,
    ownerId: string,
    id: string,
    lock = false,
  ): Promise<{ row: Row; deleted: boolean } | null> => {
    const [packets] = await connection.query<RowDataPacket[]>(
      `SELECT * FROM ${table} WHERE owner_id = ? AND id = ?${lock ? ' FOR UPDATE' : ''}`,
      [ownerId, id],
    );
    const [row] = await toRows(connection, ownerId, packets);
    return row ? { row, deleted: packets[0]!.deleted_at !== null } : null;
  };

  const sameBody = (row: Row, body: Body): boolean =>
    (Object.keys(body) as (keyof Body)[]).every((key) => key === 'revision' || isDeepStrictEqual(row[key], body[key]));

  const saveWithin = async (connection: Connection, ownerId: string, body: Body): Promise<SaveOutcome<Row>> => {
    const present = await find(connection, ownerId, body.id, true);
    const now = new Date();
    if (!present) {
      if (body.revision !== 0) return { kind: 'stale', present: null };
      await connection.query(`INSERT INTO ${table} SET ?`, [
        { owner_id: ownerId, id: body.id, revision: 1, ...shape.columns(body), created_at: now, updated_at: now },
      ]);
    } else {
      // A save that got through although its answer was lost comes again with the old revision: it is one row.
      if (!present.deleted && present.row.revision === body.revision + 1 && sameBody(present.row, body)) {
        return { kind: 'saved', row: present.row, isNew: false };
      }
      if (present.row.revision !== body.revision) return { kind: 'stale', present: present.row };
      await connection.query(`UPDATE ${table} SET ?, deleted_at = NULL WHERE owner_id = ? AND id = ?`, [
        { revision: body.revision + 1, ...shape.columns(body), updated_at: now },
        ownerId,
        body.id,
      ]);
    }
    await shape.writeChildren?.(connection, ownerId, body);
    const saved = await find(connection, ownerId, body.id);
    return { kind: 'saved', row: saved!.row, isNew: present === null };
  };

  return {
    async get(ownerId, id) {
      const found = await find(pool, ownerId, id);
      return found && !found.deleted ? found.row : null;
    },

    async list(ownerId, query) {
      const filter = shape.filter?.(query);
      const after = query.after === undefined ? undefined : decodeCursor(query.after);
      if (after === null) throw new BadCursor();
      const beyond = order.direction === 'ASC' ? '>' : '<';
      const [packets] = await pool.query<RowDataPacket[]>(
        `SELECT * FROM ${table} WHERE owner_id = ? AND deleted_at IS ${query.aside ? 'NOT NULL' : 'NULL'}` +
          (filter?.sql ?? '') +
          (after ? ` AND (${order.column}, id) ${beyond} (?, ?)` : '') +
          ` ORDER BY ${order.column} ${order.direction}, id ${order.direction} LIMIT ?`,
        [
          ownerId,
          ...(filter?.values ?? []),
          ...(after ? [fromKey(after[0], order.direction), after[1]] : []),
          query.limit + 1,
        ],
      );
      const page = packets.slice(0, query.limit);
      const last = page.at(-1);
      return {
        items: await toRows(pool, ownerId, page),
        next: packets.length > query.limit && last ? encodeCursor(asKey(last[order.column]), last.id) : null,
      };
    },

    save: (ownerId, body) => inTransaction(pool, (connection) => saveWithin(connection, ownerId, body)),
    async addWithin(connection, ownerId, body) {
      const present = await find(connection, ownerId, body.id, true);
      if (present) return !present.deleted && sameBody(present.row, body) ? 'same' : 'keepOurs';
      await saveWithin(connection, ownerId, body);
      return 'add';
    },

    remove: (ownerId, id, revision) =>
      inTransaction(pool, async (connection): Promise<RemoveOutcome<Row>> => {
        const present = await find(connection, ownerId, id, true);
        if (!present) return { kind: 'missing' };
        if (present.deleted) return { kind: 'removed' };
        if (present.row.revision !== revision) return { kind: 'stale', present: present.row };
        await connection.query(
          `UPDATE ${table} SET deleted_at = ?, revision = revision + 1 WHERE owner_id = ? AND id = ?`,
          [new Date(), ownerId, id],
        );
        return { kind: 'removed' };
      }),

    restore: (ownerId, id) =>
      inTransaction(pool, async (connection) => {
        const present = await find(connection, ownerId, id, true);
        if (!present) return null;
        if (!present.deleted) return present.row;
        await connection.query(
          `UPDATE ${table} SET deleted_at = NULL, revision = revision + 1 WHERE owner_id = ? AND id = ?`,
          [ownerId, id],
        );
        return (await find(connection, ownerId, id))!.row;
      }),
  };
}
