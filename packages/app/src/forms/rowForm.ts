import type { FieldProblem } from '@dunlinmoss/contract';

import type { QuantityText } from '../components/quantityText';

/**
 * Where a field of a row is: its JSON pointer (RFC 6901), the same that a refusal of the contract names. Keys of our rows
 * have neither `/` nor `~` in them.
 */
export type Pointer<Row> = Row extends readonly (infer Item)[]
  ? `/${number}` | `/${number}${Pointer<Item>}`
  : Row extends object
    ? { [Key in keyof Row & string]: `/${Key}` | `/${Key}${Pointer<NonNullable<Row[Key]>>}` }[keyof Row & string]
    : never;

/**
 * What a form holds: the row as it is, in SI, and the raw text of the fields that a person touched. A field that was not
 * touched is saved as it was, to the last bit; one that was has its value in the row already, null while its text is no
 * number.
 */
export interface RowForm<Row extends object> {
  readonly row: Row;
  readonly texts: Readonly<Record<string, QuantityText>>;
}

export const openForm = <Row extends object>(row: Row): RowForm<Row> => ({ row, texts: {} });

const partsOf = (pointer: string): string[] => pointer.split('/').slice(1);

/** The value at a pointer; undefined where the row has no such place. */
export function valueAt(row: unknown, pointer: string): unknown {
  let value: unknown = row;
  for (const part of partsOf(pointer)) value = (value as Record<string, unknown> | null | undefined)?.[part];
  return value;
}

/** The row with another value at a pointer; everything beside the way to it stays the same object. */
export function withValue<Row>(row: Row, pointer: string, value: unknown): Row {
  const [first, ...rest] = partsOf(pointer);
  if (first === undefined) return value as Row;
  const below = rest.map((part) => `/${part}`).join('');
  if (Array.isArray(row)) return row.with(Number(first), withValue(row[Number(first)], below, value)) as Row;
  return { ...row, [first]: withValue((row as Record<string, unknown> | null)?.[first], below, value) } as Row;
}

/** The form with a value chosen at each of the pointers: several where one field speaks for several places. */
export const chosen = <Row extends object>(form: RowForm<Row>, pointers: readonly string[], value: unknown) => ({
  ...form,
  row: pointers.reduce((row, pointer) => withValue(row, pointer, value), form.row),
});

/** The form with an item added at the end of each of the lists. */
export const appended = <Row extends object>(form: RowForm<Row>, lists: readonly string[], item: unknown) => ({
  ...form,
  row: lists.reduce((row, list) => withValue(row, list, [...(valueAt(row, list) as unknown[]), item]), form.row),
});

/** A pointer inside a list, after an item of it is gone; undefined for one inside the item itself. */
function afterRemoval(pointer: string, list: string, index: number): string | undefined {
  if (!pointer.startsWith(`${list}/`)) return pointer;
  const [at, ...rest] = pointer.slice(list.length + 1).split('/');
  const place = Number(at);
  if (place === index) return undefined;
  return place < index ? pointer : [list, place - 1, ...rest].join('/');
}

/** The form without an item of each of the lists; what was typed into the others stays with them. */
export function removed<Row extends object>(form: RowForm<Row>, lists: readonly string[], index: number): RowForm<Row> {
  return lists.reduce<RowForm<Row>>(
    ({ row, texts }, list) => ({
      row: withValue(row, list, (valueAt(row, list) as unknown[]).toSpliced(index, 1)),
      texts: Object.fromEntries(
        Object.entries(texts).flatMap(([pointer, text]) => {
          const there = afterRemoval(pointer, list, index);
          return there === undefined ? [] : [[there, text]];
        }),
      ),
    }),
    form,
  );
}

/** The form with an item put into a list at a place; what was typed into those behind it goes with them. */
export function inserted<Row extends object>(
  { row, texts }: RowForm<Row>,
  list: string,
  index: number,
  item: unknown,
): RowForm<Row> {
  const behind = (pointer: string): string => {
    if (!pointer.startsWith(`${list}/`)) return pointer;
    const [at, ...rest] = pointer.slice(list.length + 1).split('/');
    return Number(at) < index ? pointer : [list, Number(at) + 1, ...rest].join('/');
  };
  return {
    row: withValue(row, list, (valueAt(row, list) as unknown[]).toSpliced(index, 0, item)),
    texts: Object.fromEntries(Object.entries(texts).map(([pointer, text]) => [behind(pointer), text])),
  };
}

const isTyped = ({ text }: QuantityText): boolean => text.trim() !== '';

/** A value with nothing in it: null, or an object all of whose fields are. */
const isNothing = (value: unknown): boolean =>
  value === null ||
  (typeof value === 'object' && !Array.isArray(value) && Object.values(value).every((each) => each === null));

export interface FinishedRow<Row> {
  readonly row: Row;
  /** The pointer in the form that a pointer of the finished row stands for. */
  readonly inForm: (pointer: string) => string;
}

/**
 * The row to be saved: text that is no number stands as NaN, for the schema to refuse; items of lists with nothing in
 * them are left out.
 */
export function finished<Row extends object>({ row, texts }: RowForm<Row>): FinishedRow<Row> {
  const unread = Object.entries(texts).filter(([pointer, text]) => isTyped(text) && valueAt(row, pointer) === null);
  const marked = unread.reduce<Row>((each, [pointer]) => withValue(each, pointer, Number.NaN), row);
  const places = new Map<string, readonly number[]>();
  const kept = (value: unknown, pointer: string): unknown => {
    if (Array.isArray(value)) {
      const left = value.map((item: unknown, index) => ({ item, index })).filter(({ item }) => !isNothing(item));
      if (left.length < value.length)
        places.set(
          pointer,
          left.map(({ index }) => index),
        );
      return left.map(({ item, index }) => kept(item, `${pointer}/${index}`));
    }
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, kept(each, `${pointer}/${key}`)]));
  };
  return {
    row: kept(marked, '') as Row,
    inForm: (pointer) =>
      partsOf(pointer).reduce((way, part) => `${way}/${places.get(way)?.[Number(part)] ?? part}`, ''),
  };
}

/**
 * Where to say each problem: at its own field, else at one above or below it in the row. What no field stands for is
 * shown for the form as a whole, under `''`.
 */
export function problemsByField<Problem extends Pick<FieldProblem, 'path'>>(
  problems: readonly Problem[],
  fields: readonly string[],
): ReadonlyMap<string, Problem> {
  const byField = new Map<string, Problem>();
  for (const problem of problems) {
    const { path } = problem;
    const field =
      fields.find((each) => each === path) ??
      fields.find((each) => each.startsWith(`${path}/`)) ??
      fields.filter((each) => path.startsWith(`${each}/`)).sort((a, b) => b.length - a.length)[0] ??
      '';
    if (!byField.has(field)) byField.set(field, problem);
  }
  return byField;
}
