import { assumption, commonPractice, published, type Source } from '../sources/source';
import { gaugeOffset, type Gauge } from './gauge';

/** Accuracy classes of dial gauges, percent of full scale. Published: EN 837-1 (from memory). */
export const GAUGE_GRADES = [1, 1.6, 2.5] as const;
export const GRADE_SOURCE: Source = published('EN 837-1');

/** A gauge is read best in the middle half to three quarters of its range. Common practice, no source. */
const MIDDLE = { good: [0.25, 0.75], fair: [0.125, 0.875] } as const;
export const MIDDLE_SOURCE: Source = commonPractice;

/** Where nothing says how good a gauge is, it is taken to be as poor as the poorest class. Assumption. */
const UNKNOWN_GRADE = 2.5;
export const UNKNOWN_GRADE_SOURCE: Source = assumption;

export type GaugeFlaw =
  | { readonly code: 'beyondScale'; readonly fromKpa: number; readonly fullScaleKpa: number }
  | { readonly code: 'nearTheEnd'; readonly shareOfScale: number }
  | { readonly code: 'tooCoarse'; readonly errorKpa: number; readonly stepKpa: number };

export interface GaugeFitness {
  /** `unfit` can't be trusted with this pressure at all. */
  readonly fitness: 'good' | 'fair' | 'unfit';
  /** The most it may be off: grade × full scale, or the scatter of its comparisons where that is known. */
  readonly errorKpa: number;
  readonly flaws: readonly GaugeFlaw[];
}

/**
 * Whether a gauge can be trusted with a pressure: it must lie on the scale, well away from both ends, and the gauge's
 * error must be smaller than the step that matters.
 *
 * @param stepKpa the step that matters, as 1 psi
 * @example a 0–160 psi stick and 8 psi: beyond the middle of the scale, unfit
 */
export function gaugeFitness(gauge: Gauge, targetKpa: number, stepKpa: number): GaugeFitness {
  const { fromKpa, fullScaleKpa, gradePercent, comparisons } = gauge;
  const shareOfScale = targetKpa / fullScaleKpa;
  const spread = gaugeOffset(comparisons)?.spreadKpa ?? null;
  // Comparing tells how a gauge scatters, but no finer than it was read.
  const compared = spread === null ? null : Math.max(spread, stepKpa / 2);
  const errorKpa = compared ?? ((gradePercent ?? UNKNOWN_GRADE) / 100) * fullScaleKpa;
  const flaws: GaugeFlaw[] = [];
  const within = ([low, high]: readonly [number, number]): boolean => shareOfScale >= low && shareOfScale <= high;
  if (targetKpa < fromKpa || targetKpa > fullScaleKpa) flaws.push({ code: 'beyondScale', fromKpa, fullScaleKpa });
  else if (!within(MIDDLE.good)) flaws.push({ code: 'nearTheEnd', shareOfScale });
  if (errorKpa > stepKpa) flaws.push({ code: 'tooCoarse', errorKpa, stepKpa });
  const fitness = !within(MIDDLE.fair) ? 'unfit' : flaws.length === 0 ? 'good' : 'fair';
  return { fitness, errorKpa, flaws };
}
