import { airPressureKpaAbs } from '../atmosphere/airPressure';
import { leastSquares } from '../numerics/leastSquares';
import { CELSIUS_ZERO_K } from '../units/units';

/** One reading of one wheel, by a monitor with its temperature or by hand without. */
export interface WatchedReading {
  /** Any clock, in hours. */
  readonly atH: number;
  /** Gauge, as it is at that moment. */
  readonly pressureKpa: number;
  /** Of the air in the tire, as the sensor tells it; null where nothing does. */
  readonly tempC: number | null;
}

export interface LeakTestInput {
  /** In order of time. */
  readonly readings: readonly WatchedReading[];
  readonly altitudeM: number;
  /** The pressure is converted to this temperature, °C. */
  readonly coldTempC: number;
  /** How well a reading is known, kPa: one standard deviation. */
  readonly noiseKpa: number;
}

/** What the test says of a wheel. */
export interface LeakTest {
  /** `cannotTell` where the tires may only have cooled: no reading has its temperature. */
  readonly verdict: 'tooEarly' | 'noLeak' | 'leak' | 'cannotTell';
  /** Loss of cold pressure, kPa an hour; less than zero gains. */
  readonly lossKpaPerH: number;
  readonly lossErrorKpaPerH: number;
  /** The cold pressure now, by the fit. */
  readonly coldNowKpa: number;
  /** The loss over its error: the larger, the surer. */
  readonly z: number;
  /** How far the sensor lags behind the air in the tire, h: found from the readings themselves. */
  readonly sensorLagH: number;
  readonly readings: number;
}

/**
 * How many of its own errors a loss must be before it is called a leak. One-sided, a normal deviate beyond 5 comes about
 * by chance once in 3.5 million; the test is looked at all day and on every wheel. Assumption, checked on seeded days.
 */
export const LEAK_Z = 5;
/** A loss must come to this much over the readings, in errors of one reading. Assumption. */
const LEAST_LOSS_IN_NOISE = 2;
/**
 * What an evening may cool a tire by, °C an hour and in all: a loss that this explains is no leak as long as nobody read how
 * warm it was. Assumptions.
 */
const COOLS_C_PER_H = 12;
const COOLS_C = 40;
/** Fewer readings, or a shorter time, tell nothing. Assumptions. */
const FEWEST = 6;
const SHORTEST_H = 0.25;
/** The temperature's slope is taken over this far to each side, h. Assumption: five minutes. */
const SLOPE_H = 5 / 60;
/** Only the last hours count, so that a leak that begins at noon is not hidden by a sound morning. Assumption. */
export const LEAK_WINDOW_H = 3;

/**
 * Whether a tire loses air, or only cools: least squares on its cold pressure, with three terms.
 *
 * Each reading is brought to one warmth by the gas law: c = (p + pa)·T0/T − pa. A sensor on the rim lags behind the air,
 * so that while a tire warms c reads high by about lag·dT/dt·(c + pa)/T; that is the second term, and the readings
 * themselves say how large it is. What is left over is a straight line in time: its slope is the leak. It is called one
 * where the slope lies more than `LEAK_Z` standard errors below zero, and where the readings have their temperatures or it
 * is faster than any cooling. The error is that of the reading, or of what
 * the fit leaves over where that is more, and larger where neighbouring leftovers hang together.
 *
 * Exact for a steady leak and a sensor of first order; checked on seeded days.
 */
