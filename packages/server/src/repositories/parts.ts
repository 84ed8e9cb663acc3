import type { Pool, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';
import { columnsOf, type Columns, type Packet, type Table } from './columns';

/** Rows that hang on a row of another table and have no life of their own: they are written anew with it. */
export interface Part<Body, Item = any> {
  readonly table: string;
  /** The column that names the row they hang on. */
  readonly parent: string;
  /** Their fields, by the columns they lie in. */
  readonly fields: Table<Item>;
  readonly rows: (body: Body) => readonly Item[];
  /**
   * A list that keeps its order: in which list of the row an item is, where there are several. Null for rows that lie in
   * the order of their first column.
   */
  readonly listOf: ((item: Item) => string) | null;
  /** They hang on another part and go with it. */
  readonly goesWithAnother: boolean;
}

interface PartSpec<Body, Item extends object> {
  readonly table: string;
  readonly parent: string;
  readonly fields: Columns<Item>;
  readonly rows: (body: Body) => readonly Item[];
  readonly listOf: ((item: Item) => string) | null;
  readonly goesWithAnother?: boolean;
}

/** Ties the columns of a part to the items of its rows. */
export const part =
  <Body>() =>
  <Item extends object>({ fields, goesWithAnother = false, ...spec }: PartSpec<Body, Item>): Part<Body, Item> => ({
    ...spec,
    fields: columnsOf(fields),
    goesWithAnother,
  });

/** One list alone. */
export const oneList = (): string => '';

const ORDINAL = 'ordinal';

/** The columns of a part, but the owner's and the parent's. */
const namesOf = ({ fields, listOf }: Part<never>): readonly string[] =>
  listOf ? [ORDINAL, ...fields.names] : fields.names;

/** What a query reads of a part. */
export const selectedOf = (each: Part<never>): Selected => ({
  table: each.table,
  parent: each.parent,
  columns: namesOf(each),
  dates: each.fields.dates,
  order: each.listOf ? ORDINAL : each.fields.names[0]!,
});

/** The rows of a part as they lie in its table; items of a list with their place in it. */
function packetsOf<Body>(body: Body, { rows, listOf, fields }: Part<Body>): Packet[] {
  const counts = new Map<string, number>();
  return rows(body).map((item) => {
    if (!listOf) return fields.write(item);
    const list = listOf(item);
    const ordinal = counts.get(list) ?? 0;
    counts.set(list, ordinal + 1);
    return { [ORDINAL]: ordinal, ...fields.write(item) };
  });
}

/** What hangs on some rows, by table, then by the id of the row. */
export type PartRows = ReadonlyMap<string, ReadonlyMap<string, readonly Packet[]>>;

/** What a query reads of one table, as one column of JSON, so that several tables make one query. */
export interface Selected {
  readonly table: string;
  readonly parent: string;
  readonly columns: readonly string[];
  readonly dates: readonly string[];
  /** They come in the order of this column; in none where there is but one row. */
  readonly order?: string;
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
    dates.forEach((column) => (row[column] = dateOf(row[column] as string | null)));
    const byParent = found.get(table)!;
    const siblings = byParent.get(parent);
    if (siblings) siblings.push(row);
    else byParent.set(parent, [row]);
  }
  for (const { table, order } of selected) {
    if (!order) continue;
    for (const siblings of found.get(table)!.values()) {
      siblings.sort((a, b) => compare(a[order], b[order]));
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
  for (const each of parts) {
    const { table, parent } = each;
    const all = bodies.flatMap((body) =>
      packetsOf(body, each).map((packet) => ({ ...packet, owner_id: ownerId, [parent]: body.id })),
    );
    await insertAll(connection, table, ['owner_id', parent, ...namesOf(each)], all);
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
