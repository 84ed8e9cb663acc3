import { bodyOf, tapeDetails, type TapeTestRow } from '@dunlinmoss/contract';
import { arbitraryOf } from '@dunlinmoss/contract/testing';
import { psi } from '@dunlinmoss/core';
import fc from 'fast-check';

import type { Units } from '../../settings/preferences';
import { sampleCase, sampleRig } from '@dunlinmoss/domain/testing';
import { judgeTyped, newTape, tapeValues, toTest, wheelOf, type TapeFormValues } from './tapeForm';

const units: Units = { pressure: 'psi', mass: 'kg', length: 'mm' };
const rig = sampleRig();
const identity = {
  id: '0192f000-0000-7000-8000-000000000002',
  rigId: rig.id,
  outingId: null,
  performedAt: '2026-05-01T08:00:00.000Z',
  counts: true,
};
const reading = (p: string, l: string) => ({ pressure: { text: p, unit: 'psi' }, length: { text: l, unit: 'mm' } });
const form = (...readings: TapeFormValues['readings']): TapeFormValues => ({
  revision: 0,
  wheel: 'frontRight',
  surface: 'firm',
  method: 'marks',
  gaugeId: '',
  readings,
});

describe('wheelOf', () => {
  it.each([
    ['frontLeft', 560],
    ['frontRight', 570],
    ['rearLeft', 700],
    ['rearRight', 690],
  ] as const)('%s carries %d kg', (wheel, kg) => expect(wheelOf(rig, wheel)!.wheelLoadKg).toBe(kg));

  it('goes by the load case it is asked for, and has no answer where the load is not known', () => {
    const half = { position: 'front' as const, part: 'axle' as const, loadKg: 1000 };
    const light = sampleCase({ id: 'light', weighed: [half, { ...half, position: 'rear' }] });
    const two = sampleRig({ loadCases: [sampleCase(), light] });
    expect(wheelOf(two, 'rearLeft', 'light')!.wheelLoadKg).toBe(500);
    expect(wheelOf(sampleRig({ loadCases: [] }), 'rearLeft')).toBeUndefined();
  });
});

describe('newTape', () => {
  it('begins at road pressure and at the pressure driven', () => {
    expect(newTape(rig, psi(15), units).readings.map(({ pressure }) => pressure.text)).toEqual(['36', '15']);
    expect(newTape(rig, undefined, units).readings[1]!.pressure.text).toBe('');
  });
});

describe('judgeTyped', () => {
  it('judges what is complete and leaves the rest for later', () => {
    const wheel = wheelOf(rig, 'frontRight')!;
    expect(judgeTyped(form(reading('36', '160'), reading('15', '')), wheel, 0).verdict).toBe('tooFewReadings');
    expect(judgeTyped(form(reading('36', '160'), reading('15', '228'), reading('x', '3')), wheel, 0).verdict).toBe(
      'grewAsExpected',
    );
  });
});

describe('a saved tape test', () => {
  it('opened and saved untouched, is as it was', () => {
    const stamps = { createdAt: identity.performedAt, updatedAt: identity.performedAt };
    fc.assert(
      fc.property(arbitraryOf(tapeDetails), (made) => {
        const details = tapeDetails.parse(made);
        const row: TapeTestRow = { ...identity, ...stamps, revision: 2, kind: 'tape', details };
        const { tireMarking, loadRange, wheelLoadKg, gauge } = details;
        const wheel = { tireMarking, loadRange, wheelLoadKg };
        const saved = toTest(tapeValues(row, units), identity, wheel, gauge?.offsetKpa ?? 0, units);
        expect(saved.ok && saved.test).toEqual(bodyOf('tests', row));
      }),
      { numRuns: 60, seed: 20261127 },
    );
  });
});

describe('toTest', () => {
  const wheel = wheelOf(rig, 'frontRight')!;

  it('leaves out rows that were never measured', () => {
    const result = toTest(form(reading('36', '160'), reading('15', ' ')), identity, wheel, 0, units);
    expect(result.ok && 'readings' in result.test.details && result.test.details.readings).toEqual([
      { pressureKpa: expect.closeTo(psi(36), 6), lengthMm: 160 },
    ]);
  });

  it('puts a sentence beside the row that was typed, also after rows left out', () => {
    const result = toTest(form(reading('36', ''), reading('15', '5'), reading('p', '200')), identity, wheel, 0, units);
    expect(result.ok).toBe(false);
    if (!result.ok) expect(Object.keys(result.problems).sort()).toEqual(['readings.1.length', 'readings.2.pressure']);
  });

  it('keeps what the gauge showed, with its offset beside it, and judges what was meant', () => {
    const values = { ...form(reading('36', '160')), gaugeId: '0192f000-0000-7000-8000-000000000401' };
    const result = toTest(values, identity, wheel, psi(1), units);
    expect(result.ok && result.test.details).toMatchObject({
      gauge: { gaugeId: values.gaugeId, offsetKpa: psi(1) },
      readings: [{ pressureKpa: expect.closeTo(psi(36), 6) }],
    });
    expect(judgeTyped(values, wheel, psi(1)).rows[0]!.pressureKpa).toBeCloseTo(psi(35), 6);
  });

  it('asks for a reading where there is none', () => {
    const result = toTest(form(reading('36', '')), identity, wheel, 0, units);
    expect(result).toEqual({ ok: false, problems: { 'readings.0.length': 'Expected at least one reading.' } });
  });
});
