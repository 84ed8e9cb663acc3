import { psi } from '../units/units';
import { coldOfWarmKpa, warmAdvice, type WarmQuestion } from './warmReading';

const ask = (shownPsi: number, change: Partial<WarmQuestion> = {}) =>
  warmAdvice({
    setKpa: psi(16),
    shownKpa: psi(shownPsi),
    justDriven: true,
    airTempC: 20,
    altitudeM: 0,
    stepKpa: psi(1),
    ...change,
  });

describe('coldOfWarmKpa', () => {
  it('takes about 4 psi off 40 psi just after the road', () => {
    expect((psi(40) - coldOfWarmKpa(psi(40), 20, 0)) / psi(1)).toBeCloseTo(4.3, 1);
    // Above the sea the gauge stands higher over less air: it warms by less.
    expect(coldOfWarmKpa(psi(40), 20, 3000)).toBeGreaterThan(coldOfWarmKpa(psi(40), 20, 0));
  });
});

describe('warmAdvice', () => {
  // "It reads 19, I set 16": warm, leave it. Common practice, no source.
  it.each([
    [16, 'asSet'],
    [17, 'warmLeaveIt'],
    [19, 'warmLeaveIt'],
    [15.2, 'asSet'],
    [13, 'lost'],
  ] as const)('reads %d psi just driven on a set 16: %s', (shown, code) => expect(ask(shown).code).toBe(code));

  it('lets out what no warmth explains', () => {
    expect(ask(24)).toEqual({ code: 'letOut', byKpa: expect.closeTo(psi(5.4), -1) });
    // Not driven, warmth explains nothing.
    expect(ask(19, { justDriven: false })).toEqual({ code: 'letOut', byKpa: expect.closeTo(psi(3), 9) });
  });

  it('says what was lost', () => expect(ask(12)).toEqual({ code: 'lost', byKpa: expect.closeTo(psi(4), 9) }));
});
