import { airPressureKpaAbs, gaugeNowKpa, psi } from '../src/index';

/** Published: ICAO / ISO 2533 standard atmosphere (from memory). */
describe('air pressure against the standard atmosphere', () => {
  it.each([
    [0, 101.325],
    [1000, 89.875],
    [2000, 79.495],
    [3000, 70.108],
  ])('%d m: %d kPa', (altitudeM, kpa) => expect(airPressureKpaAbs(altitudeM)).toBeCloseTo(kpa, 2));
});

describe('a warm tire against the gas law', () => {
  const warmer = (fahrenheit: number): number =>
    gaugeNowKpa(psi(35), { coldTempC: 20, tireTempC: 20 + (fahrenheit * 5) / 9, altitudeM: 0 }) / psi(1) - 35;

  it('gains 0.94 psi over 35 for ten °F more (exact)', () => expect(warmer(10)).toBeCloseTo(0.94, 2));
  it('gains about 1 psi for 10 °F (common practice, no source)', () => expect(Math.round(warmer(10))).toBe(1));
});
