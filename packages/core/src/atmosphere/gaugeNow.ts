import { airPressureKpaAbs } from './airPressure';
import { CELSIUS_ZERO_K } from '../units/units';

/** Where and how warm a tire is while it is read. */
export interface TireConditions {
  /** At which its cold pressure is meant: that of the air before driving. */
  readonly coldTempC: number;
  /** What its air has now. */
  readonly tireTempC: number;
  readonly altitudeM: number;
}

/**
 * What a gauge should show on a tire whose cold pressure is meant to be so much, kPa. The air in it keeps its volume:
 * its absolute pressure goes with the absolute temperature, and a gauge reads what is above the air outside. Exact but
 * for the standard atmosphere.
 *
 * @example gaugeNowKpa(psi(35), { coldTempC: 20, tireTempC: 25.556, altitudeM: 0 }) // 35.94 psi: ten °F more
 */
export function gaugeNowKpa(coldKpa: number, { coldTempC, tireTempC, altitudeM }: TireConditions): number {
  const outside = airPressureKpaAbs(altitudeM);
  return ((coldKpa + outside) * (tireTempC + CELSIUS_ZERO_K)) / (coldTempC + CELSIUS_ZERO_K) - outside;
}

/** The cold pressure of a tire on which a gauge shows so much, kPa: `gaugeNowKpa` turned round. */
export function coldKpa(shownKpa: number, { coldTempC, tireTempC, altitudeM }: TireConditions): number {
  const outside = airPressureKpaAbs(altitudeM);
  return ((shownKpa + outside) * (coldTempC + CELSIUS_ZERO_K)) / (tireTempC + CELSIUS_ZERO_K) - outside;
}
