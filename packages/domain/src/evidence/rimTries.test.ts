import type { OutingRow, ProofTestRow } from '@dunlinmoss/contract';
import { planGround, psi, type GroundPlan } from '@dunlinmoss/core';
import fc from 'fast-check';

import { planInput } from '../plan/planInput';
import { withProof } from '../proof/proved';
import { sampleAxle, sampleBicycle } from '../testing/sampleRig';

const NOW = Date.parse('2026-11-28T08:00:00Z');
const at = new Date(NOW - 20 * 86_400_000).toISOString();
const plain = sampleBicycle();
const rig = sampleBicycle({
  axles: plain.axles.map((axle) => sampleAxle(axle.position, { ...axle, minKpa: psi(9), maxKpa: psi(45) })),
});

const kerb = (pressurePsi: number, rim: string, change: object = {}): ProofTestRow =>
  ({
    id: `kerb ${pressurePsi} ${rim}`,
    rigId: rig.id,
    outingId: null,
    kind: 'kerb',
    counts: true,
    performedAt: at,
    details: {
      wheel: 'rear single',
      tireMarking: rig.axles[1]!.tireMarking,
      loadRange: rig.axles[1]!.loadRange,
      wheelLoadKg: 56,
      widthMm: null,
      gauge: null,
      setup: {},
      runs: [{ pressureKpa: psi(pressurePsi), rim }],
      note: '',
    },
    ...change,
  }) as unknown as ProofTestRow;

const planOf = (
  tests: readonly ProofTestRow[],
  ground: 'hardpack' | 'climb' | 'rock' = 'climb',
  outings: readonly OutingRow[] = [],
): GroundPlan => {
  const asked = { ground, modifiers: [], speedKmh: null };
  const input = planInput(rig, tests, withProof(rig, { tests, outings }, asked, NOW));
  const plan = input.ok ? planGround(input.value) : input;
  if (!plan.ok) throw new Error(plan.problem.code);
  return plan.value;
};
const rearFloor = (tests: readonly ProofTestRow[]) => planOf(tests).axles[1]!.floor;

describe('rimTriesOf', () => {
  it('each press on a kerb that found room lets the rear down by one step, for a slow climb', () => {
    const before = rearFloor([]);
    expect(before.code).toBe('rimStrike');
    const once = rearFloor([kerb(12.5, 'far')]);
    const twice = rearFloor([kerb(12.5, 'far'), kerb(12.6, 'far')]);
    expect(before.pressureKpa - once.pressureKpa).toBeGreaterThan(psi(0.5));
    expect(before.pressureKpa - once.pressureKpa).toBeLessThanOrEqual(psi(2) + 1e-9);
    expect(twice.pressureKpa).toBeLessThan(once.pressureKpa);
    // A press says nothing of fast ground.
    expect(planOf([kerb(12.5, 'far')], 'hardpack').axles[1]!.floor).toEqual(planOf([], 'hardpack').axles[1]!.floor);
  });

  it('moves the wheel that was tried and no other, of this rig and no other, and goes with it when struck', () => {
    const before = planOf([]);
    expect(planOf([kerb(11, 'far')]).axles[0]!.floor).toEqual(before.axles[0]!.floor);
    expect(planOf([kerb(11, 'far', { rigId: 'another' })])).toEqual(before);
    expect(planOf([kerb(11, 'far', { counts: false })])).toEqual(before);
  });

  it('no try moves a number past the sidewall, and leaving it out brings the numbers back exactly', () => {
    const grounds = ['hardpack', 'climb', 'rock'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...grounds),
        fc.array(fc.tuple(fc.double({ min: 0, max: 60, noNaN: true }), fc.constantFrom('far', 'near', 'touches')), {
          minLength: 1,
          maxLength: 4,
        }),
        (ground, tries) => {
          const tests = tries.map(([pressurePsi, rim]) => kerb(pressurePsi, rim));
          let plan: GroundPlan;
          try {
            plan = planOf(tests, ground);
          } catch (error) {
            // Struck near the sidewall's maximum there is no safe number, and that is what it says.
            expect((error as Error).message).toBe('floorAboveCeiling');
            return;
          }
          for (const { startKpa, floor } of plan.axles) {
            expect(startKpa).toBeGreaterThanOrEqual(psi(9) - 1e-9);
            expect(startKpa).toBeLessThanOrEqual(psi(45) + 1e-9);
            expect(startKpa).toBeGreaterThanOrEqual(floor.pressureKpa - 1e-9);
          }
          const struck = tests.map((test) => ({ ...test, counts: false }));
          expect(planOf(struck, ground)).toEqual(planOf([], ground));
        },
      ),
      { seed: 20261128, numRuns: 120 },
    );
  });
});
