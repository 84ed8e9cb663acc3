import { psi } from '@dunlinmoss/core';

import { SAMPLE_RIGS, sampleAxle, sampleBicycle, sampleCase, sampleRig } from '../testing/sampleRig';
import { askedOf, planAxles, planInput } from './planInput';

const planned = (...args: Parameters<typeof planAxles>) => {
  const result = planAxles(...args);
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
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
    expect(reason(sampleRig({ loadCases: [] }), [])).toEqual({ code: 'noLoadCase' });
    expect(reason(sampleRig({ loadCases: [sampleCase({ weighed: [] })] }), [])).toEqual({
      code: 'loads',
      problem: { code: 'weightMissing', position: 'front' },
    });
    expect(reason(sampleRig({ axles: [sampleAxle('front'), sampleAxle('rear', { roadKpa: null })] }), [])).toEqual({
      code: 'roadMissing',
      position: 'rear',
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
    const outing = { groundCode: 'softSand', modifiers: ['heat'], speedKmh: 25, loadCaseId: 'x' };
    expect(askedOf(outing as never)).toEqual({
      ground: 'softSand',
      modifiers: ['heat'],
      speedKmh: 25,
      loadCaseId: 'x',
    });
  });
});
