/**
 * Absolute pressure of the outside air at an altitude, kPa, in the standard atmosphere below 11 km.
 * Published: ICAO / ISO 2533 standard atmosphere (from memory).
 *
 * @param altitudeM metres above sea level, −500 to 11 000
 * @example airPressureKpaAbs(1000) // 89.875
 */
export function airPressureKpaAbs(altitudeM: number): number {
  return 101.325 * (1 - 2.25577e-5 * altitudeM) ** 5.25588;
}
