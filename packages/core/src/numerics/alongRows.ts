/** Rows of a table of two columns, the first of them rising. */
export type Rows = readonly (readonly [at: number, value: number])[];

/** The value of a table at a place between its rows in a straight line, level before the first and after the last. */
export function alongRows(rows: Rows, at: number): number {
  if (at <= rows[0]![0]) return rows[0]![1];
  for (let index = 1; index < rows.length; index += 1) {
    const [before, from] = rows[index - 1]!;
    const [after, to] = rows[index]!;
    if (at <= after) return from + ((to - from) * (at - before)) / (after - before);
  }
  return rows.at(-1)![1];
}
