import { planGround, psi } from '@dunlinmoss/core';

import { SAMPLE_RIGS, sampleAxle, sampleBicycle, sampleCase, sampleRig } from '../testing/sampleRig';
import { askedOf, planAxles, planInput } from './planInput';

const planned = (...args: Parameters<typeof planAxles>) => {
  const result = planAxles(...args);
  if (!result.ok) throw new Error(result.problem.code);
  return result.value.axles;
};
const reason = (...args: Parameters<typeof planAxles>) => {
  const result = planAxles(...args);
  return result.ok ? undefined : result.problem;
};
const both = (front: number, rear: number) =>
  sampleCase({
    weighed: [
      { position: 'front', part: 'axle', loadKg: front },
      { position: 'rear', part: 'axle', loadKg: rear },
    ],
  });

describe('planAxles', () => {
  it('takes each side as it stands, the heavier tire of a pair', () => {
    expect(planned(sampleRig(), []).map(({ leftLoadKg, rightLoadKg }) => [leftLoadKg, rightLoadKg])).toEqual([
      [560, 570],
      [700, 690],
    ]);
    const pairs = sampleRig({
      family: 'vanTruck',
      axles: [sampleAxle('front'), sampleAxle('rear', { wheels: 4 })],
      loadCases: [both(1200, 2400)],
    });
    expect(planned(pairs, [])[1]).toMatchObject({ leftLoadKg: 600, rightLoadKg: 600 });
  });

  it('goes by the load case of the outing, else by the one that stands', () => {
    const light = { ...both(1000, 900), id: 'light' };
    const rig = sampleRig({ loadCases: [sampleCase(), light] });
    expect(planned(rig, [], 'light')[0]!.leftLoadKg).toBe(500);
    expect(planned(rig, [], 'gone')[0]!.leftLoadKg).toBe(560);
  });

  it('knows what holds each bead, and what each tire carries', () => {
    const rig = sampleRig({ axles: [sampleAxle('front', { beadHold: 'beadLock' }), sampleAxle('rear')] });
    expect(planned(rig, []).map(({ beadHold }) => beadHold)).toEqual(['beadLock', 'none']);
    expect(planned(rig, [])[0]!.curve).toMatchObject({ from: 'index' });
    expect(planned(sampleBicycle(), [])[0]!.curve).toBeNull();
  });

  it('has one wheel stand for both sides', () => {
    const [front] = planned(sampleBicycle(), []);
    expect(front).toMatchObject({ leftLoadKg: 94 * 0.375, rightLoadKg: 94 * 0.375, roadKpa: null });
  });

  it('says what is missing before there can be a number', () => {
    expect(reason(sampleRig({ loadCases: [sampleCase({ weighed: [] })] }), [])).toEqual({
      code: 'loads',
      problem: { code: 'weightMissing', position: 'front' },
    });
  });

  it('plans under the loads of a usual rig before anything was weighed, and says so', () => {
    const unweighed = planAxles(sampleRig({ loadCases: [] }), []);
    expect(unweighed).toMatchObject({ ok: true, value: { unweighed: true } });
    // A wagon of 2200 kg, 52 % of it in front: assumption.
    expect(unweighed.ok && unweighed.value.axles.map(({ leftLoadKg }) => leftLoadKg)).toEqual([572, 528]);
    expect(planAxles(sampleRig(), [])).toMatchObject({ ok: true, value: { unweighed: false } });
  });

  it('asks back about a road pressure that hardly can be, until somebody stands by it', () => {
    const axles = (change: object) => [sampleAxle('front', { roadKpa: psi(240), ...change }), sampleAxle('rear')];
    expect(reason(sampleRig({ axles: axles({}) }), [])).toEqual({
      code: 'doubtfulRoad',
      position: 'front',
      pressureKpa: psi(240),
    });
    expect(reason(sampleRig({ axles: axles({ confirmedRoadKpa: psi(240) }) }), [])).toBeUndefined();
    // Stood by another one: that was another question.
    expect(reason(sampleRig({ axles: axles({ confirmedRoadKpa: psi(200) }) }), [])).toBeDefined();
  });

  describe('of a farm machine', () => {
    const byCase = (kg: number, id: string) => ({ ...both(kg, kg), id, name: id });
    const tractor = (change: object = {}) =>
      ({
        ...SAMPLE_RIGS.farm,
        axles: SAMPLE_RIGS.farm.axles.map((axle) => ({
          ...axle,
          wheels: 2,
          tireMarking: '480/80R50',
          lines: [],
          rows: [],
          roadKpa: psi(23),
        })),
        loadCases: [byCase(4000, 'light'), byCase(7000, 'heavy')],
        loadCaseId: 'light',
        ...change,
      }) as typeof SAMPLE_RIGS.farm;
    const starts = (rig: typeof SAMPLE_RIGS.farm, loadCaseId: string) => {
      const input = planInput(rig, [], { ground: 'fieldMoist', modifiers: [], speedKmh: null, loadCaseId });
      const plan = input.ok ? planGround(input.value) : input;
      if (!plan.ok) throw new Error(plan.problem.code);
      return plan.value.axles.map(({ startKpa }) => startKpa);
    };

    it('the road pressure belongs to the heaviest load, or to the one that is named', () => {
      expect(planned(tractor(), [], 'light').map(({ roadLoadKg }) => roadLoadKg)).toEqual([3500, 3500]);
      expect(planned(tractor({ roadLoadCaseId: 'light' }), [], 'heavy').map(({ roadLoadKg }) => roadLoadKg)).toEqual([
        2000, 2000,
      ]);
      expect(planned(sampleRig(), [])[0]!.roadLoadKg).toBeUndefined();
    });

    it('heavier is not lower, and lighter is', () => {
      const [light, heavy] = [starts(tractor(), 'light'), starts(tractor(), 'heavy')];
      light.forEach((kpa, axle) => expect(kpa).toBeLessThan(heavy[axle]!));
    });

    it('how full it is today moves the number, and is no part of the load', () => {
      const tank = sampleCase({
        id: 'tank',
        name: 'tank',
        method: 'fullAndEmpty',
        weighed: both(7000, 9000).weighed,
        unladen: [
          { position: 'front', loadKg: 5000 },
          { position: 'rear', loadKg: 4000 },
        ],
      });
      const rig = tractor({ loadCases: [tank], loadCaseId: 'tank' });
      const at = (tankLevel: number | null) => {
        const input = planInput(rig, [], { ground: 'fieldMoist', modifiers: [], speedKmh: null, tankLevel });
        const plan = input.ok ? planGround(input.value) : input;
        if (!plan.ok) throw new Error(plan.problem.code);
        return plan.value.axles[1]!.startKpa;
      };
      expect(at(null)).toBeCloseTo(at(1), 9);
      expect(at(0.5)).toBeLessThan(at(1));
      expect(at(0)).toBeLessThan(at(0.5));
      expect(rig.loadCases[0]!.level).toBeNull();
    });
  });

  it('waits where a load hardly can be', () => {
    expect(reason(sampleRig({ loadCases: [both(114, 1390)] }), [])).toMatchObject({
      code: 'doubtfulLoad',
      position: 'front',
      question: { value: 57, meant: 570 },
    });
  });
});

