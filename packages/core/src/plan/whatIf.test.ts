import { SAMPLE_RIGS, sampleAxle, sampleInput } from '../testing/samplePlan';
import { psi } from '../units/units';
import type { PlanInput } from './plan';
import { contextsOf, planGround } from './planGround';
import { whatIf, type WhatIf } from './whatIf';

const at = (pressureKpa: number, change: Partial<PlanInput> = {}): WhatIf => {
  const input = sampleInput(change);
  const plan = planGround(input);
  if (!plan.ok) throw new Error(plan.problem.code);
  return whatIf(contextsOf(input)[0]!, plan.value.axles[0]!, pressureKpa);
};

describe('whatIf', () => {
  it('agrees with the plan at the plan’s own pressure', () => {
    const plan = planGround(sampleInput());
    if (!plan.ok) throw new Error(plan.problem.code);
    const axle = plan.value.axles[0]!;
    const same = at(axle.startKpa);
    expect(same.patch).toEqual(axle.atStart);
    expect(same.clearanceLostMm).toBe(axle.clearanceLostMm);
    expect(same.loadLeftKg).toBeCloseTo(axle.carriesKg! - 600, 9);
  });

  it('tells how near each limit is, and which is passed', () => {
    const inside = (result: WhatIf) =>
      Object.fromEntries(result.limits.map(({ code, insideKpa }) => [code, insideKpa > 0]));
    expect(inside(at(psi(16)))).toEqual({ bead: true, handling: true, heatAndSpeed: true, placard: true });
    expect(inside(at(psi(11)))).toEqual({ bead: false, handling: true, heatAndSpeed: false, placard: true });
    expect(inside(at(psi(40)))).toMatchObject({ placard: false });
  });

  it('slows down as the sidewall bends, and never past the guide of the ground', () => {
    expect(at(psi(16)).speedKmh).toBe(30);
    expect(at(psi(7)).speedKmh).toBe(5);
    const gravel = { ground: 'gravel', axles: [sampleAxle({ loadKg: 1300, roadKpa: psi(60) })] } as const;
    expect(at(psi(24), gravel).speedKmh).toBeLessThan(at(psi(30), gravel).speedKmh!);
    expect(at(psi(60), gravel).speedKmh).toBe(80);
    expect(at(psi(20), { ...SAMPLE_RIGS.bicycle!, ground: 'rock' }).speedKmh).toBeNull();
  });

  it('has no print where the sidewall is squeezed flat', () => {
    const flat = at(0, { axles: [sampleAxle({ loadKg: 1000, roadKpa: psi(60) })] });
    expect(flat).toMatchObject({ patch: null, clearanceLostMm: null, loadLeftKg: null });
  });
});
