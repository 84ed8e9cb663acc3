import type { OutingRow, ProofTestRow } from '@dunlinmoss/contract';
import {
  familyOf,
  groundsFor,
  groundOf,
  isLike,
  planGround,
  psi,
  type GroundCode,
  type GroundPlan,
} from '@dunlinmoss/core';
import fc from 'fast-check';

import { withProof } from '../proof/proved';
import { planInput } from '../plan/planInput';
import { sampleBicycle } from '../testing/sampleRig';

/*
 * Whatever is typed into one test: it moves no other wheel, no ground of another kind of hit, and no floor by more than a
 * step.
 */

const NOW = Date.parse('2026-06-01T12:00:00.000Z');
const rig = sampleBicycle();
const GROUNDS = groundsFor(familyOf(rig.family));

const on = (groundCode: GroundCode): OutingRow =>
  ({
    id: 'outing',
    rigId: rig.id,
    loadCaseId: null,
    groundCode,
    pressures: [],
    decision: null,
    startedAt: '2026-05-20T08:00:00.000Z',
  }) as unknown as OutingRow;

const test = (kind: string, wheel: string, runs: readonly object[], at = '2026-05-20T09:00:00.000Z'): ProofTestRow =>
  ({
    id: kind,
    kind,
    rigId: rig.id,
    outingId: 'outing',
    performedAt: at,
    counts: true,
    details: {
      tireMarking: rig.axles[0]!.tireMarking,
      loadRange: 'standard',
      wheelLoadKg: 56,
      wheel,
      widthMm: null,
      gauge: null,
      setup: kind === 'feel' ? { end: wheel.startsWith('front') ? 'front' : 'rear' } : {},
      runs,
      note: '',
    },
  }) as unknown as ProofTestRow;

const planOf = (tests: readonly ProofTestRow[], ground: GroundCode, outings: readonly OutingRow[]): GroundPlan => {
  const request = { ground, modifiers: [], speedKmh: null };
  const input = planInput(rig, tests, withProof(rig, { tests, outings }, request, NOW));
  const plan = input.ok ? planGround(input.value) : input;
  if (!plan.ok) throw new Error(plan.problem.code);
  return plan.value;
};

const kpa = fc.double({ min: 0, max: 2000, noNaN: true });
const wheel = fc.constantFrom('front single', 'rear single');
const oneEntry = fc.oneof(
  fc.tuple(fc.constant('kerb'), wheel, fc.record({ pressureKpa: kpa, rim: fc.constantFrom('far', 'near', 'touches') })),
  fc.tuple(
    fc.constant('feel'),
    wheel,
    fc.record({
      pressureKpa: kpa,
      symptom: fc.constantFrom('well', 'bottomsOut', 'pings', 'bouncy', 'wallows', 'folds'),
    }),
  ),
  fc.tuple(
    fc.constant('turnAndHit'),
    wheel,
    fc.record({
      pressureKpa: kpa,
      turn: fc.constantFrom('holds', 'squirms', 'folds'),
      roots: fc.constantFrom('takes', 'pings'),
      rimStrikes: fc.integer({ min: 0, max: 3 }),
      burps: fc.integer({ min: 0, max: 3 }),
    }),
  ),
);

describe('one entry, whatever is typed', () => {
  const here: GroundCode = 'hardpack';
  const outings = [on(here)];
  const before = new Map(GROUNDS.map((ground) => [ground, planOf([], ground, outings)] as const));
  const stepKpa = familyOf(rig.family).trialStepKpa;

  it('moves no other wheel, and no floor by more than a step', () => {
    fc.assert(
      fc.property(oneEntry, ([kind, where, run]) => {
        const tests = [test(kind, where, [run])];
        const other = where.startsWith('front') ? 1 : 0;
        for (const ground of GROUNDS) {
          const [old, now] = [before.get(ground)!, planOf(tests, ground, outings)];
          expect(now.axles[other]!.startKpa).toBeCloseTo(old.axles[other]!.startKpa, 9);
          expect(now.axles[other]!.floor.pressureKpa).toBeCloseTo(old.axles[other]!.floor.pressureKpa, 9);
          const moved = now.axles[1 - other]!.floor.pressureKpa - old.axles[1 - other]!.floor.pressureKpa;
          expect(Math.abs(moved)).toBeLessThanOrEqual(stepKpa + 1e-9);
        }
      }),
      { seed: 20261201, numRuns: 150 },
    );
  });

  it('pressed on a kerb with room moves no floor of fast ground', () => {
    fc.assert(
      fc.property(kpa, wheel, (pressureKpa, where) => {
        const tests = [test('kerb', where, [{ pressureKpa, rim: 'far' }])];
        for (const ground of GROUNDS.filter((code) => !isLike(groundOf(code), 'lowRear'))) {
          const floors = (plan: GroundPlan) => plan.axles.map(({ floor }) => floor.pressureKpa);
          expect(floors(planOf(tests, ground, outings))).toEqual(floors(before.get(ground)!));
        }
      }),
      { seed: 20261202, numRuns: 60 },
    );
  });

  it('moves the headline only where it was made, by what can hardly be a slip', () => {
    const start = (tests: readonly ProofTestRow[]) => planOf(tests, here, outings).axles[1]!.startKpa / psi(1);
    const rule = start([]);
    const feel = (pressurePsi: number, at?: string) =>
      test('feel', 'rear single', [{ pressureKpa: psi(pressurePsi), symptom: 'well' }], at);
    expect(start([feel(22)])).toBeCloseTo(22, 6);
    // Bar for psi, ten times too much, and a day to come.
    for (const slip of [feel(1.6), feel(220), feel(22, '2030-05-20T09:00:00.000Z')])
      expect(start([slip])).toBeCloseTo(rule, 9);
  });
});
