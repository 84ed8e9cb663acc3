import {
  familyOf,
  groundsFor,
  loadCurve,
  onSnowKpa,
  planGround,
  pressureForLoadKpa,
  psi,
  type PlanInput,
} from '../src/index';
import { sampleAxle, sampleInput } from '../src/testing/samplePlan';

const startPsi = (change: Partial<PlanInput>): number => {
  const result = planGround(sampleInput(change));
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value.axles[0]!.startKpa / psi(1);
};
const floorPsi = (change: Partial<PlanInput>): number => {
  const result = planGround(sampleInput({ ground: 'stuck', stuckAccepted: true, ...change }));
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value.axles[0]!.floor.pressureKpa / psi(1);
};

/** Starts on road and dirt road by class, psi. Common practice, no source. */
describe('motorcycles by class', () => {
  const bike = (loadKg: number, change: object = {}) =>
    sampleAxle({ marking: '150/70R18', wheels: 1, loadKg, roadKpa: psi(40), ...change });
  it.each([
    ['adventureTwin', 30, 40],
    ['trailSingle', 20, 30],
    ['lightSingle', 20, 25],
  ] as const)('%s starts between %p and %p psi on a dirt road', (family, low, high) => {
    const start = startPsi({ family, ground: 'dirtRoad', axles: [bike(150.4)] });
    expect(start).toBeGreaterThanOrEqual(low - 1e-9);
    expect(start).toBeLessThanOrEqual(high);
    expect(familyOf(family).classPressure).toMatchObject({ lowKpa: psi(low), highKpa: psi(high) });
  });

  it.each([
    ['a heavy twin', 'adventureTwin', {}, 12],
    ['a single with rim locks', 'trailSingle', { beadHold: 'rimLock', tube: true }, 6],
    ['a tube without rim locks', 'trailSingle', { tube: true }, 10],
  ] as const)('goes no lower for one bad patch: %s', (_, family, change, lowest) => {
    expect(floorPsi({ family, axles: [bike(110, change)] })).toBeCloseTo(lowest, 9);
  });

  it('takes the maker’s figure down in steps of 5 psi', () => {
    const at = (ground: PlanInput['ground']): number =>
      startPsi({ family: 'adventureTwin', school: 'makersFigure', ground, axles: [bike(120)] });
    expect([at('dirtRoad'), at('mud'), at('softSand')].map((each) => Math.round(each))).toEqual([35, 30, 25]);
  });
});

/** Quads on snow by what their sidewall is rated for, psi. Common practice, no source. */
describe('the sidewall rules of quads', () => {
  it.each([
    [22, 15],
    [44, 25],
    [8, 5],
  ])('rated %p works on snow near %p', (ratedPsi, snowPsi) => {
    expect(onSnowKpa(psi(ratedPsi)) / psi(1)).toBeCloseTo(snowPsi, 9);
    const quad = (roadKpa: number) => sampleAxle({ marking: 'AT25x8-12', loadKg: 98, roadKpa, maxKpa: psi(ratedPsi) });
    expect(startPsi({ family: 'quad', ground: 'snow', axles: [quad(psi(ratedPsi))] })).toBeCloseTo(snowPsi, 9);
  });

  it('never goes below what today’s load needs by the sidewall’s two lines', () => {
    // 1015 lb at 18 psi and 1694 lb at 44.
    const lines = [
      { pressureKpa: psi(18), loadKg: 460.4 },
      { pressureKpa: psi(44), loadKg: 768.4 },
    ];
    const loaded = (loadKg: number) =>
      sampleAxle({ marking: 'AT27x9R14', loadKg, roadKpa: psi(40), maxKpa: psi(44), lines });
    const light = startPsi({ family: 'sideBySide', ground: 'verySoftSand', axles: [loaded(198)] });
    expect(light).toBeCloseTo((25 * 12) / 20, 6);
    const heavy = startPsi({ family: 'sideBySide', ground: 'verySoftSand', axles: [loaded(600)] });
    const n = Math.log(768.4 / 460.4) / Math.log(44 / 18);
    expect(heavy).toBeCloseTo(18 * (600 / 460.4) ** (1 / n), 6);
    expect(startPsi({ family: 'sideBySide', ground: 'plowing', axles: [loaded(300)] })).toBeGreaterThan(
      startPsi({ family: 'sideBySide', ground: 'snow', axles: [loaded(300)] }),
    );
  });
});

