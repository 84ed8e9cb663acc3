import { psi } from '@dunlinmoss/core';

import { canonicalOf, EMPTY_QUANTITY, quantityText, shownText, stepped } from './quantityText';

describe('shownText', () => {
  it('shows what was typed in the unit it was typed in, and converts for another', () => {
    const typed = { text: '36', unit: 'psi' };
    expect(shownText('pressure', 'psi', typed)).toBe('36');
    expect(shownText('pressure', 'bar', typed)).toBe('2.48');
    expect(shownText('pressure', 'kPa', typed)).toBe('248');
  });

  it('means the same after any number of switches', () => {
    const typed = { text: '36', unit: 'psi' };
    shownText('pressure', 'bar', typed);
    expect(canonicalOf('pressure', typed)).toBeCloseTo(psi(36), 9);
  });

  it('sums what two scales show, for weights alone', () => {
    expect(canonicalOf('mass', { text: '41.2+38-3', unit: 'kg' })).toBeCloseTo(76.2, 9);
    expect(canonicalOf('pressure', { text: '30+6', unit: 'psi' })).toBeUndefined();
  });

  it('leaves text that is no number alone', () => {
    expect(shownText('pressure', 'bar', { text: 'firm', unit: 'psi' })).toBe('firm');
    expect(canonicalOf('pressure', { text: 'firm', unit: 'psi' })).toBeUndefined();
  });
});

describe('stepped', () => {
  it.each([
    ['psi', '15', 1, '16'],
    ['psi', '15', -1, '14'],
    ['psi', '15.4', 1, '16'],
    ['psi', '15.4', -1, '15'],
    ['bar', '1.05', 1, '1.1'],
    ['kPa', '0', -1, '0'],
  ] as const)('%s: %s one step %d is %s', (unit, text, direction, next) => {
    expect(stepped('pressure', unit, { text, unit }, direction, 100).text).toBe(next);
  });

  it('starts at the given value from nothing', () => {
    expect(stepped('pressure', 'psi', EMPTY_QUANTITY, 1, psi(18))).toEqual(quantityText('pressure', 'psi', psi(18)));
  });
});
