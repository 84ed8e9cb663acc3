import fc from 'fast-check';

import { GROUND_CODES, type GroundCode } from '../grounds/registry';
import { DEFAULT_SCHOOL, SCHOOL_CODES } from '../schools/registry';
import { readMarking } from '../tires/readMarking';
import type { LoadRange } from '../tires/loadRange';
import { psi } from '../units/units';
import type { AxlePlan, PlanAxle, PlanInput } from './plan';
import { planGround } from './planGround';

const axle = (change: Partial<PlanAxle> & { marking?: string } = {}): PlanAxle => {
  const { marking = '265/65R17', ...rest } = change;
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(marking);
  return {
    position: 'front',
    tire: reading.value,
    loadRange: 'standard',
    leftLoadKg: 600,
    rightLoadKg: 600,
    placardKpa: psi(36),
    beadLocks: false,
    heldFloorKpa: null,
    ...rest,
  };
};
const input = (ground: GroundCode, one: PlanAxle, change: Partial<PlanInput> = {}): PlanInput => ({
  ground,
  school: DEFAULT_SCHOOL,
  stuckAccepted: false,
  axles: [one],
  ...change,
});
const plan = (...args: Parameters<typeof input>): AxlePlan & { cautions: readonly string[] } => {
  const result = planGround(input(...args));
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return { ...result.value.axles[0]!, cautions: result.value.cautions };
};

