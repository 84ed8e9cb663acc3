import type { ProofTestRow } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';

import { measuredTests } from './trialRuns';

const test = (kind: string, runs: readonly object[], change: object = {}, details: object = {}): ProofTestRow =>
  ({
    id: kind,
    kind,
    counts: true,
    performedAt: '2026-05-02T08:00:00.000Z',
    details: {
      wheel: 'rear single',
      tireMarking: '700x42C',
      loadRange: 'standard',
      wheelLoadKg: 55,
      widthMm: null,
      gauge: null,
      setup: { surface: 'rough' },
      runs,
      note: '',
      ...details,
    },
    ...change,
  }) as unknown as ProofTestRow;
const rolled = [
  { pressureKpa: psi(30), distanceM: 41 },
  { pressureKpa: psi(26), distanceM: 44 },
];

describe('measuredTests', () => {
  it('gives each run at its true pressure with what came out, and which way is better', () => {
    const gauge = { gaugeId: 'g', offsetKpa: psi(2) };
    const [roll] = measuredTests([test('rollOut', rolled, {}, { gauge })], 'gravelBike', 'rear single');
    expect(roll).toMatchObject({ better: 'more', runs: [{ measured: 41 }, { measured: 44 }] });
    expect(roll!.runs[0]!.pressureKpa / psi(1)).toBeCloseTo(28, 9);
    const power = [{ pressureKpa: psi(30), powerW: 200 }];
    expect(measuredTests([test('steadyPower', power)], 'gravelBike', 'front single')[0]!.better).toBe('less');
  });

  it('leaves out what gives no number, was left out, or was made on the other wheel', () => {
    const none = [{ pressureKpa: psi(30), result: 'reached', distanceM: null, brokeLoose: null }];
    expect(measuredTests([test('climb', none)], 'gravelBike', 'rear single')).toEqual([]);
    expect(measuredTests([test('feel', [{ pressureKpa: 1, symptom: 'well' }])], 'gravelBike', 'rear single')).toEqual(
      [],
    );
    expect(measuredTests([test('rollOut', rolled, { counts: false })], 'gravelBike', 'rear single')).toEqual([]);
  });
});
