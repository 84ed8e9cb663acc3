import { bodyOf, routineDetails, type ProofTestRow } from '@dunlinmoss/contract';
import { arbitraryOf } from '@dunlinmoss/contract/testing';
import { psi, ROUTINE_CODES, routineOf } from '@dunlinmoss/core';
import fc from 'fast-check';

import { FIRST_UNITS, type Units } from '../../settings/preferences';
import { readCone } from './routines/coneTable';
import { textOf, valueOf } from './fieldText';
import {
  anotherRun,
  isPendingRun,
  newRoutine,
  routineValues,
  toRoutineTest,
  writtenDown,
  type RoutineFormValues,
} from './routineForm';
import { slopeOf } from './routines/SlopeFromTilt';

const units: Units = FIRST_UNITS;
const tire = { tireMarking: '265/65R17 112T', loadRange: 'standard', wheelLoadKg: 600, widthMm: null } as const;
const tireOfTest = ({ tireMarking, loadRange, wheelLoadKg, widthMm }: ProofTestRow['details']) => ({
  tireMarking,
  loadRange,
  wheelLoadKg,
  widthMm,
});
const identity = {
  id: '0192f000-0000-7000-8000-000000000701',
  rigId: '0192f000-0000-7000-8000-000000000101',
  outingId: null,
  performedAt: '2026-05-02T08:00:00.000Z',
  counts: true,
};
const climb = (runs: RoutineFormValues['runs'], slope = '8'): RoutineFormValues => ({
  ...newRoutine('climb', { wheel: 'front left', runs: [] }, units),
  setup: { slopeDeg: slope, soil: '' },
  runs,
});
const attempt = (pressure: string, result: string, distance = ''): RoutineFormValues['runs'][number] => ({
  pressureKpa: { text: pressure, unit: 'psi' },
  result,
  distanceM: distance,
  brokeLoose: '',
});

describe('valueOf and textOf', () => {
  const { run } = routineOf('print');

  it('give back what was put in, in the unit it was typed in', () => {
    expect(valueOf(run.pressureKpa!, { text: '16', unit: 'psi' })).toBeCloseTo(psi(16), 9);
    expect(valueOf(run.grossMm2!, { text: '433', unit: 'cm2' })).toBe(43_300);
    expect(textOf(run.grossMm2!, 43_300, units)).toEqual({ text: '433', unit: 'cm2', exact: 43_300 });
    expect(textOf(run.grossMm2!, 64_516, { ...units, area: 'in2' })).toEqual({
      text: '100',
      unit: 'in2',
      exact: 64_516,
    });
    expect(valueOf(run.netMm2!, { text: ' ', unit: 'cm2' })).toBeNull();
    expect(valueOf(run.lengthMm!, { text: 'long', unit: 'mm' })).toBeUndefined();
    expect(valueOf(routineOf('climb').run.distanceM!, { text: '100', unit: 'ft' })).toBeCloseTo(30.48, 9);
    expect(
      valueOf(run.outline!, [
        [0, 0],
        [1, 0],
        [1, 1],
      ]),
    ).toHaveLength(3);
  });

  it('read the drafts of an earlier version, with units in words or none', () => {
    expect(valueOf(run.grossMm2!, { text: '433', unit: 'cm²' })).toBe(43_300);
    expect(valueOf(run.grossMm2!, { text: '10', unit: 'in²' })).toBeCloseTo(6451.6, 9);
    expect(valueOf(routineOf('climb').run.distanceM!, '12')).toBe(12);
  });
});

describe('writtenDown', () => {
  it('judges the runs that are whole, and knows where they stand', () => {
    const form = climb([attempt('36', 'stopped'), attempt('', ''), attempt('16', 'reached', '12')]);
    const written = writtenDown('climb', form, tire, null)!;
    expect(written.places).toEqual([0, 2]);
    expect(written.details.runs[1]).toMatchObject({ result: 'reached', distanceM: 12, brokeLoose: null });
  });

  it('waits for a setup that can be', () => {
    // How steep it is may be left open.
    expect(writtenDown('climb', climb([attempt('36', 'stopped')], ''), tire, null)!.details.setup.slopeDeg).toBeNull();
    expect(writtenDown('climb', climb([attempt('36', 'stopped')], '80'), tire, null)).toBeUndefined();
  });
});

