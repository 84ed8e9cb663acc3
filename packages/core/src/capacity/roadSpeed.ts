import { alongRows, type Rows } from '../numerics/alongRows';
import { published, type Source } from '../sources/source';

export const ROAD_SPEED_SOURCE: Source = published('UN ECE Regulation 54, variation of load capacity with speed');

/**
 * How much more than its index a road tire may carry while it is slower than its own speed, by load index.
 * Published: UN ECE Regulation 54 (from memory). Speed in km/h, share of the index.
 */
const UP_TO_121: Rows = [
  [5, 0.9],
  [10, 0.75],
  [15, 0.6],
  [20, 0.5],
  [25, 0.42],
  [30, 0.35],
  [40, 0.25],
  [60, 0.15],
  [80, 0.1],
  [100, 0.05],
  [120, 0],
];
const FROM_122: Rows = [
  [5, 1.1],
  [10, 0.8],
  [15, 0.65],
  [20, 0.5],
  [25, 0.35],
  [30, 0.25],
  [40, 0.15],
  [60, 0.1],
  [80, 0],
];
export const HEAVY_INDEX = 122;

/**
 * What a tire of a car, van, truck or motorcycle carries at a speed, as a share of its index; 1 at its own speed. A tire
 * whose own speed is below that of the table has so much less of a bonus.
 *
 * @param ownKmh the speed of its symbol; null where the marking names none
 * @example roadSpeedFactor(112, 190, 40) // 1.25
 */
export function roadSpeedFactor(loadIndex: number, ownKmh: number | null, speedKmh: number): number {
  const table = loadIndex >= HEAVY_INDEX ? FROM_122 : UP_TO_121;
  const atOwn = ownKmh === null ? 0 : alongRows(table, ownKmh);
  return 1 + Math.max(0, alongRows(table, speedKmh) - atOwn);
}
