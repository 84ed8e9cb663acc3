import { patches, normalDraw } from './softness';
import { softened, wayOf, type Lie } from './lie';
import { soilOf } from '../soil/soils';

const lie: Lie = {
  soil: 'drySand',
  depthM: null,
  legs: [
    { lengthM: 4, fromDeg: 0, toDeg: 0, soft: false },
    { lengthM: 10, fromDeg: 0, toDeg: 10, soft: true },
    { lengthM: 5, fromDeg: 10, toDeg: 10, soft: true, shift: 0.4 },
  ],
};

describe('wayOf', () => {
  const way = wayOf(lie, { seed: 1, shift: 0, scatter: 0 });

  it('is firm and level before, behind, and where it says so', () => {
    expect([-3, 2, 25].map((atM) => way.soilAt(atM))).toEqual([null, null, null]);
    expect([-3, 2, 25].map((atM) => way.slopeDeg(atM))).toEqual([0, 0, 0]);
    expect(way.soilAt(6)).toEqual(soilOf('drySand'));
  });

  it('steepens straight along a leg, and rises by its slopes', () => {
    expect(way.slopeDeg(9)).toBeCloseTo(5, 9);
    expect(way.slopeDeg(16)).toBe(10);
    // Exact: ∫ tan over the ramp is ln(1/cos 10°) of its length over 10°, then 5 m at 10°.
    const ramp = (10 / ((10 * Math.PI) / 180)) * Math.log(1 / Math.cos((10 * Math.PI) / 180));
    expect(way.heightM(14)).toBeCloseTo(ramp, 3);
    expect(way.heightM(19)).toBeCloseTo(ramp + 5 * Math.tan((10 * Math.PI) / 180), 3);
  });

  it('is softer where a leg says so: e^-0.4 of the pressure', () => {
    expect(way.soilAt(16)!.kPhi / way.soilAt(8)!.kPhi).toBeCloseTo(Math.exp(-0.4), 9);
    expect(softened(soilOf('drySand'), 0)).toEqual(soilOf('drySand'));
  });
});

describe('patches', () => {
  it('are the same for a seed, and others for another', () => {
    const at = (seed: number) => [0, 1.3, 7.7, 30].map(patches(seed, 0.2));
    expect(at(5)).toEqual(at(5));
    expect(at(6)).not.toEqual(at(5));
  });

  it('have no step in them', () => {
    const patch = patches(3, 0.3);
    for (let atM = 0; atM < 40; atM += 0.01) expect(Math.abs(patch(atM + 0.01) - patch(atM))).toBeLessThan(0.02);
  });
});

describe('normalDraw', () => {
  it('has the mean, spread and shares of the normal distribution', () => {
    const draws = Array.from({ length: 20_000 }, (_, n) => normalDraw(11, n));
    const mean = draws.reduce((sum, each) => sum + each, 0) / draws.length;
    const spread = Math.sqrt(draws.reduce((sum, each) => sum + (each - mean) ** 2, 0) / draws.length);
    expect(mean).toBeCloseTo(0, 1);
    expect(spread).toBeCloseTo(1, 1);
    // Exact: 68.27 % lie within one standard deviation.
    expect(draws.filter((each) => Math.abs(each) < 1).length / draws.length).toBeCloseTo(0.6827, 1);
  });
});
