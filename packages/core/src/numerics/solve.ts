type Matrix = readonly (readonly number[])[];

/**
 * The lower triangle whose product with its transpose is a symmetric positive definite matrix: Cholesky's decomposition.
 * Exact. Throws a RangeError where it is not positive definite.
 */
export function choleskyOf(matrix: Matrix): number[][] {
  const lower = matrix.map((row) => row.map(() => 0));
  for (let i = 0; i < matrix.length; i += 1) {
    for (let j = 0; j <= i; j += 1) {
      let rest = matrix[i]![j]!;
      for (let k = 0; k < j; k += 1) rest -= lower[i]![k]! * lower[j]![k]!;
      if (i === j && !(rest > 0)) throw new RangeError('choleskyOf: expected a positive definite matrix');
      lower[i]![j] = i === j ? Math.sqrt(rest) : rest / lower[j]![j]!;
    }
  }
  return lower;
}

/** The inverse of a symmetric positive definite matrix. Exact; throws as `choleskyOf` does. */
export function inverseOf(matrix: Matrix): number[][] {
  const size = matrix.length;
  const lower = choleskyOf(matrix);
  return matrix.map((_, column) => {
    const x = matrix.map((__, row) => (row === column ? 1 : 0));
    for (let i = 0; i < size; i += 1) {
      for (let k = 0; k < i; k += 1) x[i]! -= lower[i]![k]! * x[k]!;
      x[i]! /= lower[i]![i]!;
    }
    for (let i = size - 1; i >= 0; i -= 1) {
      for (let k = i + 1; k < size; k += 1) x[i]! -= lower[k]![i]! * x[k]!;
      x[i]! /= lower[i]![i]!;
    }
    return x;
  });
}

export const times = (matrix: Matrix, vector: readonly number[]): number[] =>
  matrix.map((row) => row.reduce((sum, value, index) => sum + value * vector[index]!, 0));
