import { withUnit, type Units } from './preferences';
import { createStore } from './store';

const metric: Units = { pressure: 'psi', mass: 'kg', length: 'mm', speed: 'kmh', volume: 'L' };
const pounds: Units = { pressure: 'psi', mass: 'lb', length: 'in', speed: 'mph', volume: 'gal' };

describe('withUnit', () => {
  it('brings inches, miles and gallons with pounds, and the metric ones with kilograms', () => {
    expect(withUnit(metric, 'mass', 'lb')).toEqual(pounds);
    expect(withUnit(pounds, 'mass', 'kg')).toEqual(metric);
  });

  it.each([
    ['pressure', 'bar'],
    ['length', 'mm'],
    ['speed', 'kmh'],
    ['volume', 'L'],
  ] as const)('sets %s apart alone', (quantity, unit) => {
    expect(withUnit(pounds, quantity, unit)).toEqual({ ...pounds, [quantity]: unit });
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
