import { psi } from '@dunlinmoss/core';

import type { Units } from '../../data/preferences';
import { EMPTY_COMPARISON, emptyGauge, gaugeValues, toGauge, typedComparisons } from './gaugeForm';

const units: Units = { pressure: 'psi', mass: 'kg', length: 'mm' };
const id = '0192f000-0000-7000-8000-000000000401';
const typed = (text: string) => ({ text, unit: 'psi' });
const values = {
  ...emptyGauge(units),
  name: 'Brass dial',
  fullScale: typed('60'),
  grade: '1.6',
  comparisons: [EMPTY_COMPARISON, { gauge: typed('36'), trusted: typed('35') }],
};

describe('toGauge', () => {
  it('gives a gauge, its blank comparisons left out, and back the same form', () => {
    const result = toGauge(values, id, units);
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    expect(result.gauge).toMatchObject({ gradePercent: 1.6, comparisons: [{ gaugeKpa: expect.closeTo(psi(36), 6) }] });
    const again = toGauge(gaugeValues(result.gauge, units), id, units);
    expect(again).toEqual(result);
  });

  it('puts a sentence beside each field, also after comparisons left out', () => {
    const bad = {
      ...values,
      fullScale: typed('0'),
      grade: 'good',
      comparisons: [EMPTY_COMPARISON, { gauge: typed('36'), trusted: typed('x') }],
    };
    const result = toGauge(bad, id, units);
    expect(result.ok ? [] : Object.keys(result.problems).sort()).toEqual([
      'comparisons.1.trusted',
      'fullScale',
      'grade',
    ]);
  });

  it('tells a scale that is upside down', () => {
    const result = toGauge({ ...values, from: typed('80') }, id, units);
    expect(result).toMatchObject({
      ok: false,
      problems: { fullScale: expect.stringContaining('above its beginning') },
    });
  });
});

describe('typedComparisons', () => {
  it('uses what is complete', () => {
    expect(typedComparisons(values)).toHaveLength(1);
  });
});
