import type { Pool, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';

/** A row as it lies in its table, by column. */
export type Packet = Readonly<Record<string, any>>;

/** Rows that hang on a row of another table and have no life of their own: they are written anew with it. */
export interface Part<Body, Column extends string = string> {
  readonly table: string;
  /** The column that names the row they hang on. */
  readonly parent: string;
  /** Every other column but the owner's: read and written by this one list. */
  readonly columns: readonly Column[];
  /** Those of them that hold times. */
  readonly dates?: readonly Column[];
  /** They come in the order of these. */
  readonly order: readonly Column[];
  readonly rows: (body: Body) => readonly Readonly<Record<Column, unknown>>[];
  /** They hang on another part and go with it. */
  readonly goesWithAnother?: boolean;
}

/** Ties the columns of a part to its rows. */
export const part =
  <Body>() =>
  <const Column extends string>(spec: Part<Body, Column>): Part<Body> =>
    spec as unknown as Part<Body>;

/** What hangs on some rows, by table, then by the id of the row. */
export type PartRows = ReadonlyMap<string, ReadonlyMap<string, readonly Packet[]>>;

/** What a query reads of one table, as one column of JSON, so that several tables make one query. */
export interface Selected {
  readonly table: string;
  readonly parent: string;
  readonly columns: readonly string[];
  readonly dates?: readonly string[] | undefined;
  readonly order?: readonly string[];
}

const selectOf = ({ table, parent, columns }: Selected, index: number): string =>
  `SELECT ${index} AS part, ${parent} AS parent, JSON_ARRAY(${columns.join(', ')}) AS packet
   FROM ${table} WHERE owner_id = ? AND ${parent}`;

/** The database writes times in UTC without saying so. */
const dateOf = (text: string | null): Date | null => (text === null ? null : new Date(`${text.replace(' ', 'T')}Z`));

const compare = (a: unknown, b: unknown): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : String(a) < String(b) ? -1 : String(a) > String(b) ? 1 : 0;

interface Queries {
  readonly ofOne: string;
  readonly ofMany: string;
}
const queries = new WeakMap<readonly Selected[], Queries>();

function queriesOf(selected: readonly Selected[]): Queries {
  const known = queries.get(selected);
  if (known) return known;
  const union = (which: string): string =>
    selected.map((each, index) => `${selectOf(each, index)} ${which}`).join('\nUNION ALL\n');
  const made = { ofOne: union('= ?'), ofMany: union('IN (?)') };
  queries.set(selected, made);
  return made;
}

/**
 * Rows of several tables in one query: six round trips for a rig were most of what it cost. The order of a union is not
 * promised, so it is made here.
 */
export async function selectTogether(
  connection: Pool | Connection,
  ownerId: string,
  ids: readonly string[],
  selected: readonly Selected[],
): Promise<PartRows> {
  const { ofOne, ofMany } = queriesOf(selected);
  const [rows] =
    ids.length === 1
      ? // Prepared once on each connection: taking six SELECTs apart is much of what they cost.
        await connection.execute<RowDataPacket[]>(
          ofOne,
          selected.flatMap(() => [ownerId, ids[0]!]),
        )
      : await connection.query<RowDataPacket[]>(
          ofMany,
          selected.flatMap(() => [ownerId, ids]),
        );
  const found = new Map<string, Map<string, Packet[]>>(selected.map(({ table }) => [table, new Map()]));
  for (const { part: index, parent, packet } of rows) {
    const { table, columns, dates } = selected[index]!;
    // The driver takes JSON apart by itself where the database says that it is some.
    const values: unknown[] = typeof packet === 'string' ? JSON.parse(packet) : packet;
    const row: Record<string, unknown> = {};
    columns.forEach((column, at) => (row[column] = values[at]));
    dates?.forEach((column) => (row[column] = dateOf(row[column] as string | null)));
    const byParent = found.get(table)!;
    const siblings = byParent.get(parent);
    if (siblings) siblings.push(row);
    else byParent.set(parent, [row]);
  }
  for (const { table, order } of selected) {
    if (!order) continue;
    for (const siblings of found.get(table)!.values()) {
      siblings.sort((a, b) => {
        const differs = order.find((column) => a[column] !== b[column]);
        return differs === undefined ? 0 : compare(a[differs], b[differs]);
      });
    }
  }
  return found;
}

/** How many rows one statement writes at most. */
const ROWS_AT_ONCE = 2_000;

/** Writes rows into a table, many at a time; nothing for no rows. */
export async function insertAll(
  connection: Connection,
  table: string,
  columns: readonly string[],
  rows: readonly Packet[],
): Promise<void> {
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    await connection.query(`INSERT INTO ${table} (${columns.join(', ')}) VALUES ?`, [
      rows.slice(from, from + ROWS_AT_ONCE).map((row) => columns.map((column) => row[column])),
    ]);
  }
}

/** Writes what hangs on some rows, many at a time. */
export async function insertParts<Body extends { readonly id: string }>(
  connection: Connection,
  ownerId: string,
  bodies: readonly Body[],
  parts: readonly Part<Body>[],
): Promise<void> {
  for (const { table, parent, columns, rows } of parts) {
    const all = bodies.flatMap((body) => rows(body).map((row) => ({ ...row, owner_id: ownerId, [parent]: body.id })));
    await insertAll(connection, table, ['owner_id', parent, ...columns], all);
  }
}

/** Takes away what hangs on a row. */
export async function deleteParts<Body>(
  connection: Connection,
  ownerId: string,
  id: string,
  parts: readonly Part<Body>[],
): Promise<void> {
  for (const { table, parent, goesWithAnother } of parts) {
    if (goesWithAnother) continue;
    await connection.query(`DELETE FROM ${table} WHERE owner_id = ? AND ${parent} = ?`, [ownerId, id]);
  }
}
