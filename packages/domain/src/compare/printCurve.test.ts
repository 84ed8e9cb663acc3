import { contactPatch, contextsOf, planGround, psi, REFERENCE_RIG, type Observation } from '@dunlinmoss/core';

import { planInput } from '../plan/planInput';
import { SAMPLE_RIGS } from '../testing/sampleRig';
import { measuredPoints, PRINT_MEASURES, printChange, printCurve } from './printCurve';

const wheel = { build: REFERENCE_RIG.build, wheelLoadKg: 600 };

describe('printCurve', () => {
  it('grows downwards all the way and presses less, on a rig of every kind', () => {
    for (const [kind, rig] of Object.entries(SAMPLE_RIGS)) {
      const ground =
        kind === 'farm' ? 'fieldMoist' : kind === 'bicycle' ? 'hardpack' : kind === 'motorcycle' ? 'mud' : 'snow';
      const input = planInput(rig, [], { ground, modifiers: [], speedKmh: null });
      if (!input.ok || !planGround(input.value).ok) throw new Error(kind);
      const curve = printCurve(contextsOf(input.value)[0]!, psi(8), psi(40));
      curve.slice(1).forEach((patch, index) => {
        const softer = curve[index]!;
        expect(patch.pressureKpa).toBeGreaterThan(softer.pressureKpa);
        expect(patch.grossAreaMm2).toBeLessThan(softer.grossAreaMm2);
        expect(patch.groundPressureKpa).toBeGreaterThan(softer.groundPressureKpa);
      });
    }
  });

  it('takes its ends in either order', () => {
    expect(printCurve(wheel, psi(36), psi(10))).toEqual(printCurve(wheel, psi(10), psi(36)));
  });
});

describe('printChange', () => {
  it('is what two prints say of each other, and comes back by the way it went', () => {
    for (const measure of PRINT_MEASURES) {
      const down = printChange(wheel, measure, psi(36), psi(16))!;
      const up = printChange(wheel, measure, psi(16), psi(36))!;
      expect((1 + down) * (1 + up)).toBeCloseTo(1, 12);
    }
    const [high, low] = [36, 16].map((at) => contactPatch(wheel.build, 600, psi(at))!);
    expect(printChange(wheel, 'grossAreaMm2', psi(36), psi(16))).toBeCloseTo(
      low!.grossAreaMm2 / high!.grossAreaMm2 - 1,
      12,
    );
  });

  it('each psi counts more than the one before', () => {
    const gains = [36, 30, 24, 18, 12].map((at) => printChange(wheel, 'grossAreaMm2', psi(at), psi(at - 2))!);
    gains.slice(1).forEach((gain, index) => expect(gain).toBeGreaterThan(gains[index]!));
  });

  it('is nothing where the wheel would lie flat', () => {
    expect(printChange({ ...wheel, wheelLoadKg: 20_000 }, 'lengthMm', psi(36), psi(2))).toBeNull();
  });
});

describe('measuredPoints', () => {
  const seen = (change: Partial<Observation>): Observation => ({
    of: 'length',
    pressureKpa: psi(16),
    loadKg: 600,
    valueMm: 230,
    deviationMm: 3,
    offset: null,
    test: 't',
    run: 0,
    ...change,
  });

  it('are one’s own at today’s load, of what is asked', () => {
    const all = [seen({}), seen({ of: 'width', valueMm: 200 }), seen({ loadKg: 900 }), seen({ offset: 'poles' })];
    expect(measuredPoints(all, 'lengthMm', 600)).toEqual([{ pressureKpa: psi(16), value: 230 }]);
    expect(measuredPoints(all, 'widthMm', 630)).toEqual([{ pressureKpa: psi(16), value: 200 }]);
    expect(measuredPoints(all, 'groundPressureKpa', 600)).toEqual([]);
  });
});
