import jstat, { type LeastSquares } from 'jstat';

import { fitLine, judgeTape, psi, REFERENCE_RIG } from '../src/index';

const ols: (y: number[], x: number[][]) => LeastSquares = jstat.models.ols;

const POINTS = [
  { x: 241.7, y: 171 },
  { x: 268.9, y: 176 },
  { x: 300.2, y: 209 },
  { x: 335.8, y: 226 },
  { x: 372.1, y: 261 },
];

describe('the fit against a statistics library', () => {
  it('with an intercept: slope, intercept and standard error', () => {
    const theirs = ols(
      POINTS.map(({ y }) => y),
      POINTS.map(({ x }) => [1, x]),
    );
    const ours = fitLine(POINTS, 'free')!;
    expect(ours.intercept).toBeCloseTo(theirs.coef[0]!, 6);
    expect(ours.slope).toBeCloseTo(theirs.coef[1]!, 9);
    expect(ours.slopeError).toBeCloseTo(theirs.t.se[1]!, 9);
  });

  it('through the origin: slope and standard error', () => {
    // The library has no fit through the origin. Exact identity: with every point mirrored through the origin, the
    // free fit has that slope, intercept 0, and the standard error over √2.
    const mirrored = POINTS.flatMap(({ x, y }) => [
      { x, y },
      { x: -x, y: -y },
    ]);
    const theirs = ols(
      mirrored.map(({ y }) => y),
      mirrored.map(({ x }) => [1, x]),
    );
    const ours = fitLine(POINTS, 'origin')!;
    expect(theirs.coef[0]).toBeCloseTo(0, 9);
    expect(ours.slope).toBeCloseTo(theirs.coef[1]!, 9);
    expect(ours.slopeError).toBeCloseTo(theirs.t.se[1]! * Math.SQRT2, 9);
  });
});

describe('a tape test of the trade: 500, 520, 545 mm by poles at 36, 28, 16 psi on sand (common practice, no source)', () => {
  it('grew as expected on the reference rig', () => {
    const { verdict, contact, offsetMm } = judgeTape({
      build: REFERENCE_RIG.build,
      wheelLoadKg: REFERENCE_RIG.loadKg,
      method: 'poles',
      surface: 'soft',
      readings: [
        { pressureKpa: psi(36), lengthMm: 500 },
        { pressureKpa: psi(28), lengthMm: 520 },
        { pressureKpa: psi(16), lengthMm: 545 },
      ],
    });
    expect(verdict).toBe('grewAsExpected');
    expect(contact!.contactConstant).toBeGreaterThan(0.4);
    expect(contact!.contactConstant).toBeLessThan(0.5);
    expect(offsetMm).toBeGreaterThan(300);
  });
});
