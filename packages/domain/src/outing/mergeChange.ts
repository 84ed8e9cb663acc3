const alike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * A change that was made of a row as it was, on the row as it is meanwhile: what somebody else changed beside it stays.
 * Null where both changed the same field to something else: only people can tell which is meant.
 *
 * @param base the row as it was when the change was made
 */
export function mergeChange<Row extends object>(base: Row, change: Partial<Row>, present: Row): Row | null {
  const fields = Object.keys(change) as (keyof Row)[];
  const clashes = fields.some((field) => !alike(present[field], base[field]) && !alike(present[field], change[field]));
  return clashes ? null : { ...present, ...change };
}
