import type { Rows } from './alongRows';

/**
 * The value at x between rows, straight in both logarithms; beyond the ends the nearest line is carried on. Exact.
 *
 * @param rows two or more pairs of x and value, x rising, all above 0
 * @example alongLogRows([[1, 4], [4, 1]], 2) // 2
 */
export function alongLogRows(rows: Rows, x: number): number {
  const above = rows.findIndex(([at]) => at >= x);
  const upper = Math.max(1, above === -1 ? rows.length - 1 : above);
  const [[lowX, low], [highX, high]] = [rows[upper - 1]!, rows[upper]!];
  return low * (high / low) ** (Math.log(x / lowX) / Math.log(highX / lowX));
}
