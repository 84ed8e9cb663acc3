import { airPressureKpaAbs } from './airPressure';

describe('airPressureKpaAbs', () => {
  it('is the standard pressure at sea level', () => {
    expect(airPressureKpaAbs(0)).toBe(101.325);
  });

  it('falls with height, and is above standard below sea level', () => {
    expect(airPressureKpaAbs(-100)).toBeGreaterThan(101.325);
    expect(airPressureKpaAbs(2500)).toBeLessThan(airPressureKpaAbs(2400));
  });
});
