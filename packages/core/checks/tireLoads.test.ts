import {
  capacity,
  dualFactor,
  farmSpeedFactor,
  flexionLoadKg,
  flexionPressureKpa,
  loadCurve,
  pressureForLoadKpa,
  psi,
  readMarking,
  speedFactor,
  toCanonical,
  type LoadCurve,
} from '../src/index';

const lb = (value: number): number => toCanonical('mass', 'lb', value);
const line = (atPsi: number, loadLb: number) => ({ pressureKpa: psi(atPsi), loadKg: lb(loadLb) });
const curve = (marking: string, lines: ReturnType<typeof line>[] = []): LoadCurve => {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(marking);
  const result = loadCurve({ tire: reading.value, maxKpa: null, lines, rows: [], rowsOf: 'thisTire' });
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
};
const carriesLb = (of: LoadCurve, atPsi: number): number => {
  const carried = capacity(of, { pressureKpa: psi(atPsi), speedKmh: null });
  return carried.ok ? carried.loadKg / lb(1) : Number.NaN;
};

/** Loads of an LT245/75R16 by pressure, single, lb. Published: Tire and Rim Association yearbook (from memory). */
describe('an LT245/75R16 against the yearbook', () => {
  const tire = curve('LT245/75R16', [line(50, 2205), line(80, 3042)]);

  it('has the exponent of its two rows', () => {
    expect(tire.from === 'lines' && tire.exponent).toBeCloseTo(0.685, 3);
  });

  it.each([
    [50, 2205],
    [55, 2335],
    [65, 2623],
    [80, 3042],
  ])('carries at %d psi what the table gives, within 2 %%', (atPsi, loadLb) => {
    expect(Math.abs(carriesLb(tire, atPsi) / loadLb - 1)).toBeLessThan(0.02);
  });

  it('needs 50 psi under 1000 kg', () => {
    expect(pressureForLoadKpa(tire, lb(2205), { speedKmh: null })! / psi(1)).toBeCloseTo(50, 6);
  });
});

describe('a quad tire marked 1015 lb at 18 psi and 1694 lb at 44 (common practice, no source)', () => {
  const tire = curve('AT27x9R14', [line(18, 1015), line(44, 1694)]);
  it('has an exponent of 0.573', () => expect(tire.from === 'lines' && tire.exponent).toBeCloseTo(0.573, 3));
  it('says that below 18 psi it only carries the line on', () => {
    expect(capacity(tire, { pressureKpa: psi(12), speedKmh: null })).toMatchObject({ extrapolated: true });
    expect(carriesLb(tire, 12)).toBeCloseTo(1015 * (12 / 18) ** 0.573, -1);
  });
});

/** Published: European Tyre and Rim Technical Organisation, drive-wheel speed table (from memory). */
describe('a farm radial against the speed table', () => {
  it.each([
    [10, 1.5],
    [15, 1.34],
    [20, 1.23],
    [25, 1.11],
    [30, 1.07],
    [40, 1],
    [50, 0.91],
  ])('%d km/h: %d of its rating', (kmh, factor) => expect(farmSpeedFactor(40, kmh)).toBe(factor));
  it('says nothing above 50', () => expect(farmSpeedFactor(40, 51)).toBeNull());

  /** Common practice, from memory: tires rated for 65 km/h. */
  it.each([
    [40, 1.09],
    [50, 1.05],
    [65, 1],
    [10, 1.37 * 1.09],
  ])('rated for 65, at %d km/h: %d', (kmh, factor) => expect(farmSpeedFactor(65, kmh)).toBeCloseTo(factor, 9));

  /** Assumption: without a data sheet. */
  it.each([
    [10, 1.2],
    [25, 1.1],
    [40, 1],
  ])('rolling only, at %d km/h: %d', (kmh, factor) =>
    expect(farmSpeedFactor(65, kmh, { rolling: true })).toBeCloseTo(factor, 9),
  );

  it('has no bonus at any field speed under sustained high torque', () => {
    for (const kmh of [5, 10, 10.5, 20, 39]) expect(farmSpeedFactor(40, kmh, { highTorque: true })).toBe(1);
  });
});

/** Published: Tire and Rim Association and European Tyre and Rim Technical Organisation designations (from memory). */
describe('IF, VF and pairs', () => {
  it('IF carries 20 % more or needs 20 % less, VF 40 %', () => {
    expect([flexionLoadKg(1000, 'IF'), flexionLoadKg(1000, 'VF')]).toEqual([1200, 1400]);
    expect([flexionPressureKpa(100, 'IF'), flexionPressureKpa(100, 'VF')]).toEqual([80, 60]);
  });
  it('a pair on a farm carries 0.88 of two singles', () => {
    expect(dualFactor(curve('480/80R50 159A8 *').tire).factor).toBe(0.88);
  });
});

/** Published: UN ECE Regulation 54, variation of load capacity with speed (from memory). */
describe('a road tire slower than its own speed', () => {
  it.each([
    ['LT285/70R17 121/118Q', 40, 1.25],
    ['LT285/70R17 121/118Q', 60, 1.15],
    ['LT285/70R17 121/118Q', 80, 1.1],
    ['LT285/70R17 121/118Q', 120, 1],
    ['LT275/70R18 125/122R', 40, 1.15],
    ['LT275/70R18 125/122R', 60, 1.1],
    ['LT275/70R18 125/122R', 80, 1],
  ])('%s at %d km/h: %d of its index', (marking, kmh, factor) => {
    const reading = readMarking(marking);
    expect(reading.ok && speedFactor(reading.value, kmh)!.factor).toBeCloseTo(factor, 9);
  });
});
