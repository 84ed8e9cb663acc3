import { AIR_TOOLS, OUT_TOOLS, outToolOf } from '../tools/registry';
import { drainTau } from './deflate';
import { drainPlan, openSeconds, pressureWhileOpenKpa, type DrainWheel } from './letOut';

const pa = 101.325;
const wheels: readonly DrainWheel[] = (['left', 'right'] as const).flatMap((wheel) =>
  (['front', 'rear'] as const).map((position) => ({
    position,
    wheel,
    volumeL: 69,
    fromKpa: 248,
    toKpa: 110,
    walkS: 6,
  })),
);
const total = (code: (typeof OUT_TOOLS)[number]['code'], atOnce?: number): number => {
  const tool = outToolOf(code)!;
  return drainPlan(tool, { conductanceLPerS: tool.conductanceLPerS, relativeError: 0.1 }, wheels, pa, atOnce).totalS;
};

describe('drainPlan', () => {
  it('tells the tools apart as the trade does', () => {
    expect(total('quickReleaseValves')).toBeLessThan(total('coreDeflator'));
    expect(total('coreDeflator')).toBeLessThan(total('stick'));
    expect(total('presetDeflators')).toBeLessThan(total('stick'));
    expect(total('hoseManifold')).toBeLessThan(total('stick'));
  });

  it('is the sum of all for one wheel after the other', () => {
    const stick = outToolOf('stick')!;
    const each =
      (69 / stick.conductanceLPerS) * drainTau(248, 110, pa) + 6 + stick.setUpS + stick.checks * stick.checkS;
    expect(total('stick')).toBeCloseTo(4 * each, 9);
  });

  it('walks on while deflators work: four of them are done long before one', () => {
    expect(total('presetDeflators', 4)).toBeLessThan(total('presetDeflators', 1) / 2);
    expect(total('presetDeflators', 2)).toBeLessThan(total('presetDeflators', 1));
  });

  it('lets hoses run together, in groups where there are too few', () =>
    expect(total('hoseManifold', 2)).toBeGreaterThan(total('hoseManifold', 4)));

  it('is as unsure as its rate for as much of it as air flows', () => {
    const tool = outToolOf('stick')!;
    const { relativeError } = drainPlan(tool, { conductanceLPerS: 0.3, relativeError: 0.2 }, wheels, pa);
    expect(relativeError).toBeGreaterThan(0.1);
    expect(relativeError).toBeLessThan(0.2);
  });
});

describe('openSeconds', () => {
  it('takes longer with a deflator that closes bit by bit', () => {
    const wheel = { volumeL: 69, fromKpa: 248, toKpa: 110 };
    expect(openSeconds({ closingKpa: 28 }, 0.4, wheel, pa)).toBeGreaterThan(
      openSeconds({ closingKpa: null }, 0.4, wheel, pa),
    );
    expect(openSeconds({ closingKpa: 28 }, 0.4, { ...wheel, fromKpa: 110 }, pa)).toBe(0);
  });
});

describe('pressureWhileOpenKpa', () => {
  it.each([null, 28])('turns openSeconds round, closing over %s kPa', (closingKpa) => {
    const wheel = { volumeL: 69, fromKpa: 248, toKpa: 110 };
    const seconds = openSeconds({ closingKpa }, 0.4, wheel, pa);
    // A closing deflator counts as done half a psi above its target.
    const there = pressureWhileOpenKpa({ closingKpa }, 0.4, wheel, seconds, pa);
    expect(there - 110).toBeCloseTo(closingKpa === null ? 0 : 3.4, 6);
    expect(pressureWhileOpenKpa({ closingKpa }, 0.4, wheel, 0, pa)).toBeCloseTo(248, 9);
  });
});

describe('AIR_TOOLS', () => {
  it('has every pump’s flow by rising pressure', () => {
    for (const tool of AIR_TOOLS) {
      if (tool.way === 'out') continue;
      const pressures = tool.pump.flow.map(({ pressureKpa }) => pressureKpa);
      expect(pressures).toEqual([...pressures].sort((a, b) => a - b));
      expect(pressures[0]).toBe(0);
    }
  });
});
