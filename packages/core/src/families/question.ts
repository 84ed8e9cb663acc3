/** The slip that most likely made an unlikely number of a likely one. */
export type Slip = 'decimal' | 'unit';

/** A number that is well-formed and hardly can be: kept as it is, and asked about. In the unit of what was asked. */
export interface PlausibilityCheck {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly slip: Slip | null;
  /** What the value would be without the slip. */
  readonly meant: number | null;
}

/** Likely values of a quantity, both ends in. */
export interface Likely {
  readonly low: number;
  readonly high: number;
}

const DECIMAL_SHIFTS = [10, 0.1, 100, 0.01, 1000, 0.001];

/**
 * Asks about a value outside what is likely: null where it is likely. Looks for what was meant: first a number of
 * another unit taken for canonical, then a slip of the decimal point, then a canonical number taken for another unit.
 *
 * @param unitFactors how many canonical units each other unit of the quantity has, as in 0.4536 for pounds in kg
 * @example questionOf(80, { low: 300, high: 9000 }, []) // slip decimal, meant 800
 */
export function questionOf(
  value: number,
  { low, high }: Likely,
  unitFactors: readonly number[] = [],
): PlausibilityCheck | null {
  if (value >= low && value <= high) return null;
  const slips: readonly (readonly [Slip, readonly number[]])[] = [
    ['unit', unitFactors.map((factor) => value * factor)],
    ['decimal', DECIMAL_SHIFTS.map((shift) => value * shift)],
    ['unit', unitFactors.map((factor) => value / factor)],
  ];
  for (const [slip, candidates] of slips) {
    const meant = candidates.find((candidate) => candidate >= low && candidate <= high);
    if (meant !== undefined) return { value, low, high, slip, meant };
  }
  return { value, low, high, slip: null, meant: null };
}
