import { FAMILIES, familyOf } from '../families/registry';
import { loadCurve } from '../capacity/loadCurve';
import { groundsFor } from '../grounds/registry';
import { usualRigOf } from '../families/usualRigs';
import { SAMPLE_RIGS, sampleInput } from '../testing/samplePlan';
import { psi } from '../units/units';
import { firstNumbers, type FirstInput, type FirstNumbers } from './firstNumbers';
import { planGround } from './planGround';

const unweighed = (kind: string, change: Partial<FirstInput> = {}): FirstInput => {
  const { stuckAccepted: _, axles, ...rest } = sampleInput({ ...SAMPLE_RIGS[kind]!, riderKg: null });
  return {
    ...rest,
    axles: axles.map(({ leftLoadKg: _left, rightLoadKg: _right, ...axle }) => axle),
    totalKg: null,
    laden: 'empty',
    like: null,
    ...change,
  };
};
const numbers = (input: FirstInput): FirstNumbers => {
  const result = firstNumbers(input);
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
};

describe('firstNumbers', () => {
  it('answers for every family on every ground it meets, nothing weighed', () => {
    for (const own of FAMILIES) {
      const { code, kind } = own;
      for (const ground of groundsFor(own)) {
        const found = numbers(unweighed(kind, { family: code, ground }));
        expect(found.basis).toBe('ruleOfThumb');
        for (const axle of found.axles) {
          expect(axle.startKpa).toBeGreaterThan(0);
          expect(axle.lowKpa).toBeLessThanOrEqual(axle.startKpa);
          expect(axle.highKpa).toBeGreaterThanOrEqual(axle.startKpa);
          // Only a farm machine has no usual weight that could be taken.
          expect(axle.takenKg === null).toBe(kind === 'farm');
        }
      }
    }
  });

  it('is the share of road pressure on four wheels, with the fixed table beside it', () => {
    const [front] = numbers(unweighed('car', { ground: 'softSand' })).axles;
    expect(front!.startKpa).toBeCloseTo(psi(16), 9);
    expect(front!.schools.map(({ code }) => code)).toEqual(['shareOfRoad', 'fixedTable']);
    const bare = unweighed('car', { ground: 'softSand' });
    const noRoad = numbers({ ...bare, axles: bare.axles.map((axle) => ({ ...axle, roadKpa: null })) });
    expect(noRoad.school).toBe('fixedTable');
  });

  it('goes by the way that was chosen, as soon as it needs no load', () => {
    const chosen = (school: FirstInput['school']) => numbers(unweighed('car', { ground: 'softSand', school }));
    expect(chosen('fixedTable').school).toBe('fixedTable');
    expect(chosen('fixedTable').axles[0]!.startKpa).toBeCloseTo(psi(16), 6);
    // It would have to know the load: the first rule of thumb stands in.
    expect(chosen('equalDeflection').school).toBe('shareOfRoad');
    // Of another kind of rig: never.
    expect(chosen('classTable').school).toBe('shareOfRoad');
  });

  it('says how far off it may be: no less than what the plan comes to at the usual load', () => {
    const input = unweighed('van', { ground: 'softSand' });
    const [front] = numbers(input).axles;
    const { axles, totalKg: _, laden: __, like: ___, ...rest } = input;
    const usual = usualRigOf('vanTruck', null)!;
    const frontKg = (usual.totalKg * usual.frontShare.empty) / 2;
    const plan = planGround({
      ...rest,
      school: null,
      stuckAccepted: false,
      axles: axles.map((axle) => ({ ...axle, leftLoadKg: frontKg, rightLoadKg: frontKg })),
    });
    expect(plan.ok && Math.abs(plan.value.axles[0]!.startKpa - front!.startKpa)).toBeLessThanOrEqual(
      front!.mayBeOffKpa! + 1e-9,
    );
    expect(front!.mayBeOffKpa).toBeGreaterThan(psi(1));
  });

  it('splits a total by its kind, empty and loaded, and is surer then', () => {
    const two = {
      ...SAMPLE_RIGS.car!,
      axles: (['front', 'rear'] as const).map((position) => ({ ...SAMPLE_RIGS.car!.axles[0]!, position })),
    };
    const input = (change: Partial<FirstInput>): FirstInput => ({
      ...unweighed('car', { ground: 'softSand' }),
      axles: two.axles.map(({ leftLoadKg: _left, rightLoadKg: _right, ...axle }) => axle),
      ...change,
    });
    const empty = numbers(input({ totalKg: 2200 }));
    expect(empty.basis).toBe('split');
    // Assumption: wagon 52/48 empty, 45/55 loaded.
    expect(empty.axles.map(({ takenKg }) => takenKg)).toEqual([expect.closeTo(572, 9), expect.closeTo(528, 9)]);
    const loaded = numbers(input({ totalKg: 2800, laden: 'loaded' }));
    expect(loaded.axles.map(({ takenKg }) => takenKg)).toEqual([expect.closeTo(630, 9), expect.closeTo(770, 9)]);
    expect(loaded.axles[1]!.startKpa).toBeGreaterThan(loaded.axles[0]!.startKpa);
    const pickup = numbers(input({ totalKg: 2000, like: 'midPickup' }));
    expect(pickup.axles[0]!.takenKg).toBeCloseTo(570, 9);
    expect(empty.axles[0]!.mayBeOffKpa!).toBeLessThan(numbers(input({})).axles[0]!.mayBeOffKpa!);
  });

  it('is the class of a motorcycle and the start of an 80 kg rider, and needs no rider', () => {
    const [front, rear] = numbers(unweighed('motorcycle', { ground: 'dirtRoad' })).axles;
    expect([front!.startKpa / psi(1), rear!.startKpa / psi(1)]).toEqual([expect.closeTo(20, 6), expect.closeTo(23, 6)]);
    const bicycle = numbers(unweighed('bicycle', { ground: 'hardpack' })).axles;
    expect(bicycle.map(({ startKpa }) => startKpa / psi(1))).toEqual([expect.closeTo(23, 6), expect.closeTo(24, 6)]);
  });

  it('takes the field of a farm machine from its road pressure, and asks where there is none', () => {
    const bare = (roadKpa: number | null): FirstInput => {
      const input = unweighed('farm', { ground: 'fieldMoist', family: 'sprayer' });
      return { ...input, axles: input.axles.map((axle) => ({ ...axle, curve: null, roadKpa })) };
    };
    expect(numbers(bare(240)).axles[0]!.startKpa).toBeCloseTo(240 * (1 / 1.37) ** (1 / 0.7), 6);
    expect(firstNumbers(bare(null))).toMatchObject({
      ok: false,
      problem: { code: 'noSchoolAnswers', needs: ['roadPressure'] },
    });
  });

  it('stays on the first row of a data sheet, whatever stands on the wheel', () => {
    const rows = [
      { pressureKpa: 160, speedKmh: 10, loadKg: 4800 },
      { pressureKpa: 320, speedKmh: 10, loadKg: 7300 },
    ];
    const input = unweighed('farm', { ground: 'fieldMoist' });
    const axles = input.axles.map((axle) => {
      const curve = loadCurve({ tire: axle.tire, maxKpa: null, lines: [], rows, rowsOf: 'thisTire' });
      if (!curve.ok) throw new Error(curve.problem.code);
      return { ...axle, curve: curve.value, roadKpa: 200 };
    });
    for (const { startKpa, floor } of numbers({ ...input, axles }).axles) {
      expect(floor).toEqual({ code: 'firstRow', pressureKpa: 160 });
      expect(startKpa).toBeGreaterThanOrEqual(160);
    }
  });

  it('asks for what stands in its way', () => {
    expect(firstNumbers(unweighed('car', { ground: 'bikePark' }))).toMatchObject({ problem: { code: 'otherGround' } });
    const bare = unweighed('car', { ground: 'pavement' });
    expect(firstNumbers({ ...bare, axles: bare.axles.map((axle) => ({ ...axle, roadKpa: null })) })).toMatchObject({
      problem: { code: 'roadMissing' },
    });
    // More than its tires carry, however it is split.
    expect(firstNumbers(unweighed('car', { ground: 'softSand', totalKg: 20_000 }))).toMatchObject({ ok: false });
    expect(familyOf('fourWheel').kind).toBe('car');
  });
});
