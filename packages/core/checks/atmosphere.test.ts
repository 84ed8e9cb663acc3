import { airPressureKpaAbs } from '../src/index';

describe('air pressure against the ICAO / ISO 2533 standard atmosphere (published, from memory)', () => {
  it.each([
    [0, 101.325],
    [1000, 89.875],
    [2000, 79.495],
    [3000, 70.108],
  ])('%d m: %d kPa', (altitudeM, kpa) => expect(airPressureKpaAbs(altitudeM)).toBeCloseTo(kpa, 2));
});
