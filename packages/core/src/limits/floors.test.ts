import { contextsOf } from '../plan/planGround';
import type { PlanInput } from '../plan/plan';
import { bicycleAxles, SAMPLE_RIGS, sampleAxle, sampleInput } from '../testing/samplePlan';
import { psi } from '../units/units';
import { bindingCeiling, softCeilingKpa } from './ceilings';
import { bindingFloor, type BindingFloor } from './floors';
import { pressureForSpeedKpa, speedForPressureKmh } from './speedAtPressure';
import { HANDLING, SPEED_PAIRS } from './speedPairs';

const floorOf = (change: Partial<PlanInput>): BindingFloor => bindingFloor(contextsOf(sampleInput(change))[0]!);

describe('bindingFloor', () => {
  const light = [sampleAxle({ loadKg: 400 })];
  it.each([
    ['an ordinary load without bead locks', { ground: 'verySoftSand' }, 'bead', 12],
    ['the same at 30 km/h, a fifth under the trade’s pair', {}, 'heatAndSpeed', 16 * 0.8],
    [
      'a light wheel on gravel, which has to hold a line',
      { ground: 'gravel', axles: [sampleAxle({ loadKg: 250 })] },
      'handling',
      17,
    ],
    [
      'a light wheel with bead locks, at 30 km/h',
      { axles: [sampleAxle({ beadHold: 'beadLock', loadKg: 400 })] },
      'handling',
      10,
    ],
    [
      'the same crawling',
      { ground: 'rockCrawl', axles: [sampleAxle({ beadHold: 'beadLock', loadKg: 400 })] },
      'bead',
      6,
    ],
    ['a cautious person', { ownFloorKpa: psi(20) }, 'own', 20],
    ['years on the beach', { ownFloorKpa: psi(10), axles: light }, 'bead', 10],
    [
      'a cautious person, stuck',
      { ground: 'stuck', ownFloorKpa: psi(20), stuckAccepted: true, axles: light },
      'bead',
      6,
    ],
    ['a sidewall that says so', { axles: [sampleAxle({ minKpa: psi(14) })] }, 'sidewallMinimum', 14],
  ] as const)('%s', (_, change, code, floorPsi) => {
    const floor = floorOf(change as Partial<PlanInput>);
    expect(floor.code).toBe(code);
    expect(floor.pressureKpa).toBeCloseTo(psi(floorPsi), 9);
  });

  it('is heat for a heavy wheel, and higher the heavier and faster it is', () => {
    const heavy = floorOf({ axles: [sampleAxle({ loadKg: 1000 })] });
    expect(heavy.code).toBe('heatAndSpeed');
    expect(floorOf({ axles: [sampleAxle({ loadKg: 1100 })] }).pressureKpa).toBeGreaterThan(heavy.pressureKpa);
    expect(floorOf({ speedKmh: 70, axles: [sampleAxle({ loadKg: 1000 })] }).pressureKpa).toBeGreaterThan(
      heavy.pressureKpa,
    );
  });

  it('says that a floor of one’s own was chosen, not measured', () => {
    expect(floorOf({ ownFloorKpa: psi(20) }).source.mark).toBe('chosen');
  });

  it('lists those that have something to say', () => {
    expect(floorOf({}).all.map(({ code }) => code)).toEqual(['bead', 'heatAndSpeed', 'handling']);
    expect(floorOf({ ...SAMPLE_RIGS.farm!, ground: 'lane' }).all.map(({ code }) => code)).toEqual([
      'bead',
      'loadAtSpeed',
      'farmBend',
    ]);
    expect(floorOf({ ...SAMPLE_RIGS.bicycle!, ground: 'rock' }).all.map(({ code }) => code)).toEqual([
      'bead',
      'rimStrike',
      'lowestRidden',
    ]);
  });

  it('wants more in a bicycle tire with a tube and on square edges, less with an insert', () => {
    const strike = (change: object, ground: PlanInput['ground'] = 'hardpack'): number =>
      floorOf({ family: 'mountainBike', ground, axles: bicycleAxles('29x2.40', 94, 0.375, change) }).pressureKpa;
    expect(strike({ tube: true })).toBeGreaterThan(strike({}));
    expect(strike({ insert: true })).toBeLessThan(strike({}));
    expect(strike({}, 'rock')).toBeGreaterThan(strike({}));
  });
});

