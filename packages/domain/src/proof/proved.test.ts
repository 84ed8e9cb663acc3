import type { OutingRow, ProofTestRow, RigRow } from '@dunlinmoss/contract';
import { planGround, PROOF_COUNTS, psi, type GroundPlan } from '@dunlinmoss/core';
import fc from 'fast-check';

import { planInput, type PlanRequest } from '../plan/planInput';
import { sampleAxle, sampleCase, sampleRig } from '../testing/sampleRig';
import { withProof, type ProofHistory } from './proved';

const NOW = Date.parse('2026-11-28T08:00:00Z');
const DAY_MS = 86_400_000;
const daysAgo = (days: number): string => new Date(NOW - days * DAY_MS).toISOString();
const rig = sampleRig({ axles: [sampleAxle('front', { maxKpa: 300 }), sampleAxle('rear', { maxKpa: 300 })] });
const asked: PlanRequest = { ground: 'softSand', modifiers: [], speedKmh: null };

const outing = (days: number, pressurePsi: number, code: string | null, change: object = {}): OutingRow =>
  ({
    id: `outing ${days}`,
    rigId: rig.id,
    groundCode: 'softSand',
    loadCaseId: null,
    startedAt: daysAgo(days),
    pressures: [
      { position: 'front', pressureKpa: psi(pressurePsi) },
      { position: 'rear', pressureKpa: psi(pressurePsi) },
    ],
    decision: code && { code, note: '', counts: true },
    ...change,
  }) as unknown as OutingRow;
const climb = (days: number, runs: readonly [number, 'reached' | 'stopped'][], change: object = {}): ProofTestRow =>
  ({
    id: `climb ${days}`,
    rigId: rig.id,
    outingId: 'outing 10',
    kind: 'climb',
    counts: true,
    performedAt: daysAgo(days),
    details: {
      wheel: 'rear left',
      tireMarking: rig.axles[1]!.tireMarking,
      loadRange: rig.axles[1]!.loadRange,
      wheelLoadKg: 700,
      widthMm: null,
      gauge: null,
      setup: {},
      runs: runs.map(([at, result]) => ({ pressureKpa: psi(at), result, distanceM: null, brokeLoose: null })),
      note: '',
    },
    ...change,
  }) as unknown as ProofTestRow;

const planWith = (history: Partial<ProofHistory>, of: RigRow = rig, question: PlanRequest = asked): GroundPlan => {
  const input = planInput(of, [], withProof(of, { tests: [], outings: [], ...history }, question, NOW));
  const plan = input.ok ? planGround(input.value) : input;
  if (!plan.ok) throw new Error(plan.problem.code);
  return plan.value;
};
const startsOf = ({ axles }: GroundPlan): number[] =>
  axles.map(({ startKpa }) => Number((startKpa / psi(1)).toFixed(2)));
const rule = startsOf(planWith({}));

