import {
  dropShare,
  planGround,
  pressureForDropKpa,
  psi,
  SCHOOL_CODES,
  toCanonical,
  type FamilyCode,
  type GroundCode,
} from '../src/index';
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
    const [f, r] = start('hardpack', bicycleAxles(marking, 94, 0.4));
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

/** The trade's points by width: 80 kg rider, 94 kg in all, hardpack. Common practice, no source, to 2.6 in; assumption above. */
describe('points by width', () => {
  it.each([
    ['42.5 mm', 42.5, 0.4, 30, 35],
    ['38 mm', 38, 0.4, 35, 39],
    ['35 mm', 35, 0.4, 38, 42],
    ['32 mm', 32, 0.4, 44, 49],
    ['2.2 in', 25.4 * 2.2, 0.375, 25, 26.5],
    ['2.4 in', 25.4 * 2.4, 0.375, 23, 24],
    ['2.6 in', 25.4 * 2.6, 0.375, 21.5, 23],
    ['2.8 in', 25.4 * 2.8, 0.375, 17.5, 19],
    ['3.0 in', 25.4 * 3, 0.375, 15, 16.5],
    ['3.8 in', 25.4 * 3.8, 0.375, 9.2, 10],
    ['4.0 in', 25.4 * 4, 0.375, 8.5, 9.3],
    ['4.8 in', 25.4 * 4.8, 0.375, 7, 7.6],
    ['5.0 in', 25.4 * 5, 0.375, 6.6, 7.2],
  ] as const)('%s', (_, widthMm, frontShare, front, rear) => {
    const marked = widthMm < 45 ? '700x42C' : '29x2.40';
    const [f, r] = start('hardpack', bicycleAxles(marked, 94, frontShare, { widthMm, hookless: false, maxKpa: 600 }));
    expect(r).toBeCloseTo(rear, 6);
    // From 40 mm on never above 0.96 of the rear.
    expect(f).toBeCloseTo(Math.min(front, widthMm < 40 ? rear : 0.96 * rear), 6);
  });
});

const planned = (family: FamilyCode, ground: GroundCode, axles: ReturnType<typeof bicycleAxles>) => {
  const result = planGround(sampleInput({ family, ground, axles }));
  if (!result.ok) throw new Error(result.problem.code);
  return result.value.axles;
};
const startsPsi = (...args: Parameters<typeof planned>): number[] =>
  planned(...args).map(({ startKpa }) => startKpa / psi(1));

