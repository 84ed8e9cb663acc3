import { gaussLegendre } from '../numerics/quadrature';

const { exp, log: ln, sqrt } = Math;
const ROOT_TWO_PI = sqrt(2 * Math.PI);
const density = (z: number): number => exp((-z * z) / 2) / ROOT_TWO_PI;

/**
 * Chance that a normal deviate lies below, to 7.5e-8. Published: Abramowitz and Stegun, 26.2.17 (from memory).
 */
function normalCdf(z: number): number {
  const t = 1 / (1 + 0.2316419 * (z < 0 ? -z : z));
  const above =
    density(z) * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z < 0 ? above : 1 - above;
}

/** Chance that the range of so many normal deviates is below w, their deviation known. By quadrature. */
function rangeCdf(w: number, groups: number): number {
  if (w <= 0) return 0;
  const inner = (z: number): number => density(z) * (normalCdf(z) - normalCdf(z - w)) ** (groups - 1);
  return Math.min(1, groups * gaussLegendre(inner, -7, 7, 4));
}

/** Logarithm of the gamma function of half a whole number, above zero. Exact, by recursion. */
function logGammaHalf(twice: number): number {
  let log = twice % 2 === 0 ? 0 : Math.log(Math.PI) / 2;
  for (let at = twice % 2 === 0 ? 2 : 1; at < twice; at += 2) log += Math.log(at / 2);
  return log;
}

/**
 * Chance that the studentised range of so many equal groups lies below: how far the best of several lies from the worst
 * by chance alone, in standard errors of a mean. By quadrature over the range and over the spread, to 1e-5.
 *
 * @param q the largest difference over the standard error of one mean, 0 or more
 * @param groups how many were compared, 2 or more
 * @param freedom degrees of freedom of the spread, 1 or more
 * @example tukeyCdf(3.88, 3, 10) // 0.950
 */
export function tukeyCdf(q: number, groups: number, freedom: number): number {
  if (q <= 0) return 0;
  // s is the found spread over the true one: freedom·s² is chi-squared.
  const logScale = (freedom / 2) * Math.log(freedom / 2) + Math.log(2) - logGammaHalf(freedom);
  const ofSpread = (s: number): number =>
    exp(logScale + (freedom - 1) * ln(s) - (freedom * s * s) / 2) * rangeCdf(q * s, groups);
  const most = 1 + 8 / Math.sqrt(freedom);
  return Math.min(1, gaussLegendre(ofSpread, 1e-9, most, 3));
}
