import fc from 'fast-check';

import { SAMPLE_RIGS, sampleAxle } from '../testing/samplePlan';
import { psi } from '../units/units';
import { limpSpeedKmh, onPavement, roadNeedKpa } from './roadNeed';
import { bestUse, type SoftWheel } from './shortOfAir';
import { litersToFill } from './compressor';

const contextOf = (change: Parameters<typeof sampleAxle>[0] = {}) =>
  onPavement({ family: 'fourWheel', roadSpeedKmh: null, axles: [sampleAxle(change)] })[0]!;
const axle = contextOf();

describe('roadNeedKpa', () => {
  it('rises with speed up to the road pressure, on rigs of every kind', () => {
    for (const rig of Object.values(SAMPLE_RIGS)) {
      for (const each of onPavement(rig)) {
        const need = [5, 20, 40, 60, 80, 120].map((speed) => roadNeedKpa(each, speed));
        if (each.axle.roadKpa === null) expect(need).toEqual(need.map(() => null));
        else {
          expect(need).toEqual([...need].sort((a, b) => a! - b!));
          expect(need.at(-1)).toBe(each.axle.roadKpa);
        }
      }
    }
  });
});

describe('limpSpeedKmh', () => {
  it('holds nobody back who has road pressure', () => expect(limpSpeedKmh([axle], [psi(36)], 7)).toBeNull());
  it('falls with the pressure, down to walking pace', () => {
    // The trade's own speeds on the reference rig.
    expect([30, 28, 20, 16, 12, 8, 2].map((value) => limpSpeedKmh([axle], [psi(value)], 7))).toEqual([
      80, 80, 40, 30, 20, 5, 5,
    ]);
  });
});

describe('limpSpeedKmh of what hardly bends', () => {
  it('falls with what of the road pressure is left: a quad on 6 of its 15 psi', () => {
    const quad = onPavement({
      ...SAMPLE_RIGS.quad!,
      axles: SAMPLE_RIGS.quad!.axles.map((each) => ({ ...each, roadKpa: psi(15), curve: null })),
    });
    const limp = (value: number) =>
      limpSpeedKmh(
        quad,
        quad.map(() => psi(value)),
        psi(1),
      );
    expect([6, 10, 14, 15].map(limp)).toEqual([30, 55, 75, null]);
  });
});

describe('bestUse', () => {
  const wheels: readonly SoftWheel[] = (['front', 'rear'] as const).flatMap((position) =>
    (['left', 'right'] as const).map((wheel) => ({
      position,
      wheel,
      context: contextOf({ position, roadKpa: psi(36), loadKg: position === 'rear' ? 750 : 500 }),
      volumeL: 69,
      nowKpa: psi(12),
    })),
  );
  it('fills all to road pressure where there is enough', () => {
    const use = bestUse(wheels, 1e4, 7);
    expect(use.speedKmh).toBeNull();
    expect(use.wheels.every(({ toKpa }) => Math.abs(toKpa - psi(36)) < 1e-6)).toBe(true);
  });

  it('gives the heavier wheels more, never spends what is not there, and goes faster with more', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 450, noNaN: true }), (liters) => {
        const use = bestUse(wheels, liters, 7);
        const spent = use.wheels.reduce((sum, each) => sum + each.liters, 0);
        expect(spent).toBeLessThanOrEqual(liters + 1e-6);
        expect(use.wheels[2]!.toKpa).toBeGreaterThanOrEqual(use.wheels[0]!.toKpa - 1e-9);
        const more = bestUse(wheels, liters + 30, 7);
        expect(more.speedKmh ?? 999).toBeGreaterThanOrEqual(use.speedKmh ?? 999);
      }),
      { seed: 506 },
    );
  });

  it('spends all of it where it is too little', () => {
    const spent = (liters: number): number =>
      bestUse(wheels, liters, 7).wheels.reduce((sum, each) => sum + each.liters, 0);
    const enough = wheels.reduce((sum, { volumeL }) => sum + litersToFill(volumeL, psi(12), psi(36)), 0);
    expect(spent(enough * 0.9)).toBeCloseTo(enough * 0.9, 3);
    expect(spent(40)).toBeGreaterThan(39);
  });
});
