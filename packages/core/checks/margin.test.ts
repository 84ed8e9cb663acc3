import jstat from 'jstat';

import { contextsOf, margin, psi } from '../src/index';
import { sampleInput } from '../src/testing/samplePlan';

/** Exact: what a linear case comes to in closed form, against 20,000 seeded draws. */
const DRAWS = 20_000;
/** Three standard errors of a share of so many draws. */
const within = (share: number): number => 3 * Math.sqrt((share * (1 - share)) / DRAWS) + 1e-9;

/** Nothing of the model itself in doubt. */
const model = { carcass: 0, drop: 0, formula: 0, exponent: 0, reference: 0 };

const crossed = (setKpa: number, spreads: Partial<Parameters<typeof margin>[0]['spreads']>) =>
  margin({
    // The bead's 12 psi binds, whatever the load: a constant.
    context: contextsOf(sampleInput({ ground: 'verySoftSand' }))[0]!,
    school: null,
    setKpa,
    conditions: { coldTempC: 20, tireTempC: 20, altitudeM: 0 },
    spreads: { loadShare: 0, gaugeKpa: 0, tempC: 0, widthShare: 0, model, ...spreads },
    draws: DRAWS,
    seed: 4,
  });

describe('Monte-Carlo against closed form', () => {
  it.each([1, 2, 4, 6])('a gauge that errs evenly, set %p kPa above the floor', (aboveKpa) => {
    const gaugeKpa = 7;
    const exact = (gaugeKpa - aboveKpa) / (2 * gaugeKpa);
    const { belowFloor } = crossed(psi(12) + aboveKpa, { gaugeKpa });
    expect(Math.abs(belowFloor - exact)).toBeLessThan(within(exact));
  });

  it.each([0.5, 1, 2])('a temperature that spreads normally, set %p kPa above the floor', (aboveKpa) => {
    const tempC = 3;
    const setKpa = psi(12) + aboveKpa;
    // Cold pressure falls below the floor where the tire is truly warmer than it was taken for.
    const kelvin = 293.15;
    const warmerC = (kelvin * (setKpa + 101.325)) / (psi(12) + 101.325) - kelvin;
    const exact = 1 - jstat.normal.cdf(warmerC, 0, tempC);
    const { belowFloor } = crossed(setKpa, { tempC });
    expect(Math.abs(belowFloor - exact)).toBeLessThan(within(exact));
  });

  it('a load that spreads normally moves what is asked for by its slope', () => {
    const { wanted } = margin({
      context: contextsOf(sampleInput())[0]!,
      school: 'equalDeflection',
      setKpa: psi(16),
      conditions: { coldTempC: 20, tireTempC: 20, altitudeM: 0 },
      spreads: { loadShare: 0.04, gaugeKpa: 0, tempC: 0, widthShare: 0, model },
      draws: DRAWS,
      seed: 5,
    });
    // Equal deflection is linear in load: p = (load/δ − 3.45)/k, so its spread is (p + 3.45/k)·4 %.
    const perKpa = 0.00028 * Math.sqrt((1.03 - 0.004 * 65) * 265 * (17 * 25.4 + 2 * 172.25));
    const deviation = (psi(16) + 3.45 / perKpa) * 0.04;
    const high = psi(16) + jstat.normal.inv(0.95, 0, 1) * deviation;
    expect(Math.abs(wanted!.highKpa - high)).toBeLessThan(deviation * 0.06);
  });
});
