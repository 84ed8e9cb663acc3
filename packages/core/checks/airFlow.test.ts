import { fillPlan } from '../src/air/airUp';
import { CARBON_DIOXIDE_M3_PER_KG } from '../src/air/compressor';
import { drainTau, LETTING_OUT_EXPONENT } from '../src/air/deflate';
import { joined } from '../src/air/joined';
import { openSeconds } from '../src/air/letOut';
import { joinedKpa } from '../src/air/mixing';
import { CHOKED_FLOW, conductanceLPerS, CRITICAL_RATIO, flowShare, massFlowKgPerS, R_AIR } from '../src/air/orifice';
import { rateFrom } from '../src/air/timedDrop';
import { innerVolumeL } from '../src/air/volume';
import { gaugeNowKpa } from '../src/atmosphere/gaugeNow';
import { readMarking } from '../src/markings/readMarking';
import { inch, psi } from '../src/units/units';

// Its own sources stand in the way of our stricter types.
const { Solver } = jest.requireActual<{
  Solver: new (size: number) => {
    absoluteTolerance: number;
    relativeTolerance: number;
    solve: (
      slopes: (x: number, y: number[]) => number[],
      from: number,
      start: number[],
      to: number,
    ) => { readonly y: number[] };
  };
}>('odex');

const pa = 101.325;
const buildOf = (marking: string) => {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(marking);
  return { tire: reading.value, carcass: 1 };
};

describe('choked flow, exact', () => {
  it('begins at 0.528', () => expect(CRITICAL_RATIO).toBeCloseTo(0.528, 3));
  it('has a critical flow factor of 0.6847', () => expect(CHOKED_FLOW).toBeCloseTo(0.6847, 4));
  it('holds above about 13 psi at sea level', () => expect(pa / CRITICAL_RATIO - pa).toBeCloseTo(psi(13.1), 0));
  // Exact: dp/dt = −n·p·(p/p0)^((n − 1)/2n)·share of the choked flow, stepped finely.
  it.each([
    [350, 200],
    [248, 110],
    [600, 95],
    [150, 20],
  ])('empties a tire from %d to %d kPa as its fine-step reference does', (from, to) => {
    const n = LETTING_OUT_EXPONENT;
    const step = 1e-5;
    let [p, clock] = [from + pa, 0];
    while (p > to + pa) {
      p -= step * n * p * (p / (from + pa)) ** ((n - 1) / (2 * n)) * flowShare(pa / p);
      clock += step;
    }
    expect(drainTau(from, to, pa)).toBeCloseTo(clock, 3);
  });
});

/*
 * Discharge of air through an orifice in cubic feet of free air a minute, coefficient 1, 70 °F. Published: Compressed Air
 * and Gas Institute, Compressed Air and Gas Handbook, table of discharge through an orifice (from memory).
 */
describe('standard orifices', () => {
  const CUBIC_FEET_PER_KG_PER_S = (60 / 1.2) * 35.3147; // free air at 14.7 psi and 70 °F: 1.2 kg/m³
  it.each([
    [1 / 4, 100, 104],
    [1 / 8, 80, 21.4],
    [1 / 16, 60, 4.23],
  ])('%d in at %d psi: %d', (diameterIn, gaugePsi, cubicFeet) => {
    const areaMm2 = (Math.PI * inch(diameterIn) ** 2) / 4;
    const flow = massFlowKgPerS({
      areaMm2,
      insideKpaAbs: psi(gaugePsi) + pa,
      outsideKpaAbs: pa,
      tempC: 21.1,
      dischargeCoefficient: 1,
    });
    expect((flow * CUBIC_FEET_PER_KG_PER_S) / cubicFeet).toBeCloseTo(1, 1.5);
  });

  it('lets a volume of its own air through, whatever the pressure', () => {
    const conductance = conductanceLPerS(7, 0.8, 20);
    for (const insideKpaAbs of [250, 500]) {
      const flow = massFlowKgPerS({
        areaMm2: 7,
        insideKpaAbs,
        outsideKpaAbs: pa,
        tempC: 20,
        dischargeCoefficient: 0.8,
      });
      const density = (insideKpaAbs * 1000) / (R_AIR * 293.15);
      expect((flow / density) * 1000).toBeCloseTo(conductance, 9);
    }
  });
});

describe('gas laws, exact', () => {
  it('mixes as an ideal gas', () => {
    // Moles before and after, at one temperature.
    const n = (kpa: number, liters: number) => (kpa + pa) * liters;
    const level = joinedKpa([
      { volumeL: 69, pressureKpa: 250 },
      { volumeL: 31, pressureKpa: 90 },
    ]);
    expect(n(level, 100)).toBeCloseTo(n(250, 69) + n(90, 31), 9);
  });
  it('has 0.546 m³ in a kilogram of carbon dioxide', () =>
    expect((8.314462 * 293.15) / 0.0440095 / 101325).toBeCloseTo(CARBON_DIOXIDE_M3_PER_KG, 2));
  it('adds 0.94 psi to 35 for 10 °F', () =>
    expect(
      (gaugeNowKpa(psi(35), { coldTempC: 20, tireTempC: 20 + 10 / 1.8, altitudeM: 0 }) - psi(35)) / psi(1),
    ).toBeCloseTo(0.94, 2));
});

