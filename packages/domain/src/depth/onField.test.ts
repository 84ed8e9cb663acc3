import type { ProofTestRow, RigRow } from '@dunlinmoss/contract';
import { contextsOf, deflectionMm, levers, planGround, pressing, rutDepthM, type AxleContext } from '@dunlinmoss/core';

import { planInput } from '../plan/planInput';
import { sampleAxle, sampleCase, sampleRig } from '../testing/sampleRig';
import {
  axleOnField,
  axlesInTrack,
  depthsOf,
  leastFor,
  ownCone,
  ownRut,
  ownStrength,
  soilOfField,
  USUAL_FIELD,
} from './onField';

/** A tractor with its spreader, road pressures and weights known. */
const tractor: RigRow = sampleRig({
  family: 'tractor',
  hitchMm: 3_600,
  topSpeedKmh: 40,
  axles: [
    sampleAxle('front', { tireMarking: '480/65R28 136D', roadKpa: 120, trackMm: 1_800, loadRange: 'standard' }),
    sampleAxle('rear', { tireMarking: '600/65R38 153D', roadKpa: 160, trackMm: 1_800, behindMm: 2_700 }),
    sampleAxle('trailer', {
      tireMarking: '600/50R22.5 159D',
      roadKpa: 220,
      trackMm: 1_850,
      behindMm: 4_500,
      driven: false,
    }),
  ],
  loadCases: [
    sampleCase({
      weighed: [
        { position: 'front', part: 'axle', loadKg: 2_600 },
        { position: 'rear', part: 'axle', loadKg: 5_200 },
        { position: 'trailer', part: 'axle', loadKg: 6_400 },
      ],
    }),
  ],
});

const contextsFor = (rig: RigRow): readonly AxleContext[] => {
  const input = planInput(rig, [], { ground: 'fieldMoist', loadCaseId: null, modifiers: [], speedKmh: null });
  if (!input.ok) throw new Error(input.problem.code);
  const plan = planGround(input.value);
  if (!plan.ok) throw new Error(plan.problem.code);
  return contextsOf(input.value);
};

describe('axleOnField', () => {
  const contexts = contextsFor(tractor);

  it('stands where its track says, under the load of its heavier wheel, at the pressure asked for', () => {
    const rear = axleOnField(tractor, contexts, 1, 90, 1);
    expect(rear.tiresAtM).toEqual([-0.9, 0.9]);
    expect(rear.tire).toMatchObject({ loadKg: 2_600, pressureKpa: 90 });
    expect(rear.tire.widthM).toBeCloseTo(0.6, 2);
    expect(rear.tire.diameterM).toBeCloseTo(1.745, 2);
  });

  it('has pairs stand side by side, and one wheel alone in the middle', () => {
    const duals = {
      ...tractor,
      axles: tractor.axles.map((axle, at) => (at === 1 ? { ...axle, wheels: 4 as const } : axle)),
    };
    const { tiresAtM } = axleOnField(duals, contexts, 1, 90, 1);
    expect(tiresAtM).toHaveLength(4);
    expect(tiresAtM[1]! - tiresAtM[0]!).toBeCloseTo(0.68, 9);
    const single = {
      ...tractor,
      axles: tractor.axles.map((axle, at) => (at === 0 ? { ...axle, wheels: 1 as const } : axle)),
    };
    expect(axleOnField(single, contexts, 0, 90, 1).tiresAtM).toEqual([0]);
  });

  it('counts the axles that run in one track, times how often', () => {
    expect(axlesInTrack(tractor, contexts, 1)).toBe(3);
    const apart = {
      ...tractor,
      axles: tractor.axles.map((axle, at) => (at === 2 ? { ...axle, trackMm: 3_200 } : axle)),
    };
    expect(axlesInTrack(apart, contexts, 1)).toBe(2);
    expect(axleOnField(apart, contexts, 1, 90, 4).passes).toBe(8);
  });
});

describe('leastFor', () => {
  it('asks for more the more it carries, never below any floor, and for nothing past what the tire may have', () => {
    const [, rear] = contextsFor(tractor);
    const least = leastFor(rear!);
    expect(least(2_600)!).toBeGreaterThan(least(1_500)!);
    expect(least(1)!).toBeGreaterThan(0);
    expect(leastFor({ ...rear!, axle: { ...rear!.axle, maxKpa: 160 } })(9_000)).toBeNull();
    expect(leastFor({ ...rear!, axle: { ...rear!.axle, curve: null } })(2_000)).toBeNull();
  });

  it('is what the levers stand on', () => {
    const contexts = contextsFor(tractor);
    const leastKpa = leastFor(contexts[1]!);
    const depths = depthsOf(USUAL_FIELD);
    const { all } = levers({
      axle: axleOnField(tractor, contexts, 1, 160, 2),
      field: soilOfField(USUAL_FIELD),
      depthsM: Object.values(depths),
      leastKpa,
      lessLoad: 0.25,
      waitDays: 4,
      fewestPasses: 3,
      takesDuals: true,
    });
    expect(all.find(({ code }) => code === 'lowerPressure')?.to.pressureKpa).toBe(leastKpa(2_600));
    expect(all.find(({ code }) => code === 'fewerPasses')?.to).toMatchObject({ loadKg: 2_600 });
  });
});

describe('depthsOf', () => {
  it('looks in the top, below what is worked, and at half a meter, from the top down', () => {
    for (const looseToMm of [0, 100, 250, 350, 600]) {
      const { top, below, deep } = depthsOf({ ...USUAL_FIELD, looseToMm });
      expect(top).toBeLessThan(below + 1e-9);
      expect(below).toBeLessThan(deep);
    }
    expect(depthsOf({ ...USUAL_FIELD, looseToMm: 250 }).below).toBeCloseTo(0.3, 9);
  });
});

