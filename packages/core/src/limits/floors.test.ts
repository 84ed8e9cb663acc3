import { contextsOf } from '../plan/planGround';
import type { PlanInput } from '../plan/plan';
import { bicycleAxles, SAMPLE_RIGS, sampleAxle, sampleInput } from '../testing/samplePlan';
import { psi } from '../units/units';
import { bindingCeiling } from './ceilings';
import { bindingFloor, type BindingFloor } from './floors';
import { FLEX_BY_SPEED, flexShareAt, speedForShareKmh } from './heatAndSpeed';

const floorOf = (change: Partial<PlanInput>): BindingFloor => bindingFloor(contextsOf(sampleInput(change))[0]!);

describe('bindingFloor', () => {
  const light = [sampleAxle({ loadKg: 400 })];
  it.each([
    ['an ordinary load without bead locks', {}, 'bead', 12],
    ['a light wheel with bead locks', { axles: [sampleAxle({ beadHold: 'beadLock', loadKg: 400 })] }, 'bead', 6],
    ['a cautious person', { heldFloorKpa: psi(20) }, 'own', 20],
    ['years on the beach', { heldFloorKpa: psi(10), axles: light }, 'bead', 10],
    [
      'a cautious person, stuck',
      { ground: 'stuck', heldFloorKpa: psi(20), stuckAccepted: true, axles: light },
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
    expect(floorOf({ heldFloorKpa: psi(20) }).source.mark).toBe('chosen');
  });

  it('lists those that have something to say', () => {
    expect(floorOf({}).all.map(({ code }) => code)).toEqual(['bead', 'heatAndSpeed']);
    expect(floorOf({ ...SAMPLE_RIGS.farm!, ground: 'lane' }).all.map(({ code }) => code)).toEqual([
      'bead',
      'loadAtSpeed',
    ]);
    expect(floorOf({ ...SAMPLE_RIGS.bicycle!, ground: 'rock' }).all.map(({ code }) => code)).toEqual([
      'bead',
      'rimStrike',
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
    ['the last of the curve of a farm tire', { ...SAMPLE_RIGS.farm!, ground: 'lane' }, 'lastOfCurve', 240],
  ] as const)('is %s', (_, change, code, kpa) => {
    expect(ceilingOf(change as Partial<PlanInput>)).toMatchObject({ code, pressureKpa: kpa });
  });

  it('is unknown on a bicycle whose sidewall nobody read', () => {
    expect(ceilingOf({ ...SAMPLE_RIGS.bicycle!, ground: 'rock' })).toBeNull();
  });
});

describe('flexShareAt', () => {
  it.each([
    [null, 0.35],
    [5, 0.35],
    [60, 0.3],
    [80, 0.25],
    [95, 0.2],
    [130, 0.15],
  ])('%p km/h: %p', (kmh, share) => expect(flexShareAt(kmh)).toBeCloseTo(share, 12));

  it('turns round', () => {
    for (const kmh of [45, 60, 79, 95]) expect(speedForShareKmh(flexShareAt(kmh))).toBeCloseTo(kmh, 9);
    expect(speedForShareKmh(0.1)).toBeNull();
    expect(speedForShareKmh(0.4)).toBe(5);
    expect(speedForShareKmh(FLEX_BY_SPEED[0]![1])).toBeCloseTo(40, 9);
  });
});
