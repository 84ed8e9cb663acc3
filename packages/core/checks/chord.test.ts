import { chordMm } from '../src/index';

describe('chord geometry (exact)', () => {
  it('agrees with the angle at the centre: 2·r·sin(acos(1 − δ/r))', () => {
    for (const diameter of [500, 776.3, 1200]) {
      for (const depth of [1, 19.3, 60, diameter / 2]) {
        const r = diameter / 2;
        expect(chordMm(diameter, depth)).toBeCloseTo(2 * r * Math.sin(Math.acos(1 - depth / r)), 8);
      }
    }
  });

  it('agrees with the right triangle 3-4-5: a circle of 10 cut 2 deep has a chord of 8', () => {
    expect(chordMm(10, 2)).toBeCloseTo(8, 12);
  });
});
