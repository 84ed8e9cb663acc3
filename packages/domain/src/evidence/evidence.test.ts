import type { ProofTestRow, RigAxle } from '@dunlinmoss/contract';
import { contactPatch, deflectionMm, planGround, psi, REFERENCE_RIG } from '@dunlinmoss/core';

import { planInput } from '../plan/planInput';
import { sampleAxle, sampleRig } from '../testing/sampleRig';
import { isOfTire, judgementOf, ownTireOf, routineTestOf } from './evidence';

const at = '2026-05-02T08:00:00.000Z';
const tire = { tireMarking: '265/65R17 112T', loadRange: 'standard', wheelLoadKg: 600 } as const;
const tape = (gauge: ProofTestRow['details']['gauge'], change: object = {}) =>
  ({
    id: 't',
    kind: 'tape',
    counts: true,
    performedAt: at,
    details: {
      ...tire,
      wheel: 'front left',
      widthMm: null,
      gauge,
      note: '',
      setup: { surface: 'firm', method: 'marks' },
      runs: [36, 15].map((each) => ({
        pressureKpa: psi(each),
        lengthMm: (0.62 / 0.68) * contactPatch(REFERENCE_RIG.build, 600, psi(each))!.lengthMm,
      })),
    },
    ...change,
  }) as unknown as ProofTestRow;
const height = (change: object = {}): ProofTestRow =>
  ({
    id: 'h',
    rigId: sampleRig().id,
    kind: 'standingHeight',
    counts: true,
    performedAt: at,
    details: {
      ...tire,
      wheel: 'front left',
      widthMm: null,
      gauge: { gaugeId: 'g', offsetKpa: psi(2) },
      note: '',
      setup: { hangingMm: 300 },
      runs: [{ pressureKpa: psi(38), loadedMm: 300 - 0.8 * deflectionMm(REFERENCE_RIG.build, 600, psi(36)) }],
    },
    ...change,
  }) as unknown as ProofTestRow;
const axle = (change: Partial<RigAxle> = {}) =>
  ({ ...sampleAxle('front'), ...tire, measuredWidthMm: null, fittedAt: null, ...change }) as RigAxle;

describe('routineTestOf', () => {
  it('take off what the gauge reads too much, wherever it was read', () => {
    expect(
      routineTestOf('tape', tape({ gaugeId: 'g', offsetKpa: psi(1) }).details, 'fourWheel').runs[0]!.pressureKpa,
    ).toBeCloseTo(psi(35), 9);
    expect(routineTestOf('standingHeight', height().details, 'fourWheel').runs[0]!.pressureKpa).toBeCloseTo(psi(36), 9);
    // A height was not read off a gauge.
    expect(routineTestOf('standingHeight', height().details, 'fourWheel').setup.hangingMm).toBe(300);
    expect(judgementOf(height(), 'fourWheel').verdict).toBe('stiffer');
  });
});

describe('ownTireOf', () => {
  it('puts all tests of a tire together', () => {
    const both = ownTireOf(axle(), [tape(null), height()], 'fourWheel')!;
    expect(both.observations.map(({ of, test }) => `${test} ${of}`)).toEqual(['t length', 't length', 'h settles']);
    expect(both.estimate.tire.contact.factor).toBeLessThan(1);
    expect(both.estimate.tire.carcass.factor).toBeGreaterThan(1);
    expect(ownTireOf(axle(), [tape(null), height()], 'fourWheel')!.estimate).toBe(both.estimate);
  });

  it('leaves out what was set archived, what is of another tire, and what was before these were on', () => {
    const none = (tests: readonly ProofTestRow[], on = axle()) =>
      expect(ownTireOf(on, tests, 'fourWheel')).toBeUndefined();
    none([]);
    none([tape(null, { counts: false })]);
    none([tape(null)], axle({ tireMarking: '245/75R16 111T' }));
    none([tape(null)], axle({ loadRange: 'E' }));
    none([tape(null)], axle({ fittedAt: '2026-05-03T00:00:00.000Z' }));
  });

  it('knows the same size in another notation of the same sidewall', () => {
    expect(isOfTire(tape(null), axle({ tireMarking: 'P265/65R17' }))).toBe(true);
  });
});

describe('a standing height', () => {
  /** What the front bends to at its floor, by what is known of its carcass. */
  const front = (tests: readonly ProofTestRow[]) => {
    const input = planInput(sampleRig({ axles: [axle(), sampleAxle('rear')] }), tests, {
      ground: 'verySoftSand',
      modifiers: [],
      speedKmh: null,
    });
    if (!input.ok) throw new Error(input.problem.code);
    const plan = planGround(input.value);
    if (!plan.ok) throw new Error(plan.problem.code);
    const { floor } = plan.value.axles[0]!;
    return Object.fromEntries(floor.all.map(({ code, pressureKpa }) => [code, pressureKpa]));
  };

  it('moves the floor of the bend, as far as the carcass was found stiffer, and no limit of the marking', () => {
    // One reading is as likely to have found nothing: an interval that holds "no change" moves no floor.
    expect(front([height()])).toEqual(front([]));
    const often = (run: object) =>
      ({ ...height(), details: { ...height().details, runs: Array.from({ length: 12 }, () => run) } }) as ProofTestRow;
    const stands = (bend: number) => ({
      pressureKpa: psi(36),
      loadedMm: 300 - bend * deflectionMm(REFERENCE_RIG.build, 600, psi(36)),
    });
    const [without, stiffer] = [front([]), front([often(stands(0.6))])];
    expect(stiffer.heatAndSpeed!).toBeLessThan(without.heatAndSpeed!);
    const sinks = front([often(stands(1.6))]);
    expect(sinks.heatAndSpeed!).toBeGreaterThan(without.heatAndSpeed!);
    for (const floors of [stiffer, sinks])
      expect({ ...floors, heatAndSpeed: 0 }).toEqual({ ...without, heatAndSpeed: 0 });
    // Struck from the list it is as if it had never been measured.
    expect(front([height({ counts: false })])).toEqual(without);
  });
});
