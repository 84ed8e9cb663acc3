/** The slip that most likely made an unlikely number of a likely one. */
export type Slip = 'decimal' | 'unit';

/** A number that is well-formed and hardly can be: kept as it is, and asked about. In the unit of what was asked. */
export interface Question {
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
 * Asks about a value outside what is likely: undefined where it is likely. Looks for a slip of unit first, then for one
 * of the decimal point.
 *
 * @param unitFactors how many canonical units each other unit of the quantity has, as in 0.4536 for pounds in kg
 * @example questionOf(80, { low: 300, high: 9000 }, []) // slip decimal, meant 800
 */
export function questionOf(
  value: number,
  { low, high }: Likely,
  unitFactors: readonly number[] = [],
): Question | undefined {
  if (value >= low && value <= high) return undefined;
  const fits = (candidate: number): boolean => candidate >= low && candidate <= high;
  const unit = unitFactors.flatMap((factor) => [value * factor, value / factor]).find(fits);
  if (unit !== undefined) return { value, low, high, slip: 'unit', meant: unit };
  const decimal = DECIMAL_SHIFTS.map((shift) => value * shift).find(fits);
  if (decimal !== undefined) return { value, low, high, slip: 'decimal', meant: decimal };
  return { value, low, high, slip: null, meant: null };
}
