import { published, type Source } from '../source';

export const FARM_SPEED_SOURCE: Source = published(
  'European Tyre and Rim Technical Organisation, drive-wheel speed table',
);

/**
 * Load of a farm drive-wheel tire against its rating at 40 km/h, by speed in km/h.
 * Published: European Tyre and Rim Technical Organisation, drive-wheel speed table (from memory).
 */
export const FARM_SPEED_TABLE: readonly (readonly [kmh: number, factor: number])[] = [
  [10, 1.5],
  [15, 1.34],
  [20, 1.23],
  [25, 1.11],
  [30, 1.07],
  [40, 1],
  [50, 0.91],
];

/** The bonus at or below this speed holds only without sustained high torque, km/h. */
const SLOW_KMH = 10;

/**
 * What a farm tire rated at 40 km/h carries at another speed, as a share of its rating; between the rows of the table
 * in a straight line. Undefined above 50 km/h, where the rating does not reach.
 *
 * @param highTorque pulling hard for long: then there is no bonus at or below 10 km/h
 * @example farmSpeedFactor(50, false) // 0.91
 */
export function farmSpeedFactor(speedKmh: number, highTorque: boolean): number | undefined {
  if (speedKmh <= SLOW_KMH) return highTorque ? 1 : FARM_SPEED_TABLE[0]![1];
  for (let row = 1; row < FARM_SPEED_TABLE.length; row += 1) {
    const [slower, more] = FARM_SPEED_TABLE[row - 1]!;
    const [faster, less] = FARM_SPEED_TABLE[row]!;
    if (speedKmh <= faster) return more + ((less - more) * (speedKmh - slower)) / (faster - slower);
  }
  return undefined;
}
