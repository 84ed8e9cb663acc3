import { bicycleAxles, sampleAxle, sampleInput } from '../testing/samplePlan';
import { psi } from '../units/units';
import { margin, marginRun, type MarginInput } from './margin';
import { contextsOf } from './planGround';

const model = { carcass: 0, drop: 0, formula: 0, exponent: 0, reference: 0 };
const KNOWN = { loadShare: 0, gaugeKpa: 0, tempC: 0, widthShare: 0, model };
const input = (change: Partial<MarginInput> = {}): MarginInput => ({
  context: contextsOf(sampleInput())[0]!,
  school: 'equalDeflection',
  setKpa: psi(16),
  conditions: { coldTempC: 20, tireTempC: 20, altitudeM: 0 },
  spreads: { loadShare: 0.05, gaugeKpa: 7, tempC: 3, widthShare: 0.01 },
  draws: 4000,
  seed: 7,
  ...change,
});

describe('margin', () => {
  it('is one number where everything is known', () => {
    const { inTire, wanted, belowFloor } = margin(input({ spreads: KNOWN }));
    expect(inTire.lowKpa).toBeCloseTo(psi(16), 9);
    expect(inTire.highKpa).toBeCloseTo(psi(16), 9);
    expect(wanted!.middleKpa).toBeCloseTo(psi(16), 9);
    expect(belowFloor).toBe(0);
  });

  it('gives the same answer for the same seed, another for another', () => {
    expect(margin(input())).toEqual(margin(input()));
    expect(margin(input({ seed: 8 }))).not.toEqual(margin(input()));
  });

  it('crosses the floor more often the nearer it is set, and the placard too', () => {
    const at = (setPsi: number) => margin(input({ setKpa: psi(setPsi) }));
    expect(at(12).belowFloor).toBeGreaterThan(at(13).belowFloor);
    expect(at(16).belowFloor).toBeLessThan(0.05);
    expect(at(36).aboveCeiling).toBeGreaterThan(0.4);
  });

  it('has a wider band the worse the gauge', () => {
    const width = (gaugeKpa: number): number => {
      const { inTire } = margin(input({ spreads: { ...KNOWN, gaugeKpa } }));
      return inTire.highKpa - inTire.lowKpa;
    };
    expect(width(14)).toBeCloseTo(2 * width(7), 0);
  });

  it('says what the school would ask for if it knew the load', () => {
    const { wanted } = margin(
      input({ context: contextsOf(sampleInput({ axles: [sampleAxle({ loadKg: 700 })] }))[0]! }),
    );
    expect(wanted!.lowKpa).toBeLessThan(wanted!.middleKpa);
    expect(wanted!.middleKpa).toBeGreaterThan(psi(16));
    expect(margin(input({ school: null })).wanted).toBeNull();
  });

  it('tells how far it is on the way', () => {
    expect([...marginRun(input())]).toEqual([1000, 2000, 3000, 4000]);
  });

  it('does not take a bicycle tire for a carcass: its band is far narrower than half to double', () => {
    const { wanted } = margin(
      input({
        context: contextsOf(
          sampleInput({ family: 'mountainBike', ground: 'hardpack', axles: bicycleAxles('29x2.40', 94, 0.4) }),
        )[0]!,
        school: 'equalDrop',
        setKpa: psi(24),
      }),
    );
    expect(wanted!.lowKpa / wanted!.middleKpa).toBeGreaterThan(0.7);
    expect(wanted!.highKpa / wanted!.middleKpa).toBeLessThan(1.4);
    expect(wanted!.highKpa / wanted!.lowKpa).toBeGreaterThan(1.1);
  });
});
