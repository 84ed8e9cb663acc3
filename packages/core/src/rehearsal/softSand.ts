/**
 * How much softer than the book's dry sand the sand is that the trade calls soft, as a natural logarithm. Assumption, set
 * on the trade's points for the reference wagon: 36 psi stops at once on a rise of 9°, 26 nearly gets up, 16 goes up.
 */
export const SOFT_SAND_SHIFT = 0.1;
