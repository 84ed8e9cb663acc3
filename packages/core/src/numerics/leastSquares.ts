export interface LeastSquares {
  /** One for each column. */
  readonly coefficients: readonly number[];
  /** The inverse of the columns' products with each other: times the variance of the values, the coefficients' own. */
  readonly inverse: readonly (readonly number[])[];
  /** The sum of the squares of what is left over. */
  readonly leftOver: number;
}

/** What is left of a column that the ones before it explain, as a share of its length: rounding, not information. */
const DUST = 1e-9;

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, each, index) => sum + each * b[index]!, 0);

/**
 * Ordinary least squares of values on columns, by orthogonal columns (modified Gram and Schmidt), which keeps twice the
 * digits that the normal equations do. Exact. Null where the columns are not independent, or there are more of them than
 * values.
 *
 * @example leastSquares([[1, 1, 1], [0, 1, 2]], [1, 3, 5]) // coefficients 1 and 2, leftOver 0
 */
export function leastSquares(columns: readonly (readonly number[])[], values: readonly number[]): LeastSquares | null {
  if (columns.length > values.length) return null;
  const straight: number[][] = [];
  // The upper triangle by which the columns are made of the straight ones.
  const upper = columns.map(() => columns.map(() => 0));
  let rest = [...values];
  const along: number[] = [];
  for (const [place, column] of columns.entries()) {
    let own = [...column];
    straight.forEach((unit, row) => {
      upper[row]![place] = dot(unit, own);
      own = own.map((each, index) => each - upper[row]![place]! * unit[index]!);
    });
    const length = Math.sqrt(dot(own, own));
    if (!(length > DUST * Math.sqrt(dot(column, column)))) return null;
    upper[place]![place] = length;
    const unit = own.map((each) => each / length);
    straight.push(unit);
    const share = dot(unit, rest);
    along.push(share);
    rest = rest.map((each, index) => each - share * unit[index]!);
  }
  const undone = columns.map((_, place) =>
    backwards(
      upper,
      columns.map((__, row) => (row === place ? 1 : 0)),
    ),
  );
  return {
    coefficients: backwards(upper, along),
    inverse: columns.map((_, i) => columns.map((__, j) => undone.reduce((sum, each) => sum + each[i]! * each[j]!, 0))),
    leftOver: dot(rest, rest),
  };
}

/** Solves an upper triangle from its last row up. */
function backwards(upper: readonly (readonly number[])[], right: readonly number[]): number[] {
  const found = [...right];
  for (let row = right.length - 1; row >= 0; row -= 1) {
    for (let column = row + 1; column < right.length; column += 1) found[row]! -= upper[row]![column]! * found[column]!;
    found[row]! /= upper[row]![row]!;
  }
  return found;
}
