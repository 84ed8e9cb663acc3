import type { RigRow, Setup } from '@dunlinmoss/contract';
import { contactPatch, psi, REFERENCE_RIG } from '@dunlinmoss/core';

import { fullRig, sampleBicycle, sampleCase, sampleRig } from '../testing/sampleRig';
import { isAsItStands, plainSetup, setupOutcome, withSetup } from './setupOutcome';

const ON_SAND = { groundCode: 'softSand', soil: 'drySand', depthMm: null } as const;
const rig = sampleRig({
  loadCases: [
    sampleCase({
      weighed: [
        { position: 'front', part: 'axle', loadKg: 1200 },
        { position: 'rear', part: 'axle', loadKg: 1200 },
      ],
    }),
  ],
});
const outcomeOf = (change: Partial<Setup> = {}, of: RigRow = rig) => {
  const outcome = setupOutcome(of, [], { ...plainSetup(of, 'rear'), ...change }, ON_SAND);
  if (!outcome.ok) throw new Error(outcome.problem.code);
  return outcome.value;
};

describe('withSetup', () => {
  it('is the very rig where nothing is changed, with every optional field filled', () => {
    const full = fullRig();
    for (const { position } of full.axles) expect(withSetup(full, plainSetup(full, position))).toEqual(full);
  });

  it('takes off what was read on the old tire with it, and leaves the other axles alone', () => {
    const full = fullRig();
    const other = withSetup(full, { ...plainSetup(full, 'rear'), tireMarking: '35x12.50R17LT', loadRange: 'E' });
    expect(other.axles[1]).toMatchObject({ lines: [], rows: [], maxKpa: null, measuredWidthMm: null, loadRange: 'E' });
    expect(other.axles.filter(({ position }) => position !== 'rear')).toEqual(
      full.axles.filter(({ position }) => position !== 'rear'),
    );
  });
});

describe('setupOutcome', () => {
  it('is what the plan says where no pressure is given, and what the tire does where one is', () => {
    const planned = outcomeOf();
    expect(planned.what.pressureKpa).toBe(planned.axle.startKpa);
    const tried = outcomeOf({ pressureKpa: psi(10) });
    expect(tried.what.patch).toEqual(contactPatch(REFERENCE_RIG.build, 600, psi(10)));
    expect(tried.what.limits.some(({ insideKpa }) => insideKpa < 0)).toBe(true);
  });

  it('on dry sand the reference rig climbs at 16 and cannot move at 36', () => {
    const climbs = (at: number) => {
      const { soil } = outcomeOf({ pressureKpa: psi(at) });
      return soil?.ok ? soil.value.climbsDeg : Number.NaN;
    };
    expect(climbs(16)).toBeGreaterThan(4);
    expect(climbs(36)).toBeLessThan(0);
  });

  it('a wide tire stands on more ground than a tall narrow one at the same pressure; the narrow sinks deeper', () => {
    const [wide, narrow] = (['31x12.50R15LT', '7.50R16'] as const).map((tireMarking) =>
      outcomeOf({ tireMarking, pressureKpa: psi(16) }),
    );
    expect(wide!.what.patch!.grossAreaMm2).toBeGreaterThan(narrow!.what.patch!.grossAreaMm2);
    const sinks = ({ soil }: typeof wide & object) => (soil?.ok ? soil.value.sinkageMm : Number.POSITIVE_INFINITY);
    expect(sinks(narrow!)).toBeGreaterThan(sinks(wide!));
  });

  it('a stiff carcass on the same rig flattens less', () => {
    const [standard, stiff] = (['standard', 'E'] as const).map((loadRange) =>
      outcomeOf({ tireMarking: 'LT265/70R17', loadRange, pressureKpa: psi(16) }),
    );
    expect(stiff!.what.patch!.grossAreaMm2).toBeLessThan(standard!.what.patch!.grossAreaMm2);
  });

  it('an insert lets a bicycle go lower', () => {
    const bicycle = sampleBicycle();
    const floor = (insert: boolean) => {
      const setup = { ...plainSetup(bicycle, 'rear'), insert };
      const outcome = setupOutcome(bicycle, [], setup, { groundCode: 'rock', soil: null, depthMm: null });
      return outcome.ok ? outcome.value.axle.floor.pressureKpa : Number.NaN;
    };
    expect(floor(true)).toBeLessThan(floor(false));
  });

  it('says why there is none: an axle that is gone, a ground that such a rig does not meet', () => {
    const code = (change: Partial<Setup>, groundCode: 'softSand' | 'bikePark' = 'softSand') => {
      const outcome = setupOutcome(rig, [], { ...plainSetup(rig, 'rear'), ...change }, { ...ON_SAND, groundCode });
      return outcome.ok ? null : outcome.problem.code;
    };
    expect(code({ position: 'trailer' })).toBe('axleGone');
    expect(code({}, 'bikePark')).toBe('otherGround');
    expect(code({ loadCaseId: null })).toBeNull();
  });
});

describe('isAsItStands', () => {
  it('whatever the pressure, and nothing else changed', () => {
    const plain = plainSetup(sampleRig(), 'rear');
    expect(isAsItStands({ ...plain, pressureKpa: 100, loadCaseId: 'x' })).toBe(true);
    for (const change of [
      { insert: 'foam' },
      { casing: 'light' },
      { rimInnerMm: 30 },
      { tireMarking: '35x12.50R17' },
    ]) {
      expect(isAsItStands({ ...plain, ...change } as never)).toBe(false);
    }
  });
});
