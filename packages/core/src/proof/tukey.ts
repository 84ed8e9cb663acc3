/** Nodes and weights of Gauss and Legendre's rule with 16 points on [-1, 1], the half above zero. Exact. */
const HALF: readonly (readonly [x: number, weight: number])[] = [
  [0.0950125098376374, 0.1894506104550685],
  [0.2816035507792589, 0.1826034150449236],
  [0.4580167776572274, 0.1691565193950025],
  [0.6178762444026438, 0.1495959888165767],
  [0.755404408355003, 0.1246289712555339],
  [0.8656312023878318, 0.0951585116824928],
  [0.9445750230732326, 0.0622535239386479],
  [0.9894009349916499, 0.0271524594117541],
];

/** An integral from a to b in so many equal pieces. */
function integrate(f: (x: number) => number, a: number, b: number, pieces: number): number {
  const half = (b - a) / (2 * pieces);
  let sum = 0;
  for (let piece = 0; piece < pieces; piece += 1) {
    const middle = a + (2 * piece + 1) * half;
    for (const [x, weight] of HALF) sum += weight * (f(middle + half * x) + f(middle - half * x));
  }
  return sum * half;
}

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
  return Math.min(1, groups * integrate(inner, -7, 7, 4));
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
  return Math.min(1, integrate(ofSpread, 1e-9, most, 3));
}