// Common practice, no source: about 30 L.
it('a 205/55R16 holds about 30 L', () => expect(innerVolumeL(buildOf('205/55R16'))).toBeCloseTo(30, 0));

describe('the integrator', () => {
  // Two tires and a hose: no closed form.
  const [va, vb, g] = [69, 31, 0.2];
  const flow = (high: number, low: number) => g * (high + pa) * flowShare((low + pa) / (high + pa));
  const seconds = 40;

  it('agrees with another library', () => {
    const solver = new Solver(2);
    solver.absoluteTolerance = solver.relativeTolerance = 1e-10;
    const theirs = solver.solve((_, [a, b]) => [-flow(a!, b!) / va, flow(a!, b!) / vb], 0, [250, 90], seconds).y;
    const ours = joined({
      vessels: [
        { volumeL: va, pressureKpa: 250 },
        { volumeL: vb, pressureKpa: 90 },
      ],
      hoses: [{ from: 0, to: 1, conductanceLPerS: g, shutAtKpa: null }],
      outsideKpaAbs: pa,
      done: () => false,
      mostS: seconds,
    });
    expect(ours.seconds).toBeCloseTo(seconds, 6);
    ours.pressuresKpa.forEach((kpa, index) => expect(kpa).toBeCloseTo(theirs[index]!, 3));
  });

  it('agrees with the closed form of a tire that empties and keeps its warmth, while choked', () => {
    const ours = joined({
      // As good as the outside: so large that nothing fills it.
      vessels: [
        { volumeL: 60, pressureKpa: 200 },
        { volumeL: 1e12, pressureKpa: 0 },
      ],
      hoses: [{ from: 0, to: 1, conductanceLPerS: 0.5, shutAtKpa: null }],
      outsideKpaAbs: pa,
      done: () => false,
      mostS: 40,
    });
    expect(ours.pressuresKpa[0]).toBeCloseTo((200 + pa) * Math.exp((-40 * 0.5) / 60) - pa, 3);
  });
});

describe('one timed wheel predicts the others', () => {
  // The reference knows the hole and steps the mass that leaves it, a millisecond at a time; we know one timed drop.
  const AREA_MM2 = 4.1;
  const reference = (volumeL: number, fromKpa: number, toKpa: number): number => {
    const step = 1e-3;
    let mass = ((fromKpa + pa) * volumeL) / (R_AIR * 293.15);
    const massAtEnd = ((toKpa + pa) * volumeL) / (R_AIR * 293.15);
    let clock = 0;
    while (mass > massAtEnd) {
      const insideKpaAbs = (mass * R_AIR * 293.15) / volumeL;
      mass -=
        step *
        massFlowKgPerS({ areaMm2: AREA_MM2, insideKpaAbs, outsideKpaAbs: pa, tempC: 20, dischargeCoefficient: 0.75 });
      clock += step;
    }
    return clock;
  };

  const timedL = innerVolumeL(buildOf('265/65R17'));
  const rate = rateFrom(0.3, [
    {
      volumeL: timedL,
      beforeKpa: psi(36),
      afterKpa: psi(16),
      seconds: reference(timedL, psi(36), psi(16)),
      outsideKpaAbs: pa,
      readingKpa: 1,
    },
  ]);

  it.each([
    ['265/65R17', 36, 16],
    ['265/65R17', 40, 10],
    ['31x10.50R15LT', 30, 8],
    ['235/85R16', 55, 20],
    ['205/55R16', 32, 6],
    ['AT25x8-12', 9, 4],
  ])('%s from %d to %d psi within 2 %%', (marking, fromPsi, toPsi) => {
    const volumeL = innerVolumeL(buildOf(marking));
    const wheel = { volumeL, fromKpa: psi(fromPsi), toKpa: psi(toPsi) };
    const ours = openSeconds({ closingKpa: null }, rate.conductanceLPerS, wheel, pa);
    expect(Math.abs(ours / reference(volumeL, wheel.fromKpa, wheel.toKpa) - 1)).toBeLessThan(0.02);
  });
});

it('a whole air-up agrees with a fine-step reference', () => {
  const flow = [
    { pressureKpa: 0, litersPerMin: 72 },
    { pressureKpa: 200, litersPerMin: 46 },
    { pressureKpa: 350, litersPerMin: 35 },
  ] as const;
  const at = (kpa: number): number => (kpa < 200 ? 72 + ((46 - 72) * kpa) / 200 : 46 + ((35 - 46) * (kpa - 200)) / 150);
  let [kpa, clock] = [110, 0];
  while (kpa < 300) {
    kpa += ((at(kpa) / 60) * pa * 1e-2) / 69;
    clock += 1e-2;
  }
  const { runS } = fillPlan({
    wheels: [{ position: 'front', wheel: 'left', volumeL: 69, fromKpa: 110, toKpa: 300, walkS: 0 }],
    pump: { flow: [...flow] as never, duty: null, budget: null },
    outsideKpaAbs: pa,
    setUpS: 0,
  });
  expect(runS / clock).toBeCloseTo(1, 3);
});
