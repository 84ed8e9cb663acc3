import { centralCost, centralTimes, type CentralInput } from './central';
import { fillSeconds } from './compressor';
import { drainTau } from './deflate';

const input: CentralInput = {
  axles: [
    { position: 'front', wheels: 2, volumeL: 250, roadKpa: 160, fieldKpa: 80 },
    { position: 'rear', wheels: 2, volumeL: 500, roadKpa: 160, fieldKpa: 80 },
  ],
  outLPerS: 10,
  lineLPerS: 4,
  supply: [
    { pressureKpa: 0, litersPerMin: 900 },
    { pressureKpa: 800, litersPerMin: 700 },
  ],
  tankL: 40,
  tankKpa: 800,
  outsideKpaAbs: 101.325,
};

describe('centralTimes', () => {
  it('goes down with the largest wheel', () => {
    expect(centralTimes(input).downS).toBeCloseTo(50 * drainTau(160, 80, 101.325), 9);
  });

  it('comes up no faster than the compressor and its tank allow, and about as fast', () => {
    const { upS } = centralTimes(input);
    // All four as one vessel straight from the compressor, less what the tank gives at the start.
    const bare = fillSeconds(input.supply, 1500, 80, 160, 101.325);
    expect(upS).toBeLessThan(bare * 1.15);
    expect(upS).toBeGreaterThan(bare * 0.6);
  });

  it('never comes up on a supply that stalls', () => {
    const weak = { ...input, tankKpa: 140, supply: [{ pressureKpa: 0, litersPerMin: 900 }] as const };
    expect(centralTimes(weak)).toMatchObject({ upS: null, upProblem: 'overAnHour' });
    // Less air altogether than is missing, and a tank too small for its lines.
    expect(centralTimes({ ...input, supply: [{ pressureKpa: 0, litersPerMin: 1 }] }).upProblem).toBe('overAnHour');
    const tiny = { ...input, tankL: 0.2, lineLPerS: 100, supply: [{ pressureKpa: 0, litersPerMin: 60 }] as const };
    expect(centralTimes(tiny)).toMatchObject({ upS: null, upProblem: 'tankTooSmall' });
  });

  it('comes up sooner with a larger tank', () =>
    expect(centralTimes({ ...input, tankL: 200 }).upS!).toBeLessThan(centralTimes(input).upS!));
});

describe('centralCost', () => {
  it.each([
    ['far enough to be done on the way', 600, 20, true, 0],
    ['the gate comes first', 200, 20, false, (24 + 64) * 6],
  ] as const)('%s', (_, distanceM, speedKmh, done, seconds) => {
    const cost = centralCost({ downS: 60, upS: 100 }, { distanceM, speedKmh, cycles: 6 });
    expect(cost.doneBeforeGate).toBe(done);
    expect(cost.minutesADay * 60).toBeCloseTo(seconds, 6);
  });

  it('says how far before the gate to begin', () =>
    expect(centralCost({ downS: 60, upS: 100 }, { distanceM: 1, speedKmh: 18, cycles: 1 }).beginM).toBeCloseTo(300, 9));
});
