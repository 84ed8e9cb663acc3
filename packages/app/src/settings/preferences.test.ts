import { FIRST_UNITS, unitsOfLocale, withUnit, type Units } from './preferences';
import { createStore } from './store';

const metric: Units = FIRST_UNITS;
const pounds: Units = withUnit(FIRST_UNITS, 'mass', 'lb');

describe('withUnit', () => {
  it('brings inches, miles and gallons with pounds, and the metric ones with kilograms', () => {
    expect(withUnit(metric, 'mass', 'lb')).toEqual(pounds);
    expect(withUnit(pounds, 'mass', 'kg')).toEqual(metric);
  });

  it.each([
    ['pressure', 'bar'],
    ['speed', 'kmh'],
    ['volume', 'L'],
    ['distance', 'm'],
    ['flow', 'Lmin'],
  ] as const)('sets %s apart alone', (quantity, unit) => {
    expect(withUnit(pounds, quantity, unit)).toEqual({ ...pounds, [quantity]: unit });
  });

  it('brings the areas and small volumes of inches along with them', () => {
    expect(withUnit(pounds, 'length', 'mm')).toEqual({ ...pounds, length: 'mm', area: 'cm2', pour: 'mL' });
    expect(withUnit(metric, 'length', 'in')).toEqual({ ...metric, length: 'in', area: 'in2', pour: 'floz' });
  });
});

describe('units kept by an older version', () => {
  it('get what has been added since, and keep what was chosen', () => {
    const kept = new Map([['dunlinmoss:units', JSON.stringify({ pressure: 'bar', mass: 'lb', length: 'in' })]]);
    const before = globalThis.localStorage;
    Object.defineProperty(globalThis, 'localStorage', {
      configurable: true,
      value: { getItem: (key: string) => kept.get(key) ?? null, setItem: () => undefined },
    });
    try {
      expect(createStore(metric, 'units').get()).toEqual({ ...metric, pressure: 'bar', mass: 'lb', length: 'in' });
      expect(createStore<readonly number[]>([1], 'none').get()).toEqual([1]);
    } finally {
      Object.defineProperty(globalThis, 'localStorage', { configurable: true, value: before });
    }
  });
});

describe('units of a locale', () => {
  it.each([
    ['en-US', { pressure: 'psi', mass: 'lb', speed: 'mph', volume: 'gal' }],
    ['en', { pressure: 'psi', mass: 'lb', speed: 'mph', volume: 'gal' }],
    ['en-GB', { pressure: 'psi', mass: 'kg', speed: 'mph', distance: 'ft' }],
    ['en-AU', { pressure: 'psi', mass: 'kg', speed: 'kmh' }],
    ['de-AT', { pressure: 'bar', mass: 'kg', speed: 'kmh', volume: 'L' }],
    ['fr', { pressure: 'bar', mass: 'kg' }],
    ['C', { pressure: 'psi', mass: 'kg' }],
    [undefined, { pressure: 'psi', mass: 'kg' }],
  ] as const)('of %s are those that people there read', (locale, units) => {
    expect(unitsOfLocale(locale)).toMatchObject(units);
  });
});
