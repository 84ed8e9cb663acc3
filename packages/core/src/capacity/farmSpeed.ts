import { alongRows, type Rows } from '../numerics/alongRows';
import { assumption, commonPractice, published, type Source } from '../sources/source';

export const FARM_SPEED_SOURCE: Source = published(
  'European Tyre and Rim Technical Organisation, drive-wheel speed table',
);
/** Faster-rated tires, and the firm end of a ratio. Common practice, from memory. */
export const FASTER_RATED_SOURCE: Source = commonPractice;
/** Wheels that only roll. Assumption. */
export const ROLLING_SOURCE: Source = assumption;

/**
 * Load of a farm drive-wheel tire rated at 40 km/h (A8) by speed.
 * Published: European Tyre and Rim Technical Organisation, drive-wheel speed table (from memory).
 */
export const FARM_SPEED_TABLE: Rows = [
  [10, 1.5],
  [15, 1.34],
  [20, 1.23],
  [25, 1.11],
  [30, 1.07],
  [40, 1],
  [50, 0.91],
];

/** At 10 km/h a tire rated for 65 carries so much more than at 40. Common practice, from memory. */
const FASTER_AT_10 = 0.37;
const A8_AT_10 = 0.5;
/** Tires rated for 65 km/h carry about so much more at 40 and 50 than at 65. Common practice, from memory. */
const D_AT_40 = 1.09;
const D_AT_50 = 1.05;

/**
 * Load of tires with a faster rating (B, D, E) against their own at 40 km/h. Below 40 the bonus of the published table,
 * brought down to 37 % at 10 km/h; above, what is left of 1.09 at 40 and 1.05 at 50 for 1 at 65, and on in that line.
 */
export const FASTER_SPEED_TABLE: Rows = [
  ...FARM_SPEED_TABLE.filter(([kmh]) => kmh <= 40).map(
    ([kmh, factor]) => [kmh, 1 + ((factor - 1) * FASTER_AT_10) / A8_AT_10] as const,
  ),
  [50, D_AT_50 / D_AT_40],
  [65, 1 / D_AT_40],
  [90, 1 / D_AT_40 - ((D_AT_50 - 1) / D_AT_40) * (25 / 15)],
];

/** Wheels that only roll (trailers, tankers, spreaders), without a data sheet. Assumption. */
const ROLLING_TABLE: Rows = [
  [10, 1.2],
  [25, 1.1],
  [40, 1],
  [90, 1],
];

/** A rating at 40 km/h reaches this far, km/h. */
export const A8_TOP_KMH = FARM_SPEED_TABLE.at(-1)![0];

/** How a farm tire is used. */
export interface FarmDuty {
  /** Pulling hard for long cancels the bonus for being slow, at every field speed. Published with the table. */
  readonly highTorque?: boolean;
  /** Not driven: less of a bonus. */
  readonly rolling?: boolean;
}

const held = (factor: number, { highTorque }: FarmDuty): number => (highTorque ? Math.min(1, factor) : factor);

/**
 * What a farm tire carries at a speed, as a share of its rating. Null where the rating does not reach.
 *
 * @param ratedKmh the speed of its rating; 40 counts as A8 and reaches to 50
 * @example farmSpeedFactor(40, 50) // 0.91
 * @example farmSpeedFactor(65, 10) // 1.49: 1.37 times the 1.09 that it carries at 40
 */
export function farmSpeedFactor(ratedKmh: number, speedKmh: number, duty: FarmDuty = {}): number | null {
  const reachKmh = ratedKmh === 40 ? A8_TOP_KMH : ratedKmh;
  if (speedKmh > reachKmh) return null;
  if (duty.rolling && speedKmh <= ratedKmh) return held(alongRows(ROLLING_TABLE, speedKmh), duty);
  const table = ratedKmh > 40 ? FASTER_SPEED_TABLE : FARM_SPEED_TABLE;
  const own = alongRows(table, ratedKmh);
  const there = alongRows(table, speedKmh);
  return held(there / own, duty);
}

/**
 * The same between two speeds, where the rating is not known and only a pressure that is driven with on the road is:
 * 1.37 at 10 km/h for the firm end of a window, 1.5 for the soft end.
 *
 * @param fromKmh the speed on the road
 * @example farmSpeedRatio(40, 10, 'soft') // 1.5
 */
export function farmSpeedRatio(fromKmh: number, toKmh: number, end: 'firm' | 'soft', duty: FarmDuty = {}): number {
  const at = (kmh: number): number => {
    const table = duty.rolling
      ? ROLLING_TABLE
      : end === 'firm' || kmh > A8_TOP_KMH
        ? FASTER_SPEED_TABLE
        : FARM_SPEED_TABLE;
    return alongRows(table, kmh);
  };
  return held(at(toKmh) / at(fromKmh), duty);
}
