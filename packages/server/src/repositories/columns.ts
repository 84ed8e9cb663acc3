/** A row as it lies in its table, by column. */
export type Packet = Readonly<Record<string, any>>;

/** How one field of a row lies in its table: in which columns, how it is written there, and how it is read. */
export interface Column<Value> {
  readonly names: (field: string) => readonly string[];
  readonly dates: (field: string) => readonly string[];
  readonly write: (value: Value, field: string) => Packet;
  readonly read: (row: Packet, field: string) => Value;
}

/** The columns of a table by the field of the row that each holds. The type asks for every field: none is forgotten. */
export type Columns<Row> = { readonly [Field in keyof Row]: Column<Row[Field]> };

/** `behindMm` lies in `behind_mm`. */
export const columnOf = (field: string): string => field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

function column<Value>(
  name: string | undefined,
  toTable: (value: Value) => unknown,
  fromTable: (value: any) => Value,
  isDate = false,
): Column<Value> {
  const named = (field: string): string => name ?? columnOf(field);
  return {
    names: (field) => [named(field)],
    dates: (field) => (isDate ? [named(field)] : []),
    write: (value, field) => ({ [named(field)]: toTable(value) }),
    read: (row, field) => fromTable(row[named(field)]),
  };
}

/** A value that lies in the table as it is. */
export const plain = <Value>(name?: string): Column<Value> =>
  column<Value>(
    name,
    (value) => value,
    (value) => value,
  );

export const flag = (name?: string): Column<boolean> =>
  column(
    name,
    (value) => value,
    (value) => value === 1,
  );

export const flagOrNull = (name?: string): Column<boolean | null> =>
  column(
    name,
    (value) => value,
    (value) => (value === null ? null : value === 1),
  );

export const time = (name?: string): Column<string> =>
  column(
    name,
    (value) => new Date(value),
    (value: Date) => value.toISOString(),
    true,
  );

export const timeOrNull = (name?: string): Column<string | null> =>
  column(
    name,
    (value) => (value === null ? null : new Date(value)),
    (value: Date | null) => value?.toISOString() ?? null,
    true,
  );

/** As JSON, for what is never searched. What is in it is guarded on the way out as it was on the way in. */
export const json = <Value>(schema: { readonly parse: (value: unknown) => Value }): Column<Value> =>
  column<Value>(
    undefined,
    (value) => JSON.stringify(value),
    (kept: unknown) => schema.parse(typeof kept === 'string' ? JSON.parse(kept) : kept),
  );

/** A few codes in one column, in their order, with commas between. */
export const codes = <Code extends string>(name?: string): Column<Code[]> =>
  column<Code[]>(
    name,
    (value) => value.join(),
    (value: string) => (value === '' ? [] : (value.split(',') as Code[])),
  );

/** Fields that are null together: null where the first of them is. */
export function group<Value extends object>(columns: Columns<Value>): Column<Value | null> {
  const fields = Object.entries(columns) as [keyof Value & string, Column<unknown>][];
  const [first, firstColumn] = fields[0]!;
  const table = columnsOf(columns);
  return {
    names: () => table.names,
    dates: () => table.dates,
    write: (value) =>
      value === null ? Object.fromEntries(table.names.map((name) => [name, null])) : table.write(value),
    read: (row) => (row[firstColumn.names(first)[0]!] === null ? null : table.read(row)),
  };
}

/** The gauge of readings; null where it was taken as true. */
export const gaugeUsed = () =>
  group<{ gaugeId: string; offsetKpa: number }>({ gaugeId: plain(), offsetKpa: plain('gauge_offset_kpa') });

/** The columns of a table in one list, and rows to and from them. */
export interface Table<Row> {
  readonly names: readonly string[];
  readonly dates: readonly string[];
  readonly write: (row: Row) => Packet;
  readonly read: (packet: Packet) => Row;
}

export function columnsOf<Row extends object>(columns: Columns<Row>): Table<Row> {
  const fields = Object.entries(columns) as [keyof Row & string, Column<unknown>][];
  return {
    names: fields.flatMap(([field, { names }]) => names(field)),
    dates: fields.flatMap(([field, { dates }]) => dates(field)),
    write: (row) => Object.assign({}, ...fields.map(([field, { write }]) => write(row[field], field))) as Packet,
    read: (packet) => Object.fromEntries(fields.map(([field, { read }]) => [field, read(packet, field)])) as Row,
  };
}
