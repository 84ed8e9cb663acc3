/** One reading of a gauge held against a gauge that is trusted, on the same tire at once. */
export interface Comparison {
  readonly gaugeKpa: number;
  readonly trustedKpa: number;
}

/** A gauge as its dial and its owner describe it. */
export interface Gauge {
  readonly fromKpa: number;
  readonly fullScaleKpa: number;
  /** Accuracy class: the most it may be off, in percent of full scale; null where nothing says. */
  readonly gradePercent: number | null;
  readonly comparisons: readonly Comparison[];
}

/** How far a gauge reads above the truth, kPa, and how much that scatters from comparison to comparison. */
export interface GaugeOffset {
  readonly offsetKpa: number;
  /** Standard deviation of the differences; null with fewer than two. */
  readonly spreadKpa: number | null;
}

/**
 * The mean difference against the trusted gauge. Exact. Null without a comparison.
 *
 * @example gaugeOffset([{ gaugeKpa: 210, trustedKpa: 200 }]) // { offsetKpa: 10, spreadKpa: null }
 */
export function gaugeOffset(comparisons: readonly Comparison[]): GaugeOffset | null {
  const count = comparisons.length;
  if (count === 0) return null;
  const differences = comparisons.map(({ gaugeKpa, trustedKpa }) => gaugeKpa - trustedKpa);
  const offsetKpa = differences.reduce((sum, each) => sum + each, 0) / count;
  const squares = differences.reduce((sum, each) => sum + (each - offsetKpa) ** 2, 0);
  return { offsetKpa, spreadKpa: count > 1 ? Math.sqrt(squares / (count - 1)) : null };
}

/** What a gauge that reads so far off really found, kPa; never less than nothing. */
export const correctedKpa = (rawKpa: number, offsetKpa: number): number => Math.max(0, rawKpa - offsetKpa);
