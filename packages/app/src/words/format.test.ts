import { psi } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import fc from 'fast-check';

import { FIRST_UNITS, withUnit, type Units } from '../settings/preferences';
import { parseNumber, parseSum } from '../settings/typedNumber';
import {
  countText,
  day,
  dayAndTime,
  editText,
  length,
  mass,
  percent,
  pressure,
  pressureNumber,
  pressureRange,
  speed,
  timeOfDay,
  volume,
  when,
} from './format';

const US: Units = withUnit(FIRST_UNITS, 'mass', 'lb');
const SI: Units = { ...FIRST_UNITS, pressure: 'kPa' };
const plain = (text: string): string => text.replace(/\u00a0/g, ' ');

describe('onGauge', () => {
  it.each([
    ['psi', 15.4, 'nearest', 15],
    ['psi', 15.5, 'nearest', 16],
    ['psi', 12.01, 'up', 13],
    ['psi', 12, 'up', 12],
    ['psi', 12.99, 'down', 12],
  ] as const)('%s: %d psi to the %s mark is %d', (unit, value, direction, mark) => {
    expect(onGauge(psi(value), { pressure: unit }, direction) / psi(1)).toBeCloseTo(mark, 9);
  });

  it('never goes below with up, nor above with down, and stays within a step', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 700, noNaN: true }), fc.constantFrom('psi', 'bar', 'kPa'), (kpa, unit) => {
        const step = { psi: psi(1), bar: 5, kPa: 5 }[unit];
        const up = onGauge(kpa, { pressure: unit }, 'up');
        const down = onGauge(kpa, { pressure: unit }, 'down');
        expect(up).toBeGreaterThan(kpa - step * 1e-5);
        expect(down).toBeLessThan(kpa + step * 1e-5);
        expect(up - down).toBeLessThan(step * 1.00001);
      }),
      { seed: 41 },
    );
  });
});

describe('number with its unit', () => {
  it.each([
    [pressure(110.3, US), '16 psi'],
    [pressure(110.3, SI), '110 kPa'],
    [pressure(110.3, { ...SI, pressure: 'bar' }), '1.10 bar'],
    [mass(1000, US), '2205 lb'],
    [mass(569.6, SI), '570 kg'],
    [mass(35.44, SI), '35.4 kg'],
    [mass(95, SI), '95 kg'],
    [length(254, US), '10.0 in'],
    [length(-0.2, SI), '0 mm'],
    [speed(30, SI), '30 km/h'],
    [speed(80, US), '50 mph'],
    [speed(40, US), '25 mph'],
    // A limit is never told higher than it is.
    [speed(30, US), '18 mph'],
    [speed(15, US), '9 mph'],
    [volume(1000, US), '264 gal'],
    [volume(1000, SI), '1000 L'],
    [percent(0.227), '23 %'],
  ])('%s', (text, expected) => expect(plain(text)).toBe(expected));

  it('shows half a psi where bicycle gauges do', () => {
    expect(plain(pressure(psi(22.4), { ...US, fine: true }))).toBe('22.5 psi');
    expect(plain(pressure(psi(22.1), { ...US, fine: true }))).toBe('22 psi');
    expect(plain(pressure(psi(22.4), US))).toBe('22 psi');
  });

  it('tells a range by both ends, or by one where they read the same', () => {
    expect(plain(pressureRange(psi(14), psi(16), US))).toBe('14–16 psi');
    expect(plain(pressureRange(psi(14.1), psi(13.9), US))).toBe('14 psi');
  });
});

describe('times and numbers', () => {
  const dates = fc.date({ noInvalidDate: true, min: new Date('1970-01-02'), max: new Date('2199-12-30') });
  const clock = { hour: '2-digit', minute: '2-digit' } as const;
  const said = (date: Date, how: Intl.DateTimeFormatOptions): string =>
    new Intl.DateTimeFormat('en-GB', how).format(date);

  it('are written as British English writes them', () => {
    fc.assert(
      fc.property(dates, (date) => {
        const iso = date.toISOString();
        expect(timeOfDay(date.getTime())).toBe(said(date, clock));
        expect(day(iso)).toBe(said(date, { day: 'numeric', month: 'short', year: 'numeric' }));
        expect(dayAndTime(iso)).toBe(said(date, { day: 'numeric', month: 'short', year: 'numeric', ...clock }));
        const soon = date.getTime() + 40 * 86_400_000;
        expect(when(iso, soon)).toBe(said(date, { day: 'numeric', month: 'short', ...clock }));
        expect(when(iso, date.getTime())).toBe(said(date, clock));
        expect(when(iso, date.getTime() + 400 * 86_400_000)).toBe(day(iso));
      }),
    );
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2_000_000_000 }), (value) => {
        expect(countText(value)).toBe(new Intl.NumberFormat('en').format(value));
      }),
    );
  });
});

describe('parseNumber', () => {
  it.each([
    ['36', 36],
    [' 2,4 ', 2.4],
    ['.5', 0.5],
    ['-3', -3],
    ['7.', 7],
  ])('%p is %d', (text, value) => expect(parseNumber(text)).toBe(value));
  it.each(['', 'abc', '1e5', '3-4', '1,000.5', '12 psi', 'Infinity'])('%p is none', (text) => {
    expect(parseNumber(text)).toBeUndefined();
  });
});

describe('editText', () => {
  it('reads back as what was typed', () => {
    expect(editText('pressure', 'psi', psi(36))).toBe('36');
    expect(editText('pressure', 'bar', 240)).toBe('2.4');
    expect(pressureNumber(240, { pressure: 'bar' })).toBe('2.40');
  });
});

describe('parseSum', () => {
  it.each([
    ['41.2+38−3', 76.2],
    ['41,2 + 38', 79.2],
    ['600', 600],
    ['-3', -3],
    ['40+', undefined],
    ['40+x', undefined],
    ['', undefined],
    ['4+-5', undefined],
  ])('%p: %p', (text, sum) => {
    const result = parseSum(text);
    if (sum === undefined) expect(result).toBeUndefined();
    else expect(result).toBeCloseTo(sum, 9);
  });
});
