import fc from 'fast-check';

import { SAMPLE_RIGS, sampleAxle, sampleInput } from '../testing/samplePlan';
import { psi } from '../units/units';
import { compromise, type Compromise, type Leg } from './compromise';

const leg = (ground: Leg['ground'], change: Partial<Leg> = {}): Leg => ({
  ground,
  modifiers: [],
  speedKmh: null,
  axles: [sampleAxle()],
  weight: 1,
  ...change,
});
const of = (legs: readonly Leg[], rig = SAMPLE_RIGS.car!): Compromise => {
  const result = compromise(sampleInput({ ...rig, ground: legs[0]!.ground, axles: legs[0]!.axles }), legs);
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
};

describe('compromise', () => {
  it('lies between what two tracks ask for, nearer to the longer', () => {
    const half = of([leg('forestMud'), leg('softSand')]).axles[0]!;
    expect(half.pressureKpa).toBeCloseTo((psi(22) * psi(16)) ** 0.5, 9);
    const mostSand = of([leg('forestMud'), leg('softSand', { weight: 4 })]).axles[0]!;
    expect(mostSand.pressureKpa).toBeLessThan(half.pressureKpa!);
    expect(half.held).toBe(false);
    // At 80 km/h a gravel track has a floor that the sand does not move.
    expect(of([leg('gravel'), leg('softSand')]).axles[0]).toMatchObject({
      held: true,
      lowest: { leg: 0, code: 'heatAndSpeed' },
    });
  });

  it('stays at the placard where pavement is among them, and says what that costs on sand', () => {
    const day = of([leg('pavement'), leg('softSand')]);
    expect(day.axles[0]).toMatchObject({
      pressureKpa: psi(36),
      held: true,
      lowest: { leg: 0, code: 'placardRules' },
    });
    const sand = day.legs[1]!.axles[0]!;
    expect(sand.aboveOwnKpa).toBeCloseTo(psi(20), 9);
    expect(sand.atOne!.lengthMm).toBeLessThan(sand.atOwn.lengthMm);
    expect(day.changes).toBe(1);
  });

  it('lets the heaviest load at the highest speed rule a tanker without central inflation', () => {
    const farm = SAMPLE_RIGS.farm!;
    const loaded = (loadKg: number) => [sampleAxle({ marking: '480/80R50 159A8/B **', loadKg, roadKpa: null })];
    const day = of(
      [
        leg('pavement', { axles: loaded(4000) }),
        leg('fieldMoist', { axles: loaded(4000) }),
        leg('pavement', { axles: loaded(1500) }),
      ],
      farm,
    );
    const [road, field, home] = day.legs.map(({ axles }) => axles[0]!);
    expect(day.axles[0]).toMatchObject({ held: true, lowest: { leg: 0, code: 'loadAtSpeed' } });
    expect(day.axles[0]!.pressureKpa).toBeCloseTo(road!.ownKpa, 6);
    expect(field!.aboveOwnKpa).toBeGreaterThan(0);
    expect(home!.aboveOwnKpa).toBeGreaterThan(field!.aboveOwnKpa);
    expect(day.changes).toBe(2);
  });

  it('is none where a floor of one leg lies above a ceiling of another', () => {
    const light = [sampleAxle({ roadKpa: psi(20), loadKg: 300 })];
    const heavy = [sampleAxle({ roadKpa: psi(50), loadKg: 1300 })];
    const day = of([leg('gravel', { axles: heavy }), leg('softSand', { axles: light })]);
    expect(day.axles[0]).toMatchObject({ pressureKpa: null, lowest: { leg: 0 }, highest: { leg: 1, code: 'placard' } });
    expect(day.legs[0]!.axles[0]!.atOne).toBeNull();
  });

  it('says on which leg there is no number', () => {
    const legs = [leg('gravel'), leg('softSand', { axles: [sampleAxle({ loadKg: 3000 })] })];
    expect(compromise(sampleInput(), legs)).toMatchObject({
      ok: false,
      problem: { leg: 1, code: 'floorAboveCeiling' },
    });
  });

  it('never lies below the floor of any leg', () => {
    const grounds = ['pavement', 'gravel', 'rockyTrack', 'forestMud', 'snow', 'softSand', 'verySoftSand'] as const;
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            ground: fc.constantFrom(...grounds),
            loadKg: fc.integer({ min: 300, max: 900 }),
            weight: fc.integer({ min: 1, max: 9 }),
          }),
          { minLength: 1, maxLength: 5 },
        ),
        (parts) => {
          const legs = parts.map(({ ground, loadKg, weight }) =>
            leg(ground, { weight, axles: [sampleAxle({ loadKg, roadKpa: psi(45) })] }),
          );
          const day = of(legs);
          for (const { plan } of day.legs) {
            expect(day.axles[0]!.pressureKpa).toBeGreaterThanOrEqual(plan.axles[0]!.floor.pressureKpa - 1e-9);
          }
        },
      ),
      { seed: 31, numRuns: 200 },
    );
  });
});
