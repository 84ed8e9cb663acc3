import fc from 'fast-check';

import { fromCanonical, psi, toCanonical, UNITS, type Quantity } from './units';

describe('toCanonical', () => {
  it.each([
    ['pressure', 'psi', 36, 248.2112625],
    ['pressure', 'bar', 2.5, 250],
    ['mass', 'lb', 2205, 1000.1711759],
    ['length', 'in', 16, 406.4],
    ['speed', 'mph', 50, 80.4672],
    ['volume', 'gal', 100, 378.5411784],
    ['distance', 'ft', 100, 30.48],
    ['flow', 'cfm', 1, 28.316846592],
    ['area', 'in2', 10, 6451.6],
    ['pour', 'floz', 1, 29.5735295625],
  ] as const)('%s: %s %d', (quantity, unit, value, expected) => {
    expect(toCanonical(quantity as 'pressure', unit as 'psi', value)).toBeCloseTo(expected, 6);
  });
});

describe('UNITS', () => {
  it('has no code for two units, so that a code alone says which is meant', () => {
    const codes = Object.values(UNITS).flatMap((units) => Object.keys(units));
    expect(new Set(codes).size).toBe(codes.length);
  });
});

describe('fromCanonical', () => {
  it('undoes toCanonical for every unit of every quantity', () => {
    for (const quantity of Object.keys(UNITS) as Quantity[]) {
      for (const unit of Object.keys(UNITS[quantity])) {
        fc.assert(
          fc.property(fc.double({ min: 1e-3, max: 1e6, noNaN: true }), (value) => {
            const there = toCanonical(quantity, unit as never, value);
            expect(fromCanonical(quantity, unit as never, there) / value).toBeCloseTo(1, 12);
          }),
          { seed: 20, numRuns: 50 },
        );
      }
    }
  });
});

describe('psi', () => {
  it('is linear through zero', () => {
    expect(psi(0)).toBe(0);
    expect(psi(30)).toBeCloseTo(3 * psi(10), 10);
  });
});