describe('isPendingRun', () => {
  it('is a run with no more than what was filled in', () => {
    const { run } = routineOf('climb');
    expect(isPendingRun(run, anotherRun('climb', { pressureKpa: psi(16) }, units))).toBe(true);
    expect(isPendingRun(run, attempt('16', 'reached'))).toBe(false);
  });
});

describe('toRoutineTest', () => {
  it('makes a test that the contract takes, runs with nothing in them left out', () => {
    const result = toRoutineTest(
      'climb',
      climb([attempt('16', ''), attempt('16', 'reached')]),
      identity,
      tire,
      null,
      units,
    );
    expect(result).toMatchObject({
      ok: true,
      test: { kind: 'climb', details: { setup: { slopeDeg: 8, soil: null }, runs: [{ result: 'reached' }] } },
    });
  });

  it('puts a sentence beside the field that was typed, whatever was left out before it', () => {
    const form = climb([attempt('16', ''), attempt('p', 'reached'), attempt('20', 'reached', '9999')], '99');
    const result = toRoutineTest('climb', form, identity, tire, null, units);
    expect(result.ok).toBe(false);
    if (!result.ok)
      expect(Object.keys(result.problems).sort()).toEqual(['runs.1.pressureKpa', 'runs.2.distanceM', 'setup.slopeDeg']);
  });

  it('asks for a choice that was not made, and for a run where there is none', () => {
    const open = toRoutineTest('climb', climb([attempt('16', '', '5')]), identity, tire, null, units);
    expect(open).toMatchObject({ ok: false, problems: { 'runs.0.result': 'Expected one of these.' } });
    expect(toRoutineTest('climb', climb([]), identity, tire, null, units)).toEqual({
      ok: false,
      problems: { runs: 'Expected at least one run with a result.' },
    });
  });
});

describe('a saved test', () => {
  const stamps = { createdAt: '2026-05-02T08:00:00.000Z', updatedAt: '2026-05-02T08:00:00.000Z' };

  it.each(ROUTINE_CODES)('%s: opened and saved untouched, every value of it is as it was', (code) => {
    fc.assert(
      fc.property(arbitraryOf(routineDetails(code)), (made) => {
        const details = routineDetails(code).parse(made);
        const row = { ...identity, ...stamps, revision: 3, kind: code, details } as ProofTestRow;
        const saved = toRoutineTest(
          code,
          routineValues(row, units),
          identity,
          tireOfTest(details),
          details.gauge,
          units,
        );
        expect(saved.ok && saved.test).toEqual(bodyOf('tests', row));
      }),
      { numRuns: 30, seed: 20261127 },
    );
  });
});

describe('readCone', () => {
  it('reads a table with points or commas, tracks by letter or name', () => {
    const read = readCone('track;depth_mm;cone_kpa\nuntouched;0;500\nA;150;1200,5\nTrack B;150;900\n');
    expect(read).toEqual({
      ok: true,
      runs: [
        { track: 'untouched', depthMm: 0, coneKpa: 500 },
        { track: 'trackA', depthMm: 150, coneKpa: 1200.5 },
        { track: 'trackB', depthMm: 150, coneKpa: 900 },
      ],
    });
  });

  it.each([
    ['no such columns', 'a,b\n1,2', 'Expected the columns'],
    ['no lines', 'track,depth_mm,cone_kpa\n', 'no lines'],
    ['a line that can’t be read', 'track,depth_mm,cone_kpa\nA,10,900\nC,20,900', 'Line 3'],
    ['too many lines', `track,depth_mm,cone_kpa\n${'A,10,900\n'.repeat(401)}`, 'at most 400'],
  ])('says what is wrong: %s', (_, text, message) => {
    const read = readCone(text);
    expect(read.ok ? '' : read.message).toContain(message);
  });
});

describe('slopeOf', () => {
  it.each([
    [0, 0, 0],
    [12, 0, 12],
    [0, -20, 20],
    [180, 0, 0],
    [10, 10, 14.106],
  ])('a phone turned by %d° and %d° lies at %d°', (beta, gamma, slope) => {
    expect(slopeOf(beta, gamma)).toBeCloseTo(slope, 2);
  });
});