describe('withProof', () => {
  it.each([
    ['kept', outing(10, 18, 'keep'), 18],
    ['to go lower', outing(10, 18, 'lower'), 16],
    ['to go higher', outing(10, 18, 'higher'), 20],
  ])('stands on what was driven and decided: %s', (_, on, expected) => {
    expect(startsOf(planWith({ outings: [on] }))).toEqual([expected, expected]);
  });

  it('is the rule where nothing was decided, on other ground, of another rig, struck, or of tires that are off', () => {
    const struck = { decision: { code: 'keep', note: '', counts: false } };
    for (const outings of [
      [outing(10, 18, null)],
      [outing(10, 18, 'keep', { groundCode: 'dampSand' })],
      [outing(10, 18, 'keep', { rigId: 'another' })],
      [outing(10, 18, 'keep', struck)],
      [outing(PROOF_COUNTS.drive.days + 1, 18, 'keep')],
    ]) {
      expect(startsOf(planWith({ outings }))).toEqual(rule);
    }
    const fitted = sampleRig({ axles: rig.axles.map((axle) => ({ ...axle, fittedAt: daysAgo(5) })) });
    expect(startsOf(planWith({ outings: [outing(10, 18, 'keep')] }, fitted))).toEqual(rule);
  });

  it('stands on the firmest pressure that climbed, each axle by its share of the rule', () => {
    const outings = [outing(10, 18, null)];
    const went = climb(9, [
      [20, 'stopped'],
      [18, 'reached'],
      [14, 'reached'],
    ]);
    const [front, rear] = startsOf(planWith({ outings, tests: [went] }));
    expect(rear).toBe(18);
    expect(front! / 18).toBeCloseTo(rule[0]! / rule[1]!, 1);
    // What contradicts itself, or went nowhere, proves nothing.
    for (const runs of [
      [[20, 'stopped']],
      [
        [18, 'reached'],
        [14, 'stopped'],
      ],
    ] as const) {
      expect(startsOf(planWith({ outings, tests: [climb(9, runs as never)] }))).toEqual(rule);
    }
  });

  it('takes what the other axle had where it was written down, not a share of the rule', () => {
    const outings = [outing(10, 18, null)];
    const went = climb(9, [[18, 'reached']]);
    const details = { ...went.details, runs: went.details.runs.map((run) => ({ ...run, otherAxleKpa: psi(15) })) };
    expect(startsOf(planWith({ outings, tests: [{ ...went, details } as ProofTestRow] }))).toEqual([15, 18]);
  });

  it('takes a feeling at the front for the front, whatever wheel the test was begun on', () => {
    const outings = [outing(10, 18, null)];
    const { details, ...row } = climb(9, []);
    const felt = {
      ...row,
      kind: 'feel',
      details: { ...details, setup: { end: 'front' }, runs: [{ pressureKpa: psi(18), symptom: 'well' }] },
    } as unknown as ProofTestRow;
    expect(startsOf(planWith({ outings, tests: [felt] }))).toEqual([18, rule[1]]);
  });

  it('keeps the rule beside it, and says where it stands from', () => {
    const { axles } = planWith({ outings: [outing(10, 18, 'keep')] });
    expect(axles.map(({ ruleKpa }) => Number((ruleKpa / psi(1)).toFixed(2)))).toEqual(rule);
    expect(axles[0]!.provedKpa).toBeCloseTo(psi(18), 9);
    expect(axles[0]!.working.map(({ code }) => code)).toContain('proved');
  });

  it('is carried to a heavier load, and kept off what that load forbids', () => {
    const heavy = sampleCase({
      weighed: [
        { position: 'front', part: 'axle', loadKg: 1500 },
        { position: 'rear', part: 'axle', loadKg: 1900 },
      ],
    });
    const light = { ...sampleCase(), id: '0192f000-0000-7000-8000-000000000012' };
    const both = sampleRig({ axles: rig.axles, loadCases: [heavy, light], loadCaseId: heavy.id });
    const { axles } = planWith({ outings: [outing(10, 12, 'keep', { loadCaseId: light.id })] }, both);
    for (const { startKpa, floor } of axles) expect(startKpa).toBeGreaterThanOrEqual(floor.pressureKpa - 1e-9);
    expect(axles[1]!.provedKpa!).toBeGreaterThan(psi(12));
    expect(axles[1]!.clampedBy).toBe(axles[1]!.floor.code);
  });

  it('never moves a number past a limit, and striking it brings the number back exactly', () => {
    const grounds = ['gravel', 'forestMud', 'dampSand', 'softSand', 'verySoftSand'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...grounds),
        fc.double({ min: 1, max: 90, noNaN: true }),
        fc.constantFrom('keep', 'lower', 'higher', 'turnedBack'),
        fc.integer({ min: 1, max: 600 }),
        (groundCode, pressurePsi, code, days) => {
          const question = { ...asked, ground: groundCode };
          const on = outing(days, pressurePsi, code, { groundCode });
          const plan = planWith({ outings: [on] }, rig, question);
          for (const { startKpa, floor, ceiling, window } of plan.axles) {
            expect(startKpa).toBeGreaterThanOrEqual(floor.pressureKpa - 1e-9);
            if (ceiling) expect(startKpa).toBeLessThanOrEqual(ceiling.pressureKpa + 1e-9);
            expect(window.lowKpa).toBeLessThanOrEqual(startKpa);
            expect(window.highKpa).toBeGreaterThanOrEqual(startKpa);
          }
          const struck = { ...on, decision: { ...on.decision!, counts: false } };
          expect(planWith({ outings: [struck] }, rig, question)).toEqual(planWith({}, rig, question));
        },
      ),
      { seed: 15, numRuns: 150 },
    );
  });

  it('leaves pavement to the road pressure', () => {
    const onRoad = { ...asked, ground: 'pavement' } as const;
    const history = { outings: [outing(10, 20, 'keep', { groundCode: 'pavement' })] };
    expect(planWith(history, rig, onRoad)).toEqual(planWith({}, rig, onRoad));
  });
});
