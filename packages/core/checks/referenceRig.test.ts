import {
  deflectionShare,
  equalDeflectionKpa,
  GROUNDS,
  planGround,
  psi,
  REFERENCE_RIG,
  SPEED_PAIRS,
  type Ground,
} from '../src/index';
import { sampleAxle, sampleInput } from '../src/testing/samplePlan';

/** Pressures the trade runs on a family wagon (common practice, no source): firm end and low end, psi. */
const TRADE = {
  gravel: [28, 24],
  rockyTrack: [26, 24],
  forestMud: [22, 20],
  rockCrawl: [18, 16],
  softSand: [16, 15],
  verySoftSand: [12, 10],
} as const;

describe('equal deflection on the reference rig itself', () => {
  it.each(Object.entries(TRADE))('gives back the trade table on %s exactly', (ground, [start]) => {
    const result = planGround(
      sampleInput({ ground: ground as keyof typeof TRADE, axles: [sampleAxle({ loadKg: REFERENCE_RIG.loadKg })] }),
    );
    expect(result.ok && result.value.axles[0]!.startKpa / psi(start)).toBeCloseTo(1, 12);
  });

  it('gives back every pressure of every ground, window ends too', () => {
    for (const { onReferenceRig } of GROUNDS as readonly Ground[]) {
      if (!onReferenceRig) continue;
      for (const p of [onReferenceRig.start, onReferenceRig.low, onReferenceRig.high]) {
        expect(equalDeflectionKpa(REFERENCE_RIG.build, REFERENCE_RIG.loadKg, psi(p)) / psi(p)).toBeCloseTo(1, 12);
      }
    }
  });
});

describe('deflection in mobility practice (published: US Forest Service CTI reports, from memory)', () => {
  const share = (p: number): number => deflectionShare(REFERENCE_RIG.build, REFERENCE_RIG.loadKg, psi(p));

  it('is 10 to 15 % on the road', () => {
    expect(share(36)).toBeGreaterThan(0.1);
    expect(share(36)).toBeLessThan(0.15);
  });

  it('is 30 to 35 % on very soft sand at the low end', () => {
    expect(share(10)).toBeGreaterThan(0.3);
    expect(share(10)).toBeLessThan(0.35);
  });

  it('is past 35 % only stuck', () => {
    expect(share(8)).toBeGreaterThan(0.35);
  });
});

describe('the default school', () => {
  it('agrees with both its sides on the reference rig', () => {
    for (const [ground, [start]] of Object.entries(TRADE)) {
      const result = planGround(sampleInput({ ground: ground as keyof typeof TRADE }));
      if (!result.ok) throw new Error(ground);
      expect(result.value.school).toBe('deflectionAndShare');
      for (const code of ['deflectionAndShare', 'equalDeflection', 'shareOfRoad', 'fixedTable']) {
        const school = result.value.axles[0]!.schools.find((each) => each.code === code)!;
        expect(school.ok && school.targetKpa / psi(start)).toBeCloseTo(1, 9);
      }
    }
  });
});

/** Common practice, no source: pairs that the trade drives, as a share of the section height. */
describe('speed by bend on the reference rig', () => {
  it.each([
    [80, 0.14],
    [60, 0.159],
    [40, 0.185],
    [30, 0.221],
    [20, 0.275],
    [5, 0.43],
  ])('%p km/h: %p', (kmh, share) => {
    const pair = SPEED_PAIRS.find(([speed]) => speed === kmh)!;
    expect(deflectionShare(REFERENCE_RIG.build, REFERENCE_RIG.loadKg, pair[1])).toBeCloseTo(share, 2);
  });
});
