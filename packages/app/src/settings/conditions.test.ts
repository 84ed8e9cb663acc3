import { COLD_CONDITIONS, conditionProblems, conditionsOf } from './conditions';

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