describe('farm tires by load and speed', () => {
  /** Published: European Tyre and Rim Technical Organisation, drive-wheel speed table (from memory). */
  it.each([
    ['fieldDry', 10, 1.5],
    ['lane', 25, 1.11],
    ['pavement', 40, 1],
  ] as const)('on %s at %p km/h a tire carries %p of its rating', (ground, _, share) => {
    const axle = (loadKg: number) => sampleAxle({ marking: '480/80R50 159A8/B **', loadKg, roadKpa: null });
    // At the pressure that two stars stand for, 240 kPa, the tire carries 4375 kg times the share.
    const result = planGround(
      sampleInput({ family: 'tractor', ground, roadSpeedKmh: 40, axles: [axle(4375 * share * 0.9999)] }),
    );
    expect(result.ok && result.value.axles[0]!.startKpa).toBeCloseTo(240, 0);
    expect(
      planGround(sampleInput({ family: 'tractor', ground, roadSpeedKmh: 40, axles: [axle(4375 * share * 1.001)] })),
    ).toMatchObject({ ok: false, problem: { code: 'noPressureCarries' } });
  });

  /** Published: IF carries 20 % more at the same pressure, VF 40 % (Tire and Rim Association, from memory). */
  it.each([
    ['IF480/80R50', 1.2],
    ['VF480/80R50', 1.4],
  ])('%s carries its share more than the standard tire’s rows', (marking, more) => {
    const rows = [60, 100, 160, 240].map((pressureKpa, index) => ({
      pressureKpa,
      loadKg: 2000 + 600 * index,
      speedKmh: 40,
    }));
    const needs = (of: string, loadKg: number, rowsOf: 'thisTire' | 'standardTire'): number =>
      startPsi({
        family: 'tractor',
        ground: 'pavement',
        roadSpeedKmh: 40,
        axles: [sampleAxle({ marking: of, loadKg, roadKpa: null, rows, rowsOf })],
      });
    expect(needs(marking, 2500 * more, 'standardTire')).toBeCloseTo(needs('480/80R50', 2500, 'thisTire'), 6);
  });

  it('never goes below the first row of a data sheet', () => {
    const rows = [80, 120].map((pressureKpa) => ({ pressureKpa, loadKg: pressureKpa * 30, speedKmh: 40 }));
    expect(
      startPsi({
        family: 'tractor',
        ground: 'fieldDry',
        roadSpeedKmh: 40,
        axles: [sampleAxle({ marking: '480/80R50', loadKg: 900, roadKpa: null, rows })],
      }) * psi(1),
    ).toBeCloseTo(80, 6);
  });

  it('meets no ground but its own', () => {
    expect(groundsFor(familyOf('tractor'))).toEqual([
      'pavement',
      'lane',
      'fieldDry',
      'fieldMoist',
      'fieldWet',
      'stuck',
    ]);
    const curve = loadCurve({
      tire: sampleAxle({ marking: '480/80R50 159A8/B **' }).tire,
      maxKpa: 240,
      lines: [],
      rows: [],
      rowsOf: 'thisTire',
    });
    expect(curve.ok && pressureForLoadKpa(curve.value, 4375, { speedKmh: 40 })).toBeCloseTo(240, 6);
  });
});

/** Heavy plies under a light vehicle hardly flatten (common practice, no source). */
describe('a stiff carcass on a light rig', () => {
  it('gains little from letting air out, and says so', () => {
    const grown = (loadRange: 'standard' | 'E'): number => {
      const result = planGround(
        sampleInput({
          ground: 'verySoftSand',
          axles: [sampleAxle({ marking: 'LT245/75R16', loadRange, loadKg: 380 })],
        }),
      );
      if (!result.ok) throw new Error(result.problem.code);
      const { atStart, atRoad } = result.value.axles[0]!;
      expect(result.value.cautions.includes('stiffCarcass')).toBe(loadRange === 'E');
      return atStart.lengthMm - atRoad!.lengthMm;
    };
    expect(grown('E')).toBeLessThan(0.85 * grown('standard'));
  });
});
