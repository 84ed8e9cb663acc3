import fc from 'fast-check';

import { fitLine } from './fitLine';

describe('fitLine', () => {
  it.each([
    ['no points', [], 'origin'],
    ['one point and a free intercept', [{ x: 1, y: 1 }], 'free'],
    [
      'two points at one x',
      [
        { x: 100.1, y: 1 },
        { x: 100.1, y: 2 },
      ],
      'free',
    ],
    ['a point at zero, held to the origin', [{ x: 0, y: 2 }], 'origin'],
  ] as const)('gives nothing for %s', (_, points, intercept) => {
    expect(fitLine(points, intercept)).toBeNull();
  });

  it('has no error to tell with as many points as parameters', () => {
    expect(fitLine([{ x: 2, y: 1 }], 'origin')).toEqual({ slope: 0.5, intercept: 0, slopeError: null });
  });

  it('finds any line that the points lie on', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        fc.double({ min: -400, max: 400, noNaN: true }),
        fc.uniqueArray(fc.integer({ min: 100, max: 500 }), { minLength: 3, maxLength: 9 }),
        (slope, intercept, xs) => {
          const fit = fitLine(
            xs.map((x) => ({ x, y: intercept + slope * x })),
            'free',
          )!;
          expect(fit.slope).toBeCloseTo(slope, 7);
          expect(fit.intercept).toBeCloseTo(intercept, 5);
          expect(fit.slopeError).toBeLessThan(1e-7);
        },
      ),
      { seed: 7, numRuns: 100 },
    );
  });
});
