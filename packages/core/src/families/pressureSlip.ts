import { fromCanonical, toCanonical, UNITS, type PressureUnit } from '../units/units';
import type { Likely } from './question';

/** A reading of the same digits in another unit. */
export interface OtherReading {
  readonly unit: PressureUnit;
  readonly pressureKpa: number;
}

/** A pressure that was typed and hardly can be: what such rigs usually have, and what the digits may have meant. */
export interface PressureDoubt {
  readonly pressureKpa: number;
  readonly usual: Likely;
  /** The same digits in the other units, where that fits. */
  readonly readAs: readonly OtherReading[];
}

/** A pressure is asked back outside half to double of what is usual. Assumption. */
const BESIDE = { low: 0.5, high: 2 };

const fits = (pressureKpa: number, { low, high }: Likely): boolean =>
  pressureKpa >= BESIDE.low * low && pressureKpa <= BESIDE.high * high;

/**
 * Asks back about a pressure outside half to double of what is usual, and tries its digits in the other units: 240 typed as
 * psi is most likely 240 kPa. Null where it fits as it is.
 *
 * @param unit the unit that it was typed in
 * @example pressureDoubt(psi(240), 'psi', { low: psi(26), high: psi(50) }) // readAs: 240 kPa
 */
export function pressureDoubt(pressureKpa: number, unit: PressureUnit, usual: Likely): PressureDoubt | null {
  if (fits(pressureKpa, usual)) return null;
  const digits = fromCanonical('pressure', unit, pressureKpa);
  const readAs = (Object.keys(UNITS.pressure) as PressureUnit[])
    .filter((other) => other !== unit)
    .map((other) => ({ unit: other, pressureKpa: toCanonical('pressure', other, digits) }))
    .filter((reading) => fits(reading.pressureKpa, usual));
  return { pressureKpa, usual, readAs };
}
