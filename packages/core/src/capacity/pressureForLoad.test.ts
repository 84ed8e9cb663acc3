import fc from 'fast-check';

import { readMarking } from '../markings/readMarking';
import { capacity, fullPressureKpa, loadCurve, pressureForLoadKpa, type LoadCurve, type LoadRow } from './loadCurve';

const tire = (marking: string) => {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(marking);
  return reading.value;
};
const curve = (marking: string, change: Partial<Parameters<typeof loadCurve>[0]> = {}): LoadCurve => {
  const result = loadCurve({ tire: tire(marking), maxKpa: null, lines: [], rows: [], rowsOf: 'thisTire', ...change });
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
};

const SHEET: LoadRow[] = [10, 30, 50].flatMap((speedKmh, column) =>
  [60, 100, 160, 240].map((pressureKpa, row) => ({ speedKmh, pressureKpa, loadKg: 2600 + 620 * row - 340 * column })),
);

const CURVES: readonly (readonly [string, LoadCurve])[] = [
  ['an index', curve('480/80R50 159A8/B **')],
  ['one line', curve('AT25x8-12', { lines: [{ pressureKpa: 150, loadKg: 250 }] })],
  [
    'three lines',
    curve('LT245/75R16', {
      lines: [
        { pressureKpa: 250, loadKg: 800 },
        { pressureKpa: 350, loadKg: 1010 },
        { pressureKpa: 550, loadKg: 1380 },
      ],
    }),
  ],
  ['a data sheet', curve('480/80R50', { rows: SHEET })],
];

describe('pressureForLoadKpa is capacity turned round', () => {
  it.each(CURVES)('for %s: it carries the load, and nothing softer does', (_, of) => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 1.1, noNaN: true }),
        fc.constantFrom(null, 8, 20, 38),
        fc.boolean(),
        (share, speedKmh, dual) => {
          const conditions = { speedKmh, dual };
          const full = capacity(of, { ...conditions, pressureKpa: fullPressureKpa(of) });
          if (!full.ok) return;
          const loadKg = full.loadKg * share;
          const needed = pressureForLoadKpa(of, loadKg, conditions);
          if (share > 1) {
            expect(needed).toBeNull();
            return;
          }
          const carried = capacity(of, { ...conditions, pressureKpa: needed! });
          expect(carried.ok && carried.loadKg).toBeGreaterThanOrEqual(loadKg * (1 - 1e-9));
          const softer = capacity(of, { ...conditions, pressureKpa: needed! * 0.999 });
          // Below the first row of a sheet there is no answer; above it less air carries less.
          expect(softer.ok ? softer.loadKg : 0).toBeLessThan(loadKg * (1 + 1e-9));
        },
      ),
      { seed: 61, numRuns: 400 },
    );
  });

  it('has no pressure for a speed past the tire', () => {
    expect(pressureForLoadKpa(CURVES[0]![1], 1000, { speedKmh: 90 })).toBeNull();
    expect(pressureForLoadKpa(CURVES[3]![1], 1000, { speedKmh: 90 })).toBeNull();
  });

  it('is the first row of a sheet for any lighter load', () => {
    for (const loadKg of [1, 500, 1500]) expect(pressureForLoadKpa(CURVES[3]![1], loadKg, { speedKmh: 30 })).toBe(60);
  });

  it('reaches the very end of a curve', () => {
    for (const [, of] of CURVES) {
      const full = capacity(of, { speedKmh: null, pressureKpa: fullPressureKpa(of) });
      expect(full.ok && pressureForLoadKpa(of, full.loadKg, { speedKmh: null })).toBeCloseTo(fullPressureKpa(of), 6);
    }
  });
});