describe('planInput', () => {
  const asked = { ground: 'hardpack', modifiers: [], speedKmh: null } as const;
  const of = (...args: Parameters<typeof planInput>) => {
    const result = planInput(...args);
    if (!result.ok) throw new Error(result.problem.code);
    return result.value;
  };

  it('knows the rider alone only where the load goes by posture', () => {
    expect(of(sampleBicycle(), [], asked).riderKg).toBe(80);
    expect(of(sampleRig(), [], { ...asked, ground: 'gravel' }).riderKg).toBeNull();
  });

  it('carries the lowest that is accepted and the speed of the road', () => {
    expect(of(sampleRig({ beadFloorKpa: psi(10) }), [], { ...asked, ground: 'gravel' }).ownFloorKpa).toBe(psi(10));
    expect(of(SAMPLE_RIGS.farm, [], { ...asked, ground: 'lane' }).roadSpeedKmh).toBe(40);
    expect(of({ ...SAMPLE_RIGS.farm, topSpeedKmh: 50 }, [], { ...asked, ground: 'lane' }).roadSpeedKmh).toBe(50);
  });

  it('asks as the outing under way was told', () => {
    const outing = { groundCode: 'softSand', modifiers: ['heat'], speedKmh: 25, loadCaseId: 'x', tankLevel: 0.4 };
    expect(askedOf(outing as never)).toEqual({
      ground: 'softSand',
      modifiers: ['heat'],
      speedKmh: 25,
      loadCaseId: 'x',
      tankLevel: 0.4,
    });
  });
});
