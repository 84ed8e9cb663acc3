import { drainTau } from './deflate';
import { dropProblem, rateFrom, rateOf, type TimedDrop } from './timedDrop';

const drop = (change: Partial<TimedDrop> = {}): TimedDrop => ({
  volumeL: 60,
  beforeKpa: 248.2,
  afterKpa: 110.3,
  seconds: 60,
  outsideKpaAbs: 101.325,
  readingKpa: 1,
  ...change,
});

describe('rateOf', () => {
  it('is what its docs say', () => expect(rateOf(drop()).conductanceLPerS).toBeCloseTo(0.461, 3));

  it('is surer over a longer drop', () => {
    const long = rateOf(drop()).relativeError;
    const short = rateOf(drop({ afterKpa: 235, seconds: 60 * (drainTau(248.2, 235, 101.325) / 0.5022) })).relativeError;
    expect(short).toBeGreaterThan(3 * long);
  });
});

describe('rateFrom', () => {
  it('goes by common knowledge until something was timed', () => {
    const rate = rateFrom(0.4, []);
    expect(rate.conductanceLPerS).toBeCloseTo(0.4, 12);
    expect(rate.source.mark).toBe('assumption');
    expect(rate.timed).toBe(0);
  });

  it('goes by the clock once something was, and gets surer with each drop', () => {
    const one = rateFrom(2, [drop()]);
    expect(one.conductanceLPerS).toBeCloseTo(0.461, 2);
    expect(one.source.mark).toBe('measured');
    const three = rateFrom(2, [drop(), drop(), drop()]);
    expect(three.relativeError).toBeLessThan(one.relativeError * 0.65);
  });

  it('is unsure where the drops contradict each other', () => {
    const agreeing = rateFrom(0.5, [drop(), drop({ seconds: 61 })]);
    const apart = rateFrom(0.5, [drop(), drop({ seconds: 120 })]);
    expect(apart.relativeError).toBeGreaterThan(5 * agreeing.relativeError);
  });

  it('leaves out what tells nothing', () => {
    expect(rateFrom(0.5, [drop({ seconds: 0 }), drop({ afterKpa: 260 })]).timed).toBe(0);
  });
});

describe('dropProblem', () => {
  it.each([
    [{}, undefined],
    [{ seconds: 0 }, 'noTime'],
    [{ seconds: Number.NaN }, 'noTime'],
    [{ afterKpa: 260 }, 'roseWhileLettingOut'],
    [{ afterKpa: 0 }, 'nothingLeft'],
  ] as const)('%j: %s', (change, code) => expect(dropProblem(drop(change))?.code).toBe(code));
});