describe('ownCone', () => {
  const probed = (change: object, runs: readonly object[]): ProofTestRow =>
    ({
      ...{ id: 't', kind: 'penetrometer', counts: true, performedAt: '2026-11-20T08:00:00.000Z' },
      details: {
        ...{
          tireMarking: '600/65R38 153D',
          loadRange: 'standard',
          widthMm: null,
          gauge: null,
          setup: { trackAKpa: 90 },
        },
        runs,
      },
      ...change,
    }) as unknown as ProofTestRow;
  const profile = (coneKpa: number, track = 'untouched') =>
    [100, 200, 300, 400].map((depthMm) => ({ track, depthMm, coneKpa }));

  it('makes the soil as much stronger or weaker as it reads, no further than textures differ', () => {
    const usual = ownCone(tractor, [probed({}, profile(840))], USUAL_FIELD)!;
    expect(usual).toMatchObject({ testId: 't', coneKpa: 840, rootsToMm: null });
    // Published: Taylor et al. 1966, from memory: roots stop at 300 psi, 2068.4 kPa; here at (2068.4 + 500)/10 mm.
    const hard = [100, 200, 300].map((depthMm) => ({ track: 'untouched', depthMm, coneKpa: 10 * depthMm - 500 }));
    expect(ownCone(tractor, [probed({}, hard)], USUAL_FIELD)!.rootsToMm).toBeCloseTo(256.84, 2);
    expect(usual.factor).toBeCloseTo(1, 2);
    expect(ownCone(tractor, [probed({}, profile(4_000))], USUAL_FIELD)!.factor).toBe(1.5);
    expect(ownCone(tractor, [probed({}, profile(200))], USUAL_FIELD)!.factor).toBeCloseTo(1 / 1.5, 9);
    const soil = soilOfField(USUAL_FIELD, usual);
    const on = axleOnField(tractor, contextsFor(tractor), 1, 100, 1);
    const weak = soilOfField(USUAL_FIELD, { ...usual, factor: 0.7 });
    expect(pressing(on, weak, [0.3]).depths[0]!.chance).toBeGreaterThan(pressing(on, soil, [0.3]).depths[0]!.chance);
  });

  it('takes the newest that was not struck, of soil that nobody drove on, with more than one depth', () => {
    const older = probed({ id: 'o', performedAt: '2026-11-01T08:00:00.000Z' }, profile(700));
    expect(ownCone(tractor, [older, probed({}, profile(900))], USUAL_FIELD)?.testId).toBe('t');
    expect(ownCone(tractor, [older, probed({ counts: false }, profile(900))], USUAL_FIELD)?.testId).toBe('o');
    expect(ownCone(tractor, [probed({}, profile(900, 'trackA'))], USUAL_FIELD)).toBeUndefined();
    expect(ownCone(tractor, [probed({}, profile(900).slice(0, 1))], USUAL_FIELD)).toBeUndefined();
    expect(ownCone(tractor, [], USUAL_FIELD)).toBeUndefined();
  });
});

describe('ownRut', () => {
  const contexts = contextsFor(tractor);
  const measured = (rutMm: number, change: object = {}): ProofTestRow =>
    ({
      ...{ id: 'r', kind: 'rut', counts: true, performedAt: '2026-11-22T08:00:00.000Z' },
      details: {
        ...{
          wheel: 'rear left',
          tireMarking: '600/65R38 153D',
          loadRange: 'standard',
          widthMm: null,
          gauge: null,
          setup: {},
        },
        runs: [{ pressureKpa: 120, rutMm, lugMm: null }],
      },
      ...change,
    }) as unknown as ProofTestRow;

  it('is the cone that leaves such a rut, and the stronger the soil, the shallower it was', () => {
    const at = (rutMm: number) => ownRut(tractor, [measured(rutMm)], contexts, USUAL_FIELD)!;
    expect(at(40).coneKpa).toBeGreaterThan(at(90).coneKpa);
    const { tire } = axleOnField(tractor, contexts, 1, 120, 1);
    const bendM = deflectionMm(contexts[1]!.build, tire.loadKg, 120) / 1000;
    expect(1000 * rutDepthM(tire, bendM, at(60).coneKpa)!).toBeCloseTo(60, 0);
    expect(at(400).factor).toBeCloseTo(1 / 1.5, 9);
    expect(at(5).factor).toBe(1.5);
  });

  it('counts no test that was struck, has no rut, or is of an axle that is not there', () => {
    const none = [
      measured(60, { counts: false }),
      measured(0),
      measured(60, { details: { ...measured(60).details, wheel: 'rear2 left' } }),
    ];
    expect(ownRut(tractor, none, contexts, USUAL_FIELD)).toBeUndefined();
    expect(ownStrength(tractor, none, contexts, USUAL_FIELD)).toBeUndefined();
  });

  it('gives way to a cone that is newer, and goes before one that is older', () => {
    const cone = (performedAt: string): ProofTestRow =>
      ({
        ...measured(60),
        id: 'c',
        kind: 'penetrometer',
        performedAt,
        details: {
          ...measured(60).details,
          setup: { trackAKpa: 90 },
          runs: [100, 200, 300].map((depthMm) => ({ track: 'untouched', depthMm, coneKpa: 900 })),
        },
      }) as unknown as ProofTestRow;
    const of = (at: string) => ownStrength(tractor, [measured(60), cone(at)], contexts, USUAL_FIELD);
    expect(of('2026-11-25T08:00:00.000Z')).toMatchObject({ by: 'cone', testId: 'c' });
    expect(of('2026-11-01T08:00:00.000Z')).toMatchObject({ by: 'rut', testId: 'r' });
  });
});
