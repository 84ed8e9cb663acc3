import { COLD_CONDITIONS, conditionProblems, conditionsAfter, conditionsFor, conditionsOf } from './conditions';

const typed = { ...COLD_CONDITIONS, tire: '45', altitude: '900' };

describe('conditionsOf', () => {
  it('has nothing to convert while the tires are cold', () => {
    expect(conditionsOf(COLD_CONDITIONS)).toBeUndefined();
  });

  it('reads Celsius and metres, or Fahrenheit and feet', () => {
    expect(conditionsOf(typed)).toEqual({ coldTempC: 20, tireTempC: 45, altitudeM: 900 });
    const us = conditionsOf({ scale: 'imperial', cold: '68', tire: '113', altitude: '1000' })!;
    expect(us.coldTempC).toBeCloseTo(20, 9);
    expect(us.tireTempC).toBeCloseTo(45, 9);
    expect(us.altitudeM).toBeCloseTo(304.8, 9);
  });

  it('takes an empty altitude for the shore, and nothing that can’t be', () => {
    expect(conditionsOf({ ...typed, altitude: '' })!.altitudeM).toBe(0);
    for (const change of [{ tire: 'hot' }, { tire: '400' }, { cold: '' }, { altitude: '90000' }]) {
      expect(conditionsOf({ ...typed, ...change })).toBeUndefined();
    }
  });
});

describe('conditionProblems', () => {
  it('says what is expected, in the scale that was chosen', () => {
    expect(conditionProblems(typed)).toEqual({ cold: undefined, tire: undefined, altitude: undefined });
    expect(conditionProblems({ ...typed, tire: '400', altitude: 'up' })).toMatchObject({
      tire: 'Expected −40 to 110 °C.',
      altitude: 'Expected −450 to 6000 m.',
    });
    expect(conditionProblems({ ...typed, scale: 'imperial', tire: '400' }).tire).toContain('°F');
    expect(conditionProblems({ ...typed, cold: ' ' }).cold).toBe('Expected a temperature.');
  });
});

describe('a warmth that was typed', () => {
  const MINUTE = 60_000;
  const kept = conditionsAfter({ ...COLD_CONDITIONS, ofRig: null, sinceMs: null }, { tire: '50' }, 'wagon', 0);

  it.each([
    ['counts for its rig', 'wagon', 44 * MINUTE, '50'],
    ['ends with its hour', 'wagon', 45 * MINUTE, ''],
    ['is none of another rig', 'quad', MINUTE, ''],
    ['is none of a clock that was put back', 'wagon', -50 * MINUTE, ''],
  ])('%s', (_, rigId, nowMs, tire) => expect(conditionsFor(kept, rigId, nowMs).tire).toBe(tire));

  it('is begun anew by another one, and not by the weather or the height', () => {
    const later = conditionsAfter(kept, { cold: '8', altitude: '300' }, 'quad', 30 * MINUTE);
    expect(conditionsFor(later, 'wagon', 40 * MINUTE)).toMatchObject({ tire: '50', cold: '8', altitude: '300' });
    const other = conditionsAfter(later, { tire: '40' }, 'quad', 30 * MINUTE);
    expect(conditionsFor(other, 'quad', 70 * MINUTE).tire).toBe('40');
    expect(conditionsFor(other, 'wagon', 31 * MINUTE).tire).toBe('');
  });
});
