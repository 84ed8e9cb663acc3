import { leastSquares } from './leastSquares';

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

/**
 * Ordinary least squares of y on x, with an intercept or held to the origin, and the standard error of the slope
 * from the residuals: s² = Σr²/(n − parameters), error = s/√Sxx. Exact.
 *
 * Null where the points do not fix a line: fewer points than parameters, or all at one x.
 *
 * @example fitLine([{ x: 0, y: 1 }, { x: 1, y: 3 }], 'free') // { slope: 2, intercept: 1, slopeError: null }
 */
export function fitLine(points: readonly Point[], intercept: 'free' | 'origin'): LineFit | null {
  const xs = points.map(({ x }) => x);
  const fit = leastSquares(
    intercept === 'free' ? [xs.map(() => 1), xs] : [xs],
    points.map(({ y }) => y),
  );
  if (!fit) return null;
  const slope = fit.coefficients.at(-1)!;
  const spare = points.length - fit.coefficients.length;
  return {
    slope,
    intercept: intercept === 'free' ? fit.coefficients[0]! : 0,
    slopeError: spare > 0 ? Math.sqrt((fit.leftOver / spare) * fit.inverse.at(-1)!.at(-1)!) : null,
  };
}
