import type { RigRow } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';

import type { Units } from '../../data/preferences';
import { judgeTyped, newTape, toTest, wheelOf, type TapeFormValues } from './tapeForm';

const units: Units = { pressure: 'psi', mass: 'kg', length: 'mm' };
const axle = (position: 'front' | 'rear', leftLoadKg: number, rightLoadKg: number) => ({
  position,
  tireMarking: '265/65R17',
  loadRange: 'standard' as const,
  placardKpa: psi(36),
  loadsFrom: 'wheel' as const,
  leftLoadKg,
  rightLoadKg,
});
const rig = {
  id: '0192f000-0000-7000-8000-000000000001',
  axles: [axle('front', 560, 570), axle('rear', 700, 690)],
} as unknown as RigRow;
const identity = {
  id: '0192f000-0000-7000-8000-000000000002',
  rigId: rig.id,
  outingId: null,
  performedAt: '2026-05-01T08:00:00.000Z',
};
const reading = (p: string, l: string) => ({ pressure: { text: p, unit: 'psi' }, length: { text: l, unit: 'mm' } });
const form = (...readings: TapeFormValues['readings']): TapeFormValues => ({
  revision: 0,
  wheel: 'frontRight',
  surface: 'firm',
  method: 'marks',
  readings,
});

describe('wheelOf', () => {
  it.each([
    ['frontLeft', 560],
    ['frontRight', 570],
    ['rearLeft', 700],
    ['rearRight', 690],
  ] as const)('%s carries %d kg', (wheel, kg) => expect(wheelOf(rig, wheel).wheelLoadKg).toBe(kg));
});

describe('newTape', () => {
  it('begins at road pressure and at the pressure driven', () => {
    expect(newTape(rig, psi(15), units).readings.map(({ pressure }) => pressure.text)).toEqual(['36', '15']);
    expect(newTape(rig, undefined, units).readings[1]!.pressure.text).toBe('');
  });
});

describe('judgeTyped', () => {
  it('judges what is complete and leaves the rest for later', () => {
    const wheel = wheelOf(rig, 'frontRight');
    expect(judgeTyped(form(reading('36', '160'), reading('15', '')), wheel).verdict).toBe('tooFewReadings');
    expect(judgeTyped(form(reading('36', '160'), reading('15', '228'), reading('x', '3')), wheel).verdict).toBe(
      'grewAsExpected',
    );
  });
});

describe('toTest', () => {
  const wheel = wheelOf(rig, 'frontRight');

  it('leaves out rows that were never measured', () => {
    const result = toTest(form(reading('36', '160'), reading('15', ' ')), identity, wheel, units);
    expect(result.ok && result.test.details.readings).toEqual([
      { pressureKpa: expect.closeTo(psi(36), 6), lengthMm: 160 },
    ]);
  });

  it('puts a sentence beside the row that was typed, also after rows left out', () => {
    const result = toTest(form(reading('36', ''), reading('15', '5'), reading('p', '200')), identity, wheel, units);
    expect(result.ok).toBe(false);
    if (!result.ok) expect(Object.keys(result.problems).sort()).toEqual(['readings.1.length', 'readings.2.pressure']);
  });

  it('asks for a reading where there is none', () => {
    const result = toTest(form(reading('36', '')), identity, wheel, units);
    expect(result).toEqual({ ok: false, problems: { 'readings.0.length': 'Expected at least one reading.' } });
  });
});
