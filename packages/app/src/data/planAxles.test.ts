import type { ProofTestRow } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';

import { sampleAxle, sampleCase, sampleRig } from '../testing/sampleRig';
import { measuredOn, planAxles, tapeOf } from './planAxles';

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

  it('knows which beads are clamped, axle by axle', () => {
    const rig = sampleRig({ axles: [sampleAxle('front', { beadHold: 'beadLock' }), sampleAxle('rear')] });
    expect(planned(rig, []).map(({ beadLocks }) => beadLocks)).toEqual([true, false]);
    expect(planned(sampleRig({ beadFloorKpa: psi(10) }), [])[1]!.heldFloorKpa).toBe(psi(10));
  });

  it('says what is missing before there can be a number', () => {
    expect(reason(sampleRig({ family: 'quad' }), [])).toEqual({ code: 'family' });
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

describe('tapeOf', () => {
  const test = (gauge: ProofTestRow['details']['gauge'], marking = '265/65R17 112T') =>
    ({
      id: 't',
      performedAt: '2026-05-02T08:00:00.000Z',
      details: {
        wheel: 'frontLeft',
        tireMarking: marking,
        loadRange: 'standard',
        wheelLoadKg: 600,
        surface: 'firm',
        method: 'marks',
        gauge,
        readings: [
          { pressureKpa: psi(36), lengthMm: 160 },
          { pressureKpa: psi(15), lengthMm: 228 },
        ],
      },
    }) as unknown as ProofTestRow;

  it('takes off what the gauge reads too much', () => {
    expect(tapeOf(test({ gaugeId: 'g', offsetKpa: psi(1) })).readings[0]!.pressureKpa).toBeCloseTo(psi(35), 9);
    expect(tapeOf(test(null)).readings[0]!.pressureKpa).toBe(psi(36));
  });

  it('is found for the same size in another notation of the same sidewall', () => {
    const axle = { tireMarking: 'P265/65R17', loadRange: 'standard' } as const;
    expect(measuredOn(axle, [test(null)])).toMatchObject({ contactConstant: expect.any(Number) });
    expect(measuredOn(axle, [test(null, '245/75R16')])).toBeUndefined();
  });
});
