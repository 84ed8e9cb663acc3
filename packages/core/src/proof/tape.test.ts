import fc from 'fast-check';

import { contactPatch } from '../contact/contactPatch';
import { REFERENCE_RIG } from '../reference/referenceRig';
import { psi } from '../units/units';
import { familyOf } from '../families/registry';
import { judgeRoutine, routineEvidence, routinesFor } from './registry';
import type { RoutineValues } from './routine';
import { judgeTape, tapeEvidence, tapeLengthMm, type TapeTest } from './tape';

const { build } = REFERENCE_RIG;
const test = (change: Partial<TapeTest>): TapeTest => ({
  build,
  wheelLoadKg: 600,
  method: 'marks',
  surface: 'firm',
  readings: [],
  ...change,
});
/** Readings as a tire with this contact constant would give them, read long by an offset. */
const readings = (constant: number, offsetMm: number, ...pressuresPsi: number[]) =>
  pressuresPsi.map((each) => ({
    pressureKpa: psi(each),
    lengthMm: contactPatch({ ...build, contactFactor: constant / 0.68 }, 600, psi(each))!.lengthMm + offsetMm,
  }));

describe('judgeTape', () => {
  it.each([
    ['nothing', []],
    ['one reading', readings(0.68, 0, 30)],
    ['two readings at one pressure', readings(0.68, 0, 30, 30)],
    ['pressures too close to tell', readings(0.68, 0, 36, 35)],
  ])('needs more than %s', (_, some) => {
    expect(judgeTape(test({ readings: some }))).toMatchObject({
      verdict: 'tooFewReadings',
      growth: null,
      contact: null,
    });
  });

  it.each([
    ['as predicted', 0.68, 'grewAsExpected'],
    ['half as much again', 0.68 * 1.49, 'grewAsExpected'],
    ['a third of it', 0.68 / 3, 'hardlyGrew'],
    ['not at all', 0, 'hardlyGrew'],
    ['twice as much', 0.68 * 2, 'moreThanExpected'],
  ])('poles, %s', (_, constant, verdict) => {
    expect(judgeTape(test({ method: 'poles', readings: readings(constant, 300, 36, 16) })).verdict).toBe(verdict);
  });

  it('does not trust a print longer than its chord, nor growth beyond belief', () => {
    expect(judgeTape(test({ readings: readings(1.3, 0, 36, 16) })).contact).toBeNull();
    expect(judgeTape(test({ method: 'poles', readings: readings(1.3, 300, 36, 16) })).contact).toBeNull();
  });

  it('sorts firmest first and predicts each reading as the tape would read it', () => {
    const { rows } = judgeTape(test({ method: 'poles', readings: readings(0.5, 320, 16, 36, 28) }));
    expect(rows.map(({ pressureKpa }) => Math.round(pressureKpa / psi(1)))).toEqual([36, 28, 16]);
    expect(rows[0]!.predictedMm).toBeCloseTo(rows[0]!.lengthMm, 9);
    expect(rows[2]!.predictedMm).toBeGreaterThan(rows[2]!.lengthMm);
  });

  it('finds the constant and the offset that the readings were made with', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 0.95, noNaN: true }),
        fc.double({ min: 0, max: 400, noNaN: true }),
        (constant, offset) => {
          const { contact, offsetMm } = judgeTape(
            test({ method: 'poles', readings: readings(constant, offset, 36, 28, 20, 14) }),
          );
          expect(contact!.contactConstant).toBeCloseTo(constant, 7);
          expect(offsetMm).toBeCloseTo(offset, 4);
          expect(tapeLengthMm({ build, wheelLoadKg: 600 }, psi(20), contact!.contactConstant, offsetMm)).toBeCloseTo(
            readings(constant, offset, 20)[0]!.lengthMm,
            5,
          );
        },
      ),
      { seed: 31, numRuns: 100 },
    );
  });

  it('allows for the hole that a wheel stands in on soft ground, also between marks', () => {
    const sunk = test({ surface: 'soft', readings: readings(0.6, 150, 36, 26, 16) });
    expect(judgeTape(sunk)).toMatchObject({ verdict: 'grewAsExpected' });
    expect(judgeTape(sunk).contact!.contactConstant).toBeCloseTo(0.6, 7);
    expect(judgeTape(sunk).offsetMm).toBeCloseTo(150, 4);
  });

  it('leaves out a reading at which the tire could not have carried the load', () => {
    const overloaded = judgeTape(test({ wheelLoadKg: 900, readings: [{ pressureKpa: 0, lengthMm: 300 }] }));
    expect(overloaded.rows[0]!.predictedMm).toBeNull();
    expect(overloaded.verdict).toBe('tooFewReadings');
  });
});

