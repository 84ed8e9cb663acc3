import { contextsOf } from '../plan/planGround';
import { bicycleAxles, sampleAxle, sampleInput } from '../testing/samplePlan';
import type { RimTry } from '../axle/planAxle';
import type { PlanInput } from '../plan/plan';
import { bindingFloor } from './floors';
import { rimStrike } from './rimStrike';
import { psi } from '../units/units';

const REAR_KG = 94 * 0.6;
const bicycle = (rimTries: readonly RimTry[], change: Partial<PlanInput> = {}) =>
  contextsOf(
    sampleInput({
      family: 'mountainBike',
      ground: 'hardpack',
      axles: bicycleAxles('29x2.40', 94, 0.4, { rimTries }),
      ...change,
    }),
  )[1]!;
const at = (pressurePsi: number, struck: boolean, wheelLoadKg = REAR_KG): RimTry => ({
  pressureKpa: psi(pressurePsi),
  wheelLoadKg,
  struck,
});
const floorPsi = (...args: Parameters<typeof bicycle>) => strikePsi(bicycle(...args));
const strikePsi = (context: ReturnType<typeof bicycle>) => rimStrike.pressureKpa(context)! / psi(1);
const modelPsi = floorPsi([]);
const STEP_PSI = 2;

describe('rimStrike', () => {
  it('gives way to room that was found on an edge, and never goes up for it', () => {
    expect(modelPsi).toBeGreaterThan(11);
    expect(floorPsi([at(10, false)])).toBeCloseTo(10, 6);
    expect(floorPsi([at(10, false), at(14, false)])).toBeCloseTo(10, 6);
    expect(floorPsi([at(modelPsi + 5, false)])).toBeCloseTo(modelPsi, 9);
  });

  it('stands a step above where the rim was struck, whatever room was found elsewhere', () => {
    expect(floorPsi([at(18, true)])).toBeCloseTo(18 + STEP_PSI, 6);
    expect(floorPsi([at(18, true), at(10, false)])).toBeCloseTo(18 + STEP_PSI, 6);
    // Struck far below is no reason to go lower than the model.
    expect(floorPsi([at(6, true)])).toBeCloseTo(modelPsi, 9);
  });

  it('carries what was tried to another load: heavier wants more', () => {
    expect(floorPsi([at(10, false, REAR_KG * 0.8)])).toBeGreaterThan(10.5);
    expect(floorPsi([at(10, false, REAR_KG * 1.2)])).toBeLessThan(9.5);
  });

  it('is the person’s own where it was tried, our assumption else', () => {
    const mark = (tries: readonly RimTry[]) =>
      bindingFloor(bicycle(tries)).all.find(({ code }) => code === 'rimStrike')!.source.mark;
    expect(mark([])).toBe('assumption');
    expect(mark([at(10, false)])).toBe('measured');
    expect(mark([at(modelPsi + 5, false)])).toBe('assumption');
    const trace = rimStrike.trace(bicycle([at(10, false)]), psi(10));
    expect(trace.map(({ code }) => code)).toEqual(['strikeFloor', 'rimTried']);
  });

  it('says nothing of a car until its rim was struck, and then only where there are edges', () => {
    const car = (rimTries: readonly RimTry[], ground: PlanInput['ground']) =>
      rimStrike.pressureKpa(contextsOf(sampleInput({ ground, axles: [sampleAxle({ rimTries })] }))[0]!);
    expect(car([at(14, false, 600)], 'rockCrawl')).toBeNull();
    expect(car([at(14, true, 600)], 'rockCrawl')! / psi(1)).toBeCloseTo(16, 6);
    expect(car([at(14, true, 600)], 'softSand')).toBeNull();
  });

  it('is not raised by a strike where there is nothing hard to strike', () => {
    const snow = { ground: 'snow' } as const;
    expect(floorPsi([at(18, true)], snow)).toBeCloseTo(floorPsi([], snow), 9);
  });
});
