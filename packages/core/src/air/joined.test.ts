import fc from 'fast-check';

import { joined, type JoinedInput } from './joined';

const pa = 101.325;
const input = (change: Partial<JoinedInput> = {}): JoinedInput => ({
  vessels: [
    { volumeL: 40, pressureKpa: 300 },
    { volumeL: 60, pressureKpa: 100 },
  ],
  hoses: [{ from: 0, to: 1, conductanceLPerS: 0.5, shutAtKpa: null }],
  outsideKpaAbs: pa,
  done: ([a, b]) => Math.abs(a! - b!) < 0.5,
  mostS: 3_600,
  ...change,
});
const air = ({ vessels }: JoinedInput, pressures: readonly number[]): number =>
  vessels.reduce((sum, { volumeL }, index) => sum + volumeL * (pressures[index]! + pa), 0);

describe('joined', () => {
  it('loses no air, and comes to the mixture', () => {
    const pressure = fc.double({ min: 0, max: 500, noNaN: true });
    const volume = fc.double({ min: 5, max: 300, noNaN: true });
    fc.assert(
      fc.property(pressure, pressure, volume, volume, (p1, p2, v1, v2) => {
        const both = input({
          vessels: [
            { volumeL: v1, pressureKpa: p1 },
            { volumeL: v2, pressureKpa: p2 },
          ],
        });
        const { pressuresKpa, end } = joined(both);
        expect(end).toBe('done');
        expect(air(both, pressuresKpa)).toBeCloseTo(air(both, [p1, p2]), 6);
        const mixed = (p1 * v1 + p2 * v2) / (v1 + v2);
        pressuresKpa.forEach((kpa) => expect(Math.abs(kpa - mixed)).toBeLessThan(0.51));
      }),
      { seed: 508, numRuns: 40 },
    );
  });

  it('shuts a hose at its pressure, and lets nothing back through it', () => {
    const shut = joined(input({ hoses: [{ from: 0, to: 1, conductanceLPerS: 0.5, shutAtKpa: 140 }], mostS: 600 }));
    expect(shut.end).toBe('tooLong');
    expect(shut.pressuresKpa[1]).toBeGreaterThanOrEqual(140);
    expect(shut.pressuresKpa[1]).toBeLessThan(141);
    const backwards = joined(input({ hoses: [{ from: 1, to: 0, conductanceLPerS: 0.5, shutAtKpa: 999 }], mostS: 60 }));
    expect(backwards.pressuresKpa).toEqual([300, 100]);
  });

  it('is fed by a supply', () => {
    const fed = joined(input({ hoses: [], supplyLPerMin: () => 60, done: ([tank]) => tank! >= 400, mostS: 600 }));
    // Met within one step, which is a second at the most.
    expect(fed.seconds - (100 * 40) / pa).toBeLessThan(1);
    expect(fed.seconds - (100 * 40) / pa).toBeGreaterThanOrEqual(-1e-6);
  });

  it('ends early where nothing moves any more, and says where it would take too many steps', () => {
    // The little vessel is level with its large neighbour thousands of times a second.
    const stiff = {
      vessels: [
        { volumeL: 0.2, pressureKpa: 120 },
        { volumeL: 500, pressureKpa: 100 },
      ],
      hoses: [{ from: 0, to: 1, conductanceLPerS: 100, shutAtKpa: 400 }],
      done: ([, tire]: readonly number[]) => tire! >= 300,
      mostS: 3600,
    };
    expect(joined(input(stiff)).end).toBe('tooLong');
    expect(joined(input({ ...stiff, supplyLPerMin: () => 60 })).end).toBe('tooManySteps');
  });

  it('gives up when its time is over', () => {
    const slow = joined(input({ mostS: 2 }));
    expect(slow.end).toBe('tooLong');
    expect(slow.seconds).toBeCloseTo(2, 6);
  });
});