describe('tapeEvidence', () => {
  it('reads long with poles and on soft ground, the print itself with marks on firm', () => {
    const some = readings(0.68, 0, 36, 26, 16);
    const offsets = (change: Partial<TapeTest>) =>
      tapeEvidence(test({ readings: some, ...change })).map(({ offset }) => offset);
    expect(offsets({})).toEqual([null, null, null]);
    expect(offsets({ method: 'poles' })).toEqual(['readsLong', 'readsLong', 'readsLong']);
    expect(offsets({ surface: 'soft' })).toEqual(['readsLong', 'readsLong', 'readsLong']);
  });

  it('tells nothing where load or gauge have to be looked at first, or where too little was read', () => {
    expect(tapeEvidence(test({ readings: readings(1.3, 0, 36, 26, 16) }))).toEqual([]);
    expect(tapeEvidence(test({ readings: readings(0.68, 0, 36) }))).toEqual([]);
  });
});

describe('tape', () => {
  const on = (wheelLoadKg: number | null) => ({ family: familyOf('fourWheel'), build, wheelLoadKg });
  const judge = (runs: readonly RoutineValues[], wheelLoadKg: number | null = 600) =>
    judgeRoutine({ code: 'tape', setup: { method: 'marks', surface: 'firm' }, runs, on: on(wheelLoadKg) });

  it.each([
    ['one reading', readings(0.68, 0, 30), 'tooFewReadings', 'again'],
    ['as predicted', readings(0.68, 0, 36, 15), 'grewAsExpected', 'keep'],
    ['a stiff carcass', readings(0.2, 0, 36, 15), 'hardlyGrew', 'keep'],
    ['far too much', readings(1.2, 0, 36, 15), 'moreThanExpected', 'look'],
  ] as const)('%s', (_, runs, verdict, move) => expect(judge(runs)).toMatchObject({ verdict, move }));

  it('says what it measured at each pressure, repeats put together, and the constant with its error', () => {
    const { levels, figures } = judge([...readings(0.6, 0, 36, 24, 15), ...readings(0.6, 0, 24)]);
    expect(levels.map(({ values }) => values.length)).toEqual([1, 2, 1]);
    expect(figures.contactConstant).toBeCloseTo(0.6, 9);
    expect(figures.standardError).toBeCloseTo(0, 9);
    expect(judge(readings(1.2, 0, 36, 15)).figures).not.toHaveProperty('contactConstant');
  });

  it('keeps the lengths of a wheel whose load nobody knows, and learns nothing from them', () => {
    const runs = readings(0.68, 0, 36, 15);
    expect(judge(runs, null)).toMatchObject({ verdict: 'loadMissing', levels: { length: 2 } });
    const unknown = { code: 'tape', setup: { method: 'marks', surface: 'firm' }, runs, on: on(null) } as const;
    expect(routineEvidence(unknown)).toEqual([]);
    expect(routineEvidence({ ...unknown, on: on(600) })).toHaveLength(2);
  });

  it('is no bicycle’s', () => {
    expect(routinesFor('bicycle')).not.toContain('tape');
    expect(routinesFor('farm')).toContain('tape');
  });
});