export function leakTest({ readings, altitudeM, coldTempC, noiseKpa }: LeakTestInput): LeakTest {
  const outside = airPressureKpaAbs(altitudeM);
  const last = readings.at(-1);
  const recent = last ? readings.filter(({ atH }) => atH >= last.atH - LEAK_WINDOW_H) : [];
  const cold = recent.map(({ pressureKpa, tempC }) =>
    tempC === null
      ? pressureKpa
      : ((pressureKpa + outside) * (coldTempC + CELSIUS_ZERO_K)) / (tempC + CELSIUS_ZERO_K) - outside,
  );
  const hours = recent.map(({ atH }) => atH - last!.atH);
  const span = hours.length > 0 ? -hours[0]! : 0;
  const early: LeakTest = {
    verdict: 'tooEarly',
    lossKpaPerH: 0,
    lossErrorKpaPerH: Number.POSITIVE_INFINITY,
    coldNowKpa: cold.at(-1) ?? 0,
    z: 0,
    sensorLagH: 0,
    readings: recent.length,
  };
  if (recent.length < FEWEST || span < SHORTEST_H) return early;

  const slopes = tempSlopes(recent);
  const lagTerm = recent.map(({ tempC }, index) =>
    tempC === null ? 0 : ((cold[index]! + outside) * slopes[index]!) / (tempC + CELSIUS_ZERO_K),
  );
  const useLag = varianceOf(lagTerm) > 1e-6;
  const columns = useLag ? [hours.map(() => 1), hours, lagTerm] : [hours.map(() => 1), hours];
  const fit = leastSquares(columns, cold);
  if (!fit) return early;

  const { coefficients, inverse } = fit;
  const leftOver = cold.map((value, row) =>
    columns.reduce((rest, column, index) => rest - column[row]! * coefficients[index]!, value),
  );
  const free = Math.max(1, recent.length - columns.length);
  const spread = Math.sqrt(leftOver.reduce((sum, each) => sum + each ** 2, 0) / free);
  const together = Math.min(0.95, Math.max(0, neighbours(leftOver)));
  const errorKpa = Math.max(noiseKpa, spread * Math.sqrt((1 + together) / (1 - together)));
  const lossErrorKpaPerH = errorKpa * Math.sqrt(inverse[1]![1]!);
  const lossKpaPerH = -coefficients[1]!;
  const z = lossKpaPerH / lossErrorKpaPerH;
  const leaks = z > LEAK_Z && lossKpaPerH * span > LEAST_LOSS_IN_NOISE * noiseKpa;
  const blind = recent.some(({ tempC }) => tempC === null);
  const perC = (coefficients[0]! + outside) / (coldTempC + CELSIUS_ZERO_K);
  const explained = blind && lossKpaPerH <= COOLS_C_PER_H * perC && lossKpaPerH * span <= COOLS_C * perC;
  return {
    verdict: !leaks ? 'noLeak' : explained ? 'cannotTell' : 'leak',
    lossKpaPerH,
    lossErrorKpaPerH,
    coldNowKpa: coefficients[0]!,
    z,
    sensorLagH: useLag ? Math.max(0, coefficients[2]!) : 0,
    readings: recent.length,
  };
}

/** How fast the temperature changes at each reading, °C/h, as a line through its neighbours. */
function tempSlopes(readings: readonly WatchedReading[]): number[] {
  let from = 0;
  let to = 0;
  return readings.map(({ atH }) => {
    while (readings[from]!.atH < atH - SLOPE_H) from += 1;
    while (to < readings.length && readings[to]!.atH <= atH + SLOPE_H) to += 1;
    const near = readings.slice(from, to).filter(({ tempC }) => tempC !== null);
    const n = near.length;
    if (n < 2) return 0;
    const meanH = near.reduce((sum, each) => sum + each.atH, 0) / n;
    const meanC = near.reduce((sum, each) => sum + each.tempC!, 0) / n;
    const across = near.reduce((sum, each) => sum + (each.atH - meanH) ** 2, 0);
    return across === 0 ? 0 : near.reduce((sum, each) => sum + (each.atH - meanH) * (each.tempC! - meanC), 0) / across;
  });
}

const meanOf = (values: readonly number[]): number => values.reduce((sum, each) => sum + each, 0) / values.length;
function varianceOf(values: readonly number[]): number {
  const mean = meanOf(values);
  return meanOf(values.map((each) => (each - mean) ** 2));
}

/** How much each left-over goes with the one before it, −1 to 1. */
function neighbours(values: readonly number[]): number {
  const all = values.reduce((sum, each) => sum + each ** 2, 0);
  return all === 0 ? 0 : values.slice(1).reduce((sum, each, index) => sum + each * values[index]!, 0) / all;
}

/** When a leaking wheel comes down to a pressure. */
export interface TimeToFloor {
  /** Hours from now, by the rate itself. */
  readonly hours: number;
  /** By a rate two standard errors faster: count on this. */
  readonly soonestHours: number;
}

/** Hours until a steady leak is down to the floor; zero where it is below it. Straight on: assumption, safe by a little. */
export function timeToFloor(
  { coldNowKpa, lossKpaPerH, lossErrorKpaPerH }: Pick<LeakTest, 'coldNowKpa' | 'lossKpaPerH' | 'lossErrorKpaPerH'>,
  floorKpa: number,
): TimeToFloor {
  const left = Math.max(0, coldNowKpa - floorKpa);
  return {
    hours: lossKpaPerH > 0 ? left / lossKpaPerH : Number.POSITIVE_INFINITY,
    soonestHours: left / Math.max(1e-9, lossKpaPerH + 2 * lossErrorKpaPerH),
  };
}
