import { dropShare, planGround, pressureForDropKpa, psi, toCanonical } from '../src/index';
import { bicycleAxles, sampleInput } from '../src/testing/samplePlan';

const start = (
  ground: 'hardpack' | 'rock' | 'wetTrail' | 'mud' | 'bikePark',
  axles: ReturnType<typeof bicycleAxles>,
  modifiers: 'fast'[] = [],
) => {
  const result = planGround(sampleInput({ family: 'mountainBike', ground, modifiers, axles }));
  if (!result.ok) throw new Error(result.problem.code);
  return result.value.axles.map(({ startKpa }) => startKpa / psi(1));
};

/** A rider of 80 kg on a trail, medium casing, tubeless. Common practice, no source: psi, front and rear. */
const TRAIL = [
  ['29x2.40', 30, [23, 23], [24, 24]],
  ['29x2.60', 30, [21, 22], [23, 23]],
  ['29x2.20', 25, [25, 25], [26, 27]],
] as const;

describe('trail bicycles against the trade’s reference points (common practice, no source)', () => {
  it.each(TRAIL)('%s on a rim of %p mm, within 2 psi', (marking, rimInnerMm, front, rear) => {
    // What the bicycle weighs, 14 kg, is an assumption; the upright share in front is common practice.
    for (const totalKg of [92, 94, 96]) {
      const [f, r] = start('hardpack', bicycleAxles(marking, totalKg, 0.375, { rimInnerMm }));
      expect(f).toBeGreaterThan(front[0] - 2);
      expect(f).toBeLessThan(front[1] + 2);
      expect(r).toBeGreaterThan(rear[0] - 2);
      expect(r).toBeLessThan(rear[1] + 2);
    }
  });

  it.each([
    ['700x40C', 40],
    ['700x42C', 42],
    ['700x45C', 45],
  ])('gravel on %s: 30 and 35, within 3 psi', (marking, _) => {
    const [f, r] = start('hardpack', bicycleAxles(marking, 90, 0.4));
    expect(Math.abs(f! - 30)).toBeLessThan(3);
    expect(Math.abs(r! - 35)).toBeLessThan(3);
  });

  it('rises about 2 psi on rock ridden fast, falls 1 to 2 on wet trail and in mud, rises 1 to 2 in the park', () => {
    const rig = bicycleAxles('29x2.40', 94, 0.375);
    const base = start('hardpack', rig);
    const moved = (ground: Parameters<typeof start>[0], modifiers: 'fast'[] = []): number[] =>
      start(ground, rig, modifiers).map((each, index) => each - base[index]!);
    for (const each of moved('rock', ['fast'])) expect(each).toBeCloseTo(2, 0);
    for (const ground of ['wetTrail', 'mud'] as const) {
      for (const each of moved(ground)) expect(each).toBeLessThan(-0.9);
      for (const each of moved(ground)) expect(each).toBeGreaterThan(-2.1);
    }
    for (const each of moved('bikePark')) expect(each).toBeGreaterThan(0.9);
    for (const each of moved('bikePark')) expect(each).toBeLessThan(2.1);
  });

  it('asks 2 to 4 psi more with a tube, 2 to 4 less with an insert', () => {
    const at = (change: object): number => start('hardpack', bicycleAxles('29x2.40', 94, 0.375, change))[1]!;
    expect(at({ tube: true }) - at({})).toBeCloseTo(3, 6);
    expect(at({}) - at({ insert: true })).toBeCloseTo(3, 6);
    // Very wide tires show smaller changes.
    const fat = (change: object): number => start('hardpack', bicycleAxles('26x4.0', 98, 0.375, change))[1]!;
    expect(fat({ tube: true }) - fat({})).toBeLessThan(1.5);
  });

  it('folds below about 15 psi on the trail bicycle: that is its floor', () => {
    const result = planGround(
      sampleInput({ family: 'mountainBike', ground: 'hardpack', axles: bicycleAxles('29x2.40', 94, 0.375) }),
    );
    expect(result.ok && result.value.axles[1]!.floor.pressureKpa / psi(1)).toBeCloseTo(15, 0);
  });
});

/** Published: curve through the drop measurements of Bicycle Quarterly, 2006 (from memory). */
describe('a drop of 15 %', () => {
  it.each([
    [28, 60],
    [42, 40],
    [61, 25],
    [101.6, 8],
  ])('on %p mm at %p psi comes under the load of the curve', (widthMm, atPsi) => {
    const loadLb = ((atPsi + 7.17) * widthMm ** 1.5785) / 153.6;
    const loadKg = toCanonical('mass', 'lb', loadLb);
    expect(dropShare(widthMm, loadKg, psi(atPsi))).toBeCloseTo(0.15, 12);
    expect(pressureForDropKpa(widthMm, loadKg, 0.15)).toBeCloseTo(psi(atPsi), 9);
    // Drop goes with load.
    expect(dropShare(widthMm, 2 * loadKg, psi(atPsi))).toBeCloseTo(0.3, 12);
  });
});