describe('planGround', () => {
  it('leaves the road to the placard', () => {
    const road = plan('pavement', axle({ placardKpa: psi(38) }));
    expect(road).toMatchObject({ startKpa: psi(38), wantedKpa: null, heldBy: null, clearanceLostMm: 0 });
    expect(road.cautions).toEqual(['overruled']);
  });

  it('holds the window inside floor and road pressure', () => {
    const sand = plan('verySoftSand', axle());
    expect(sand.window.lowKpa).toBeCloseTo(psi(12), 9);
    expect(sand.floor.code).toBe('bead');
  });

  it('plans for the heavier wheel of the axle', () => {
    const uneven = plan('softSand', axle({ leftLoadKg: 560, rightLoadKg: 640 }));
    expect(uneven.wheelLoadKg).toBe(640);
    expect(uneven.startKpa).toBe(plan('softSand', axle({ leftLoadKg: 640, rightLoadKg: 640 })).startKpa);
  });

  it('stays at the floor until the person says that they are stuck', () => {
    const before = planGround(input('stuck', axle()));
    expect(before).toMatchObject({ ok: true, value: { needsStuckStep: true } });
    expect(plan('stuck', axle())).toMatchObject({ heldBy: 'floor', startKpa: psi(12) });
    const after = plan('stuck', axle(), { stuckAccepted: true });
    expect(after.startKpa).toBeCloseTo(psi(8), 9);
    expect(after.floor.pressureKpa).toBeLessThan(psi(8));
  });

  it('does not let the stuck step through on other ground', () => {
    expect(plan('verySoftSand', axle(), { stuckAccepted: true }).floor.pressureKpa).toBeCloseTo(psi(12), 9);
  });

  it('has no number for a load that the placard cannot carry, and says what it would take', () => {
    const result = planGround(input('gravel', axle({ leftLoadKg: 1500, rightLoadKg: 1500, placardKpa: psi(26) })));
    expect(result).toMatchObject({ ok: false, problem: { code: 'placardCannotCarry', position: 'front' } });
    expect(!result.ok && 'neededKpa' in result.problem && result.problem.neededKpa).toBeGreaterThan(psi(26));
  });

  it('has no number where the person accepts nothing as low as the road pressure', () => {
    expect(planGround(input('gravel', axle({ heldFloorKpa: psi(40) })))).toEqual({
      ok: false,
      problem: { code: 'floorAboveRoad', position: 'front', floorKpa: psi(40), placardKpa: psi(36) },
    });
  });

  it('is held at the placard where a heavy wheel would want more', () => {
    const heavy = plan('gravel', axle({ leftLoadKg: 900, rightLoadKg: 900, placardKpa: psi(36) }));
    expect(heavy).toMatchObject({ heldBy: 'placard', startKpa: psi(36) });
  });

  it.each([
    [
      'a stiff carcass under a light load',
      'softSand',
      { loadRange: 'E', leftLoadKg: 380, rightLoadKg: 380 },
      'stiffCarcass',
    ],
    ['a wheel over its load index', 'gravel', { marking: '265/65R17 85T' }, 'overLoadIndex'],
    ['sand', 'softSand', {}, 'drivingOnSand'],
    ['stuck', 'stuck', {}, 'chassisAground'],
  ] as const)('warns of %s', (_, ground, change, caution) => {
    expect(plan(ground, axle(change)).cautions).toContain(caution);
  });

  it('warns before pavement wherever air was let out, dangers first', () => {
    for (const ground of GROUND_CODES.filter((code) => code !== 'pavement')) {
      const { cautions } = plan(ground, axle());
      expect(cautions).toEqual(
        expect.arrayContaining(['airBeforePavement', 'speedAndHeat', 'gentleTurns', 'overruled']),
      );
    }
  });

  it('uses a measured contact constant, and marks the step that does', () => {
    const measuredContact = { contactConstant: 0.6, standardError: 0.02 };
    const before = plan('softSand', axle());
    const after = plan('softSand', axle({ measuredContact }));
    expect(after.startKpa).toBe(before.startKpa);
    expect(after.atStart.lengthMm / before.atStart.lengthMm).toBeCloseTo(0.6 / 0.68, 9);
    expect(after.working.find(({ code }) => code === 'contactLength')).toMatchObject({
      inputs: { contactConstant: 0.6, contactConstantError: 0.02 },
      source: { mark: 'measured' },
    });
  });

  it.each([
    ['equalDeflection', 16],
    ['fixedTable', 16],
    ['shareOfRoad', (40 * 16) / 36],
    ['stepDown', 28],
  ] as const)('goes by the school that is held: %s', (school, startPsi) => {
    const reference = axle({ placardKpa: psi(40) });
    const held = plan('softSand', reference, { school });
    expect(held.startKpa / psi(1)).toBeCloseTo(startPsi, 9);
    expect(held.schools.find(({ code }) => code === school)!.startKpa).toBe(held.startKpa);
    expect(held.schools).toHaveLength(SCHOOL_CODES.length);
    expect(held.working.find(({ code }) => code === 'start')!.inputs.wantedKpa).toBe(held.wantedKpa);
  });

  it('cuts a school off where it would go past a limit, and says which', () => {
    const heavy = plan('verySoftSand', axle({ leftLoadKg: 1000, rightLoadKg: 1000, placardKpa: psi(45) }));
    const table = heavy.schools.find(({ code }) => code === 'fixedTable')!;
    expect(table).toMatchObject({ wantedKpa: psi(12), heldBy: 'floor', startKpa: heavy.floor.pressureKpa });
    const light = plan('gravel', axle({ placardKpa: psi(24) }));
    expect(light.schools.find(({ code }) => code === 'fixedTable')).toMatchObject({
      heldBy: 'placard',
      startKpa: psi(24),
    });
    expect(plan('pavement', axle()).schools).toEqual([]);
  });

  it('shows a working that can be done again with nothing but the values it names', () => {
    const { working } = plan('softSand', axle({ marking: '245/75R16', loadRange: 'C' }));
    const step = (code: string) => working.find((each) => each.code === code)!;
    const stiffness = (code: string, p: number): number => {
      const { aspectPercent, sectionWidthMm, outerDiameterMm, carcassFactor } = step(code).inputs;
      return (
        0.00028 * p * Math.sqrt((1.03 - 0.004 * aspectPercent!) * sectionWidthMm! * outerDiameterMm!) +
        3.45 * carcassFactor!
      );
    };
    const reference = step('referenceShare').inputs;
    const share =
      reference.wheelLoadKg! /
      stiffness('referenceShare', reference.referencePressureKpa!) /
      reference.sectionHeightMm!;
    expect(share).toBeCloseTo(step('referenceShare').result.value, 12);
    expect(stiffness('wantedPressure', step('wantedPressure').result.value)).toBeCloseTo(
      step('wantedPressure').inputs.stiffnessKgPerMm!,
      9,
    );
  });

  it('shows a working whose steps lead to the plan, without a hole', () => {
    const { working, startKpa, atStart } = plan('softSand', axle({ marking: '245/75R16', loadRange: 'C' }));
    const result = (code: string): number | undefined => working.find((step) => step.code === code)?.result.value;
    expect(result('start')).toBe(startKpa);
    expect(result('contactLength')).toBe(atStart.lengthMm);
    expect(result('groundPressure')).toBe(atStart.groundPressureKpa);
    for (const step of working) {
      for (const value of [...Object.values(step.inputs), step.result.value]) expect(Number.isFinite(value)).toBe(true);
    }
  });
});

