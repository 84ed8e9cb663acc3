import fc from 'fast-check';

import type { Pump } from '../tools/pump';
import { budgetLiters, fillSeconds, flowAtLPerMin, litersToFill, pressureAfterSeconds } from './compressor';

const pa = 101.325;
const level: Pump['flow'] = [{ pressureKpa: 0, litersPerMin: 60 }];
const falling: Pump['flow'] = [
  { pressureKpa: 0, litersPerMin: 70 },
  { pressureKpa: 200, litersPerMin: 40 },
  { pressureKpa: 400, litersPerMin: 10 },
];

describe('flowAtLPerMin', () => {
  it.each([
    [-5, 70],
    [0, 70],
    [100, 55],
    [200, 40],
    [300, 25],
    [500, 10],
  ])('at %d kPa %d L/min', (kpa, flow) => expect(flowAtLPerMin(falling, kpa)).toBeCloseTo(flow, 9));
});

describe('fillSeconds', () => {
  it('is what its docs say', () => expect(fillSeconds(level, 60, 110, 250, pa)).toBeCloseTo(82.9, 1));

  it('takes no time down, and forever against a pump that stalls', () => {
    expect(fillSeconds(falling, 60, 200, 150, pa)).toBe(0);
    expect(
      fillSeconds(
        [
          { pressureKpa: 0, litersPerMin: 20 },
          { pressureKpa: 200, litersPerMin: 0 },
        ],
        60,
        100,
        250,
        pa,
      ),
    ).toBe(Number.POSITIVE_INFINITY);
  });

  it('takes longer where the air is thin', () =>
    expect(fillSeconds(falling, 60, 110, 250, 75)).toBeGreaterThan(fillSeconds(falling, 60, 110, 250, pa)));

  it('can be turned round', () => {
    const from = fc.double({ min: 0, max: 300, noNaN: true });
    const more = fc.double({ min: 0.5, max: 250, noNaN: true });
    fc.assert(
      fc.property(from, more, (fromKpa, rise) => {
        const seconds = fillSeconds(falling, 60, fromKpa, fromKpa + rise, pa);
        expect(pressureAfterSeconds(falling, 60, fromKpa, seconds, pa)).toBeCloseTo(fromKpa + rise, 6);
      }),
      { seed: 503 },
    );
  });
});

describe('budgets', () => {
  it('are counted at one atmosphere', () => {
    expect(budgetLiters({ kind: 'gas', kg: 2 })).toBeCloseTo(1092, 9);
    expect(budgetLiters({ kind: 'liters', liters: 250 })).toBe(250);
    expect(budgetLiters(null)).toBe(Number.POSITIVE_INFINITY);
    expect(litersToFill(60, 0, 101.325)).toBeCloseTo(60, 9);
    expect(litersToFill(60, 200, 100)).toBe(0);
  });
});