describe('bindingCeiling', () => {
  const ceilingOf = (change: Partial<PlanInput>) => bindingCeiling(contextsOf(sampleInput(change))[0]!);
  it.each([
    ['the placard', {}, 'placard', psi(36)],
    ['the sidewall below a placard', { axles: [sampleAxle({ maxKpa: psi(32) })] }, 'sidewallMaximum', psi(32)],
    [
      'a load line, which is a maximum too',
      { family: 'quad', axles: [sampleAxle({ marking: 'AT25x8-12', lines: [{ pressureKpa: psi(22), loadKg: 580 }] })] },
      'sidewallMaximum',
      psi(22),
    ],
    [
      'the last row of a data sheet',
      {
        ...SAMPLE_RIGS.farm!,
        ground: 'lane',
        axles: [sampleAxle({ marking: '480/80R50', rows: [{ pressureKpa: 240, loadKg: 4375, speedKmh: 40 }] })],
      },
      'lastOfCurve',
      240,
    ],
    [
      'what most sidewalls take, on a bicycle that nobody read',
      { ...SAMPLE_RIGS.bicycle!, ground: 'rock' },
      'unreadSidewall',
      psi(46.04),
    ],
  ] as const)('is %s', (_, change, code, kpa) => {
    expect(ceilingOf(change as Partial<PlanInput>)).toMatchObject({ code, pressureKpa: expect.closeTo(kpa, 0) });
  });

  it('leaves a little below the placard off pavement, unless a floor lies above that', () => {
    const soft = (floorKpa: number, change = {}) => softCeilingKpa(contextsOf(sampleInput(change))[0]!, floorKpa);
    expect(soft(0)).toBeCloseTo(0.95 * psi(36), 9);
    expect(soft(0.97 * psi(36))).toBeNull();
    expect(soft(0, { ground: 'pavement' })).toBeNull();
    expect(soft(0, { ...SAMPLE_RIGS.motorcycle!, ground: 'mud' })).toBeNull();
  });

  it('knows none on a farm tire of which nothing was read', () => {
    const bare = { ...SAMPLE_RIGS.farm!, axles: [sampleAxle({ marking: '480/80R50 159A8' })] };
    expect(ceilingOf({ ...bare, ground: 'lane' })).toBeNull();
  });
});

describe('speed and pressure', () => {
  const on = (change: Partial<PlanInput>) => contextsOf(sampleInput(change))[0]!;

  /** Common practice, no source: what the trade drives at each pressure, on pavement as it stands. */
  it('are the pairs of the trade on the reference rig itself', () => {
    for (const [kmh, kpa] of SPEED_PAIRS) {
      if (kmh < 40) continue;
      expect(pressureForSpeedKpa(on({}), kmh, true)! / psi(1)).toBeCloseTo(kpa / psi(1), 6);
      expect(pressureForSpeedKpa(on({}), kmh, false)! / psi(1)).toBeCloseTo((0.8 * kpa) / psi(1), 6);
    }
  });

  it('hold a line by handling where a wheel is light', () => {
    const light = on({ axles: [sampleAxle({ marking: '35x12.50R17LT', loadRange: 'E', loadKg: 300 })] });
    for (const [kmh, kpa] of HANDLING.loose) expect(pressureForSpeedKpa(light, kmh, false)).toBeCloseTo(kpa, 9);
    for (const [kmh, kpa] of HANDLING.paved) expect(pressureForSpeedKpa(light, kmh, true)).toBeCloseTo(kpa, 9);
  });

  it.each(Object.keys(SAMPLE_RIGS).filter((name) => name !== 'bicycle'))('turn each other round on a %s', (name) => {
    const context = contextsOf(sampleInput({ ...SAMPLE_RIGS[name]!, ground: 'pavement' }))[0]!;
    for (const paved of [true, false]) {
      for (const kmh of [12, 25, 38, 55, 75]) {
        const needKpa = pressureForSpeedKpa(context, kmh, paved);
        if (needKpa === null || needKpa <= pressureForSpeedKpa(context, kmh - 1, paved)!) continue;
        expect(speedForPressureKmh(context, needKpa, paved)).toBeCloseTo(kmh, 1);
      }
    }
  });

  it('are no limit at road pressure, and walking pace where nothing carries', () => {
    expect(speedForPressureKmh(on({}), psi(36), true)).toBeNull();
    expect(speedForPressureKmh(on({}), psi(36) - 1, true)).toBe(80);
    expect(speedForPressureKmh(on({}), psi(1), true)).toBe(5);
  });

  it('go by no reference pressure that was merely assumed', () => {
    const van = { family: 'vanTruck', axles: [sampleAxle({ marking: '235/85R16C 120/118Q', loadKg: 1000 })] } as const;
    const bare = { ...van, axles: [sampleAxle({ marking: '235/85R16C', loadKg: 1000 })] };
    expect(pressureForSpeedKpa(on(van), 80, true)).toBe(pressureForSpeedKpa(on(bare), 80, true));
  });
});