describe('the laws of a plan', () => {
  const anyAxle = fc
    .record({
      marking: fc.constantFrom('265/65R17', '245/75R16', '35x12.50R17LT', '7.50R16', 'LT285/70R17'),
      load: fc.double({ min: 200, max: 1100, noNaN: true }),
      placard: fc.double({ min: 28, max: 65, noNaN: true }),
      loadRange: fc.constantFrom<LoadRange>('standard', 'C', 'D', 'E'),
    })
    .map(({ marking, load, placard, loadRange }) =>
      axle({ marking, leftLoadKg: load, rightLoadKg: load, placardKpa: psi(placard), loadRange }),
    );
  const ground = fc.constantFrom(...GROUND_CODES);

  it('lies between floor and road pressure, window and start alike, by every school', () => {
    fc.assert(
      fc.property(
        anyAxle,
        ground,
        fc.constantFrom(...SCHOOL_CODES),
        fc.tuple(fc.boolean(), fc.boolean()),
        (one, code, school, [beadLocks, stuckAccepted]) => {
          const result = planGround(input(code, { ...one, beadLocks }, { stuckAccepted, school }));
          fc.pre(result.ok);
          if (!result.ok) return;
          const { startKpa, window, floor, roadKpa } = result.value.axles[0]!;
          const others = result.value.axles[0]!.schools.map((each) => each.startKpa);
          for (const kpa of [startKpa, window.lowKpa, window.highKpa, ...others]) {
            expect(kpa).toBeGreaterThanOrEqual(floor.pressureKpa);
            expect(kpa).toBeLessThanOrEqual(roadKpa);
          }
          expect(window.lowKpa).toBeLessThanOrEqual(window.highKpa);
        },
      ),
      { seed: 21, numRuns: 400 },
    );
  });

  it('never asks less of a heavier wheel', () => {
    fc.assert(
      fc.property(anyAxle, ground, fc.double({ min: 1, max: 1.5, noNaN: true }), (one, code, more) => {
        const light = planGround(input(code, one));
        const kg = one.leftLoadKg * more;
        const heavy = planGround(input(code, { ...one, leftLoadKg: kg, rightLoadKg: kg }));
        fc.pre(light.ok && heavy.ok);
        if (light.ok && heavy.ok) {
          expect(heavy.value.axles[0]!.startKpa).toBeGreaterThanOrEqual(light.value.axles[0]!.startKpa);
        }
      }),
      { seed: 22, numRuns: 400 },
    );
  });

  it('keeps the order of the grounds for any one rig', () => {
    const firmToSoft = [
      'pavement',
      'gravel',
      'rockyTrack',
      'forestMud',
      'dampSand',
      'softSand',
      'verySoftSand',
    ] as const;
    fc.assert(
      fc.property(anyAxle, (one) => {
        const starts = firmToSoft.map((code) => planGround(input(code, one)));
        fc.pre(starts.every((result) => result.ok));
        const kpas = starts.map((result) => (result.ok ? result.value.axles[0]!.startKpa : Number.NaN));
        expect(kpas).toEqual([...kpas].sort((a, b) => b - a));
      }),
      { seed: 23, numRuns: 200 },
    );
  });
});
