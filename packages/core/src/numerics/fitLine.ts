/** A straight line fitted by least squares. */
export interface LineFit {
  readonly slope: number;
  /** Zero where the line was held to the origin. */
  readonly intercept: number;
  /** Standard error of the slope; null where there are no readings to spare for it. */
  readonly slopeError: number | null;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/**
 * Ordinary least squares of y on x, with an intercept or held to the origin, and the standard error of the slope
 * from the residuals: s² = Σr²/(n − parameters), error = s/√Sxx. Exact.
 *
 * Undefined where the points do not fix a line: fewer points than parameters, or all at one x.
 *
 * @example fitLine([{ x: 0, y: 1 }, { x: 1, y: 3 }], 'free') // { slope: 2, intercept: 1, slopeError: null }
 */
export function fitLine(points: readonly Point[], intercept: 'free' | 'origin'): LineFit | undefined {
  const parameters = intercept === 'free' ? 2 : 1;
  if (points.length < parameters) return undefined;
  const meanX = intercept === 'free' ? sum(points.map(({ x }) => x)) / points.length : 0;
  const meanY = intercept === 'free' ? sum(points.map(({ y }) => y)) / points.length : 0;
  const sxx = sum(points.map(({ x }) => (x - meanX) ** 2));
  const largest = Math.max(...points.map(({ x }) => Math.abs(x)));
  // Readings at one and the same x leave only rounding dust here.
  if (sxx <= (largest * 1e-9) ** 2) return undefined;
  const slope = sum(points.map(({ x, y }) => (x - meanX) * (y - meanY))) / sxx;
  const offset = meanY - slope * meanX;
  const spare = points.length - parameters;
  const residuals = sum(points.map(({ x, y }) => (y - offset - slope * x) ** 2));
  return { slope, intercept: offset, slopeError: spare > 0 ? Math.sqrt(residuals / spare / sxx) : null };
}
