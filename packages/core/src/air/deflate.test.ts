import fc from 'fast-check';

import { creepsBackKpa, drainTau, fallPerTauKpa, pressureAfterTau } from './deflate';
import { CRITICAL_RATIO, flowShare } from './orifice';

const pa = 101.325;
const gauge = fc.double({ min: 5, max: 600, noNaN: true });

describe('drainTau', () => {
  it('is what its docs say', () => {
    expect(drainTau(248.2, 110.3, pa)).toBeCloseTo(0.4614, 4);
    // Choked all the way: (x^a − 1)/(n·a), x the ratio of the pressures, n 1.1, a 1/22.
    expect(drainTau(248.2, 110.3, pa)).toBeCloseTo((((248.2 + pa) / (110.3 + pa)) ** (1 / 22) - 1) / 0.05, 12);
  });

  it('takes no time up, or to where it is', () => {
    expect(drainTau(100, 100, pa)).toBe(0);
    expect(drainTau(100, 200, pa)).toBe(0);
  });

  it('takes no longer with a stop on the way, where the air warms, and longer up high for the same fall', () => {
    fc.assert(
      fc.property(gauge, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (from, share) => {
        const middle = from * share;
        const [whole, stopped] = [drainTau(from, 0, pa), drainTau(from, middle, pa) + drainTau(middle, 0, pa)];
        expect(stopped).toBeLessThanOrEqual(whole + 1e-9);
        expect(stopped).toBeGreaterThan(whole * 0.9);
        expect(drainTau(from, middle, 75)).toBeGreaterThan(drainTau(from, middle, pa) * (1 - 1e-12));
      }),
      { seed: 501 },
    );
  });

  it('reaches the outside in a finite time', () => {
    expect(drainTau(200, 0, pa)).toBeGreaterThan(drainTau(200, 1, pa));
    expect(drainTau(200, 0, pa)).toBeLessThan(5);
  });
});

describe('pressureAfterTau', () => {
  it('turns drainTau round, choked and not', () => {
    fc.assert(
      fc.property(gauge, fc.double({ min: 0.001, max: 1, noNaN: true }), (from, share) => {
        const to = from * share;
        expect(pressureAfterTau(from, drainTau(from, to, pa), pa)).toBeCloseTo(to, 6);
      }),
      { seed: 502 },
    );
  });

  it('stays where it is at first, and is flat in the end', () => {
    expect(pressureAfterTau(150, 0, pa)).toBeCloseTo(150, 9);
    expect(pressureAfterTau(150, -3, pa)).toBeCloseTo(150, 9);
    expect(pressureAfterTau(150, 99, pa)).toBe(0);
  });
});

describe('fallPerTauKpa', () => {
  it('is the slope of the curve', () => {
    for (const kpa of [300, 120, 60, 20, 3]) {
      const tau = 1e-6;
      expect((kpa - pressureAfterTau(kpa, tau, pa)) / tau).toBeCloseTo(fallPerTauKpa(kpa, pa), 1);
    }
  });
});

describe('flowShare', () => {
  it('is whole while choked, nothing against an equal pressure, and falls between', () => {
    expect(flowShare(CRITICAL_RATIO)).toBe(1);
    expect(flowShare(CRITICAL_RATIO + 1e-9)).toBeCloseTo(1, 9);
    expect(flowShare(1)).toBe(0);
    expect(flowShare(0.9)).toBeLessThan(flowShare(0.7));
  });
});

describe('creepsBackKpa', () => {
  it('is 1 to 2 psi after half a minute of letting out, less after a slow one, and never more than all of it', () => {
    // Common practice, no source.
    const psi = (openS: number): number => creepsBackKpa(248.2, 110.3, openS, pa) / 6.894757;
    expect(psi(30)).toBeGreaterThan(1);
    expect(psi(30)).toBeLessThan(2);
    expect(psi(30)).toBeCloseTo(1.2, 1);
    expect(psi(240)).toBeLessThan(0.6);
    expect(psi(0)).toBeGreaterThan(psi(30));
    expect(creepsBackKpa(110, 110, 30, pa)).toBe(0);
  });
});
