/**
 * Φ, the chance that a standard normal variable lies below z. By Abramowitz and Stegun 7.1.26 (published): right to 1.5e-7.
 *
 * @example normalBelow(0) = 0.5
 */
export function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-x * x);
  return z >= 0 ? 1 - tail / 2 : tail / 2;
}

/**
 * `normalBelow` turned round, by halving: right to 1e-6 between a thousandth and its complement.
 *
 * @param share above 0, below 1
 * @example normalQuantile(0.975) = 1.96
 */
export function normalQuantile(share: number): number {
  let [low, high] = [-8, 8];
  for (let half = 0; half < 40; half++) {
    const middle = (low + high) / 2;
    if (normalBelow(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
