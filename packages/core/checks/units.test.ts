import Qty from 'js-quantities';

import { fromCanonical, psi, STANDARD_GRAVITY, toCanonical } from '../src/index';

describe('units against NIST SP 811 (published, from memory)', () => {
  it.each([
    ['1 psi in kPa', psi(1), 6.894757293],
    ['1 bar in kPa', toCanonical('pressure', 'bar', 1), 100],
    ['1 lb in kg', toCanonical('mass', 'lb', 1), 0.45359237],
    ['1 in in mm', toCanonical('length', 'in', 1), 25.4],
    ['standard gravity', STANDARD_GRAVITY, 9.80665],
  ])('%s', (_, ours, theirs) => expect(ours).toBeCloseTo(theirs, 9));
});

describe('units against a reference library', () => {
  it.each([
    ['pressure', 'psi', 'psi', 'kPa'],
    ['pressure', 'bar', 'bar', 'kPa'],
    ['mass', 'lb', 'lb', 'kg'],
    ['length', 'in', 'in', 'mm'],
    ['speed', 'mph', 'mph', 'kph'],
  ] as const)('%s: %s', (quantity, unit, theirUnit, theirCanonical) => {
    for (const value of [0.5, 1, 17, 36.25, 2205]) {
      const theirs = Qty(value, theirUnit).to(theirCanonical).scalar;
      // The library keeps 1 psi as 6894.76 Pa, so agreement ends at its sixth figure.
      expect(toCanonical(quantity as 'pressure', unit as 'psi', value) / theirs).toBeCloseTo(1, 6);
      expect(fromCanonical(quantity as 'pressure', unit as 'psi', theirs) / value).toBeCloseTo(1, 6);
    }
  });
});
