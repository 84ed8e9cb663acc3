import { buildOf, type OutingRow } from '@dunlinmoss/contract';
import { chalk, familyOf, judgeRoutine, psi, type GroundCode } from '@dunlinmoss/core';

import { sampleAxle, sampleRig } from '../testing/sampleRig';
import { limitsOfTest } from './testLimits';

const outingOn = (groundCode: GroundCode): OutingRow =>
  ({ groundCode, modifiers: [], speedKmh: null, loadCaseId: null }) as unknown as OutingRow;
const rig = sampleRig({ axles: [sampleAxle('front', { maxKpa: 300 }), sampleAxle('rear', { maxKpa: 300 })] });

describe('limitsOfTest', () => {
  it('are those of the plan of the outing’s own ground', () => {
    const onGravel = limitsOfTest(rig, [], outingOn('gravel'), 'front')!;
    expect(onGravel.lowest.code).toBe('heatAndSpeed');
    expect(onGravel.lowest.pressureKpa).toBeGreaterThan(psi(20));
    // No outing: the ground that such a rig most often sets out for.
    expect(limitsOfTest(rig, [], undefined, 'front')!.lowest.pressureKpa).toBeLessThan(psi(15));
  });

  it('hold what a chalk line proposes, and say by what', () => {
    const limits = limitsOfTest(rig, [], outingOn('gravel'), 'front')!;
    const still = 'still' as const;
    const line = { outerLeft: still, left: still, middle: 'worn', right: still, outerRight: still } as const;
    const judged = judgeRoutine({
      code: chalk.code,
      setup: {},
      runs: [{ wheel: 'front left', pressureKpa: limits.lowest.pressureKpa + 7, ...line }],
      on: {
        family: familyOf('fourWheel'),
        build: buildOf(rig.axles[0]!),
        wheelLoadKg: 570,
        limits,
      },
    });
    expect(judged).toMatchObject({ verdict: 'tooHard', tryKpa: limits.lowest.pressureKpa, heldAt: 'heatAndSpeed' });
  });

  it('are those that need no load before anything was weighed, and none where a load can’t be worked out', () => {
    const unweighed = limitsOfTest({ ...rig, loadCases: [], loadCaseId: null }, [], undefined, 'front');
    expect(unweighed).toMatchObject({ lowest: { code: 'bead' }, highest: { code: 'placard' } });
    const broken = rig.loadCases.map((each) => ({ ...each, weighed: [] }));
    expect(limitsOfTest({ ...rig, loadCases: broken }, [], undefined, 'front')).toBeUndefined();
  });
});