/** Common practice, no source. */
describe('what riders of other bicycles run', () => {
  it('a light rider of 57 kg and a heavy one of 130 differ by the trade’s 1 psi for 4 to 5 kg', () => {
    const [light, heavy] = [57, 130].map(
      (kg) => startsPsi('mountainBike', 'hardpack', bicycleAxles('29x2.40', kg + 14, 0.375))[1]!,
    );
    expect((130 - 57) / (heavy! - light!)).toBeGreaterThan(4);
    expect((130 - 57) / (heavy! - light!)).toBeLessThan(5);
  });

  it('road widths go by a drop of 15 %, the front at most as firm as the rear', () => {
    for (const [marking, share] of [
      ['700x25C', 0.45],
      ['700x28C', 0.45],
      ['700x32C', 0.5],
    ] as const) {
      const [f, r] = startsPsi(
        'roadBike',
        'smoothHard',
        bicycleAxles(marking, 84, share, { maxKpa: 900, hookless: false }),
      );
      expect(f).toBeLessThanOrEqual(r! + 1e-9);
      const widthMm = Number(/x(\d+)C/.exec(marking)![1]);
      expect(dropShare(widthMm, 84 * (1 - share), psi(r!))).toBeCloseTo(0.15, 6);
    }
  });

  it('a light rider goes to about 50 psi on cobbles below 30 mm', () => {
    const [, r] = startsPsi('roadBike', 'brokenPavement', bicycleAxles('700x28C', 65, 0.45, { tube: true }));
    expect(r).toBeGreaterThan(46);
    expect(r).toBeLessThan(54);
  });

  it('an electric bicycle has the front of the same rider on a trail bike, and 1 to 3 psi more behind', () => {
    const [f, r] = startsPsi('mountainBike', 'hardpack', bicycleAxles('29x2.40', 94, 0.375));
    const [ef, er] = startsPsi('electricBike', 'hardpack', bicycleAxles('29x2.40', 104, 0.375));
    expect(ef).toBeCloseTo(f!, 6);
    expect(er! - r!).toBeGreaterThanOrEqual(1);
    expect(er! - r!).toBeLessThanOrEqual(3);
  });

  it.each([
    ['hardpack', 7, 10.5],
    ['snow', 3, 6],
    ['softSand', 4, 6.5],
    ['smoothHard', 11, 16],
  ] as const)('a fat bicycle on %s between %p and %p psi', (ground, low, high) => {
    for (const marking of ['26x3.8', '26x4.0', '26x4.8']) {
      for (const psiHere of startsPsi('fatBike', ground, bicycleAxles(marking, 94, 0.375))) {
        expect(psiHere).toBeGreaterThan(low * (marking === '26x4.8' && ground !== 'snow' ? 0.85 : 1));
        expect(psiHere).toBeLessThan(high);
      }
    }
  });

  it('goes no higher than 5 bar on a rim without hooks (published: ETRTO, ISO hookless limit, from memory)', () => {
    const axles = planned('roadBike', 'smoothHard', bicycleAxles('700x25C', 92, 0.45, { maxKpa: 800, hookless: true }));
    expect(axles[1]).toMatchObject({ startKpa: 500, clampedBy: 'hooklessRim' });
  });

  it.each([
    [23, 120],
    [32, 87],
    [38, 72],
    [45, 60],
    [54, 54],
    [61, 46],
    [66, 40],
    [71, 34],
    [100, 25],
    [127, 20],
  ])('a %p mm tire whose sidewall nobody read gets at most about %p psi, whoever says so', (widthMm, mostPsi) => {
    for (const school of SCHOOL_CODES) {
      for (const ground of ['smoothHard', 'hardpack'] as const) {
        const axles = bicycleAxles('29x2.40', 160, 0.4, { widthMm, hookless: false, roadKpa: psi(200) });
        const result = planGround(sampleInput({ family: 'mountainBike', ground, axles, school, riderKg: 150 }));
        if (!result.ok) continue;
        for (const { startKpa, window, schools } of result.value.axles) {
          const all = [startKpa, window.highKpa, ...schools.flatMap((each) => (each.ok ? [each.startKpa] : []))];
          expect(Math.max(...all) / psi(1)).toBeLessThanOrEqual(mostPsi * 1.1);
        }
      }
    }
  });

  it('a fifth of the weight says nothing of a tire from 2.6 in on', () => {
    for (const marking of ['29x2.60', '27.5x2.8', '26x4.8']) {
      const [, rear] = planned('fatBike', 'hardpack', bicycleAxles(marking, 125, 0.375));
      expect(rear!.schools.find(({ code }) => code === 'bodyWeight')).toMatchObject({
        ok: false,
        needs: 'narrowerTire',
      });
    }
  });

  it('nobody is sent above 5 bar on a rim that may have no hooks, and a rim with hooks says so', () => {
    const [, unknown] = planned('roadBike', 'smoothHard', bicycleAxles('700x28C', 110, 0.45, { maxKpa: 800 }));
    expect(unknown).toMatchObject({ startKpa: 500, clampedBy: 'rimUnknown' });
    const [, hooked] = planned(
      'roadBike',
      'smoothHard',
      bicycleAxles('700x28C', 110, 0.45, { maxKpa: 800, hookless: false }),
    );
    expect(hooked!.startKpa).toBeGreaterThan(560);
    // No rim without hooks takes a tire this narrow.
    const [, narrow] = planned('roadBike', 'smoothHard', bicycleAxles('700x23C', 90, 0.45));
    expect(narrow!.startKpa).toBeGreaterThan(psi(90));
  });

  // A cross tire of 33 mm under a rider of 70 kg.
  it('mud on narrow tires is 24 to 33 psi in front and 25 to 36 behind', () => {
    const axles = planned('gravelBike', 'mud', bicycleAxles('33-622', 84, 0.4, { hookless: false }));
    const [front, rear] = axles.map(({ window }) => [window.lowKpa / psi(1), window.highKpa / psi(1)]);
    for (const [found, low, high] of [
      [front!, 24, 33],
      [rear!, 25, 36],
    ] as const) {
      // The rim is struck in front of the lowest behind: tubeless, no insert.
      expect(Math.abs(found[0]! - low)).toBeLessThan(3);
      expect(Math.abs(found[1]! - high)).toBeLessThan(2);
    }
  });

  it('front and rear of a gravel bicycle lie at most 5 psi apart, whoever rides it', () => {
    for (const riderKg of [50, 80, 120]) {
      for (const marking of ['700x35C', '700x38C', '700x45C']) {
        for (const ground of ['hardpack', 'looseGravel', 'wetTrail'] as const) {
          const [f, r] = startsPsi('gravelBike', ground, bicycleAxles(marking, riderKg + 14, 0.4, { hookless: false }));
          expect(r! - f!).toBeLessThanOrEqual(5 + 1e-9);
        }
      }
    }
  });

  it('a school that names both numbers is shown as it names them', () => {
    const axles = planned('roadBike', 'smoothHard', bicycleAxles('700x35C', 90, 0.45, { minKpa: 350, maxKpa: 700 }));
    for (const { schools } of axles) {
      expect(schools.find(({ code }) => code === 'sidewallMiddle')).toMatchObject({ startKpa: 500, targetKpa: 525 });
    }
  });

  it('a 2.4 in tire can’t be ridden below 10 psi, a 25 mm one not below 55, and no test opens that', () => {
    const rimTries = [1, 2, 3, 4, 5].map(() => ({
      pressureKpa: psi(12),
      wheelLoadKg: 56,
      struck: false,
      ridden: true,
    }));
    for (const [family, marking, leastPsi] of [
      ['mountainBike', '29x2.40', 10],
      ['roadBike', '700x25C', 55],
    ] as const) {
      const ground = family === 'roadBike' ? 'brokenPavement' : 'wetTrail';
      for (const { floor } of planned(family, ground, bicycleAxles(marking, 64, 0.4, { rimTries, insert: true }))) {
        expect(floor.pressureKpa / psi(1)).toBeGreaterThanOrEqual(leastPsi * 0.98);
      }
    }
  });
});
