/**
 * Chance that a value of Student's t lies below, for a whole number of degrees of freedom. Exact: the finite series of
 * Abramowitz and Stegun, 26.7.3 and 26.7.4 (published; from memory).
 *
 * @example studentCdf(2, 5) // 0.949
 */
export function studentCdf(t: number, freedom: number): number {
  const theta = Math.atan(t / Math.sqrt(freedom));
  const [sine, cosine] = [Math.sin(theta), Math.cos(theta)];
  const even = freedom % 2 === 0;
  let term = even ? 1 : cosine;
  let sum = freedom === 1 ? 0 : term;
  for (let k = even ? 2 : 3; k <= freedom - 2; k += 2) {
    term *= (cosine * cosine * (k - 1)) / k;
    sum += term;
  }
  const within = even ? sine * sum : (2 / Math.PI) * (theta + sine * sum);
  return (1 + within) / 2;
}
