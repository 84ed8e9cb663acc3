import fc from 'fast-check';

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
const at = (pressurePsi: number, struck: boolean, wheelLoadKg = REAR_KG, ridden = true): RimTry => ({
  pressureKpa: psi(pressurePsi),
  wheelLoadKg,
  struck,
  ridden,
});
const press = (pressurePsi: number, struck: boolean): RimTry => at(pressurePsi, struck, REAR_KG, false);
const floorPsi = (...args: Parameters<typeof bicycle>) => strikePsi(bicycle(...args));
const strikePsi = (context: ReturnType<typeof bicycle>) => rimStrike.pressureKpa(context)! / psi(1);
const modelPsi = floorPsi([]);
/** 2 psi, or a tenth of the floor where that is less. */
const STEP_PSI = modelPsi / 10;

describe('rimStrike', () => {
  it('gives way by one step for each run with room below it, and never goes up for one', () => {
    expect(modelPsi).toBeGreaterThan(11);
    expect(floorPsi([at(13, false)])).toBeCloseTo(modelPsi - STEP_PSI, 6);
    expect(floorPsi([at(13, false), at(14, false)])).toBeCloseTo(13, 6);
    expect(floorPsi([at(12.2, false), at(12.4, false)])).toBeCloseTo(Math.max(12.2, modelPsi - 2 * STEP_PSI), 6);
    expect(floorPsi([at(modelPsi - 0.3, false)])).toBeCloseTo(modelPsi - 0.3, 6);
    expect(floorPsi([at(modelPsi + 5, false)])).toBeCloseTo(modelPsi, 9);
  });

  it('hears of a press on an edge for slow climbing alone, of a hit at speed everywhere', () => {
    expect(floorPsi([press(12, false)])).toBeCloseTo(modelPsi, 9);
    const climbing = { ground: 'climb' } as const;
    expect(floorPsi([press(12, false)], climbing)).toBeLessThan(floorPsi([], climbing) - 0.5);
    expect(floorPsi([at(12, false)], climbing)).toBeLessThan(floorPsi([], climbing) - 0.5);
  });

  it('goes up by one step for each strike, and no higher than a step above it', () => {
    expect(floorPsi([at(18, true)])).toBeCloseTo(modelPsi + STEP_PSI, 6);
    expect(floorPsi([at(18, true), at(18, true), at(18, true)])).toBeCloseTo(
      Math.min(18 + STEP_PSI, modelPsi + 3 * STEP_PSI),
      6,
    );
    expect(floorPsi([press(modelPsi, true)])).toBeCloseTo(modelPsi + STEP_PSI, 6);
    // Struck far below is no reason to go lower than the model.
    expect(floorPsi([at(10, true)])).toBeCloseTo(modelPsi, 9);
  });

  it('does not believe a slip of the unit', () => {
    for (const tries of [[at(2, false)], [at(0, false)], [at(140, true)], [press(2, true)]]) {
      expect(floorPsi(tries)).toBeCloseTo(modelPsi, 9);
    }
  });

  it('moves by no more than a step for any one run, whatever it says', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 300, noNaN: true }),
        fc.boolean(),
        fc.boolean(),
        fc.constantFrom('hardpack', 'rock', 'climb', 'snow'),
        (psiTried, struck, ridden, ground) => {
          const before = floorPsi([], { ground: ground as 'rock' });
          const after = floorPsi([{ ...at(psiTried, struck), ridden }], { ground: ground as 'rock' });
          expect(Math.abs(after - before)).toBeLessThanOrEqual(2 + 1e-9);
        },
      ),
    );
  });

  it('carries what was tried to another load: heavier wants more', () => {
    const [light, same, heavy] = [0.9, 1, 1.1].map((share) => floorPsi([at(14.2, false, REAR_KG * share)]));
    expect(light).toBeGreaterThan(same!);
    expect(heavy).toBeLessThan(same!);
  });

  it('is the person’s own where it was tried, our assumption else', () => {
    const mark = (tries: readonly RimTry[]) =>
      bindingFloor(bicycle(tries)).all.find(({ code }) => code === 'rimStrike')!.source.mark;
    expect(mark([])).toBe('assumption');
    expect(mark([at(12, false)])).toBe('measured');
    expect(mark([at(modelPsi + 5, false)])).toBe('assumption');
    const context = bicycle([at(12, false)]);
    const trace = rimStrike.trace(context, rimStrike.pressureKpa(context)!);
    expect(trace.map(({ code }) => code)).toEqual(['strikeFloor', 'rimTried']);
  });

  it('says nothing of a car until its rim was struck, and then only where there are edges', () => {
    const car = (rimTries: readonly RimTry[], ground: PlanInput['ground']) =>
      rimStrike.pressureKpa(contextsOf(sampleInput({ ground, axles: [sampleAxle({ rimTries })] }))[0]!);
    expect(car([at(20, false, 600)], 'rockCrawl')).toBeNull();
    expect(car([at(20, true, 600)], 'rockCrawl')! / psi(1)).toBeCloseTo(22, 6);
    expect(car([at(20, true, 600)], 'softSand')).toBeNull();
  });

  it('is not raised by a strike where there is nothing hard to strike', () => {
    const snow = { ground: 'snow' } as const;
    expect(floorPsi([at(18, true)], snow)).toBeCloseTo(floorPsi([], snow), 9);
  });
});
