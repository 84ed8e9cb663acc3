import { loadCurve, type LoadEvidence } from '../capacity/loadCurve';
import { FAMILIES, familyOf, type FamilyCode } from '../families/registry';
import { wheelsOf } from '../loads/geometry';
import type { Standing } from '../loads/loadsOf';
import { readMarking } from '../markings/readMarking';
import { psi } from '../units/units';
import type { Finding } from './finding';
import { findingSeverity, findingsOf } from './registry';
import type { AxleFacts, RigFacts } from './rigFacts';
import { rimBandMm } from './rimWidth';

interface AxleChange extends Partial<Omit<AxleFacts, 'load'>> {
  readonly marking?: string;
  readonly evidence?: Partial<LoadEvidence>;
  /** On each wheel, left to right. */
  readonly kg?: readonly number[];
  readonly standing?: Standing;
}

const axle = (position: AxleFacts['position'], change: AxleChange = {}): AxleFacts => {
  const { marking = '265/65R17 112T', evidence, kg = [600, 600], standing = 'weighed', ...rest } = change;
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(marking);
  const curve = loadCurve({ tire: reading.value, maxKpa: null, lines: [], rows: [], rowsOf: 'thisTire', ...evidence });
  const wheels = kg.length as AxleFacts['wheels'];
  return {
    position,
    wheels,
    driven: true,
    tire: reading.value,
    curve: curve.ok ? curve.value : undefined,
    load: {
      position,
      loadKg: kg.reduce((sum, each) => sum + each, 0),
      wheels: wheelsOf(wheels).map((wheel, index) => ({ wheel, loadKg: kg[index]! })),
      standing,
    },
    ratingKg: null,
    roadKpa: psi(36),
    presentKpa: null,
    minKpa: null,
    maxKpa: null,
    rimInnerMm: null,
    ...rest,
  };
};
const rig = (axles: readonly AxleFacts[], change: Partial<RigFacts> & { code?: FamilyCode } = {}): RigFacts => ({
  family: familyOf(change.code ?? 'fourWheel'),
  axles,
  roadSpeedKmh: null,
  wholeKg: null,
  gauges: [],
  gaugeStepKpa: psi(1),
  ...change,
});
const codes = (...args: Parameters<typeof rig>): string[] => findingsOf(rig(...args)).map(({ code }) => code);
const only = (...args: Parameters<typeof rig>): Finding => {
  const findings = findingsOf(rig(...args));
  expect(findings).toHaveLength(1);
  return findings[0]!;
};

describe('findingsOf', () => {
  it('has nothing to say of a sound rig, nor of what it does not know', () => {
    expect(codes([axle('front'), axle('rear')])).toEqual([]);
    const bare = { ...axle('rear', { marking: '265/65R17' }), load: undefined, roadKpa: null };
    expect(codes([axle('front'), bare])).toEqual([]);
  });

  it('finds a wheel over its tire at any pressure and speed, once', () => {
    expect(only([axle('front', { kg: [1200, 1150] }), axle('rear')])).toEqual({
      code: 'overTire',
      position: 'front',
      loadKg: 1200,
      mostKg: 1120,
    });
  });

  it('finds a wheel over its tire at the placard and at what is in it, and says what would do', () => {
    const facts = [axle('front', { kg: [900, 900], presentKpa: psi(20) }), axle('rear')];
    const finding = only(facts);
    expect(finding).toMatchObject({ code: 'overAtPressure', position: 'front', at: 'present', extrapolated: true });
    expect(codes([axle('front', { kg: [1000, 1000], roadKpa: psi(28) }), axle('rear')])).toEqual(['overAtPressure']);
    const nothing = axle('front', { kg: [1100, 1100], marking: '265/65R17 112T', roadKpa: psi(28) });
    expect(only([nothing, axle('rear')])).toMatchObject({ at: 'road', neededKpa: expect.any(Number) });
  });

  it('goes by the speed of the road on a farm', () => {
    const drawn = (kg: number, speed: number) =>
      codes([axle('trailer', { marking: '480/80R50 159A8 **', kg: [kg, kg], roadKpa: 240, driven: false })], {
        code: 'farmTrailer',
        roadSpeedKmh: speed,
      });
    expect(drawn(4200, 40)).toEqual([]);
    expect(drawn(4200, 50)).toEqual(['overAtPressure']);
    expect(drawn(4200, 60)).toEqual(['tooFast']);
    // Wheels that only roll have a fifth more when they crawl.
    expect(drawn(5200, 40)).toEqual(['overAtPressure']);
    expect(drawn(5300, 40)).toEqual(['overTire']);
  });

  it('does not guess below the first row of a data sheet', () => {
    const rows = [
      { pressureKpa: 120, speedKmh: 40, loadKg: 2900 },
      { pressureKpa: 160, speedKmh: 40, loadKg: 3400 },
    ];
    const front = axle('front', { marking: 'VF480/70R30', evidence: { rows }, kg: [2000, 2000], roadKpa: 100 });
    expect(
      only([front, axle('rear', { marking: '480/80R50 159A8' })], { code: 'tractor', roadSpeedKmh: 40 }),
    ).toMatchObject({
      code: 'belowFirstRow',
      firstKpa: 120,
    });
  });

  it('gives each tire of a pair its smaller share', () => {
    const pairs = (kg: number) =>
      codes([axle('front'), axle('rear', { marking: '265/65R17 112T', kg: [kg, kg, kg, kg], roadKpa: 250 })]);
    expect(pairs(980)).toEqual([]);
    expect(pairs(1000)).toEqual(['overTire']);
  });

  it.each([
    ['more on an axle than it is rated for', [axle('front', { ratingKg: 1100 }), axle('rear')], 'overAxleRating'],
    ['one side heavier', [axle('front', { kg: [500, 620] }), axle('rear')], 'uneven'],
    [
      'radial in front and bias behind',
      [axle('front'), axle('rear', { marking: '265/65-17 112T' })],
      'mixedConstruction',
    ],
    ['two diameters driven together', [axle('front'), axle('rear', { marking: '285/75R17 116T' })], 'drivenDiameters'],
    ['a placard above the sidewall', [axle('front', { maxKpa: psi(35) }), axle('rear')], 'pressureOutsideSidewall'],
    [
      'a placard below the sidewall’s least',
      [axle('front', { minKpa: psi(38) }), axle('rear')],
      'pressureOutsideSidewall',
    ],
    [
      'more in it than it may have',
      [axle('front', { maxKpa: psi(44), presentKpa: psi(50) }), axle('rear')],
      'pressureOutsideSidewall',
    ],
  ])('finds %s', (_, axles, code) => {
    expect(codes(axles)).toEqual([code]);
  });

  it('leaves a trailer its own build and diameter, and a tractor its geared ones', () => {
    const trailer = axle('trailer', { marking: '7.50-16 112N', driven: false });
    expect(codes([axle('front'), axle('rear'), trailer])).toEqual([]);
    const tractor = [axle('front', { marking: '480/70R30 152D' }), axle('rear', { marking: '480/80R50 159A8/B' })];
    expect(
      codes(
        tractor.map((each) => ({ ...each, roadKpa: 200 })),
        { code: 'tractor', roadSpeedKmh: 40 },
      ),
    ).toEqual([]);
  });

  it('does not call wheels uneven that share a weight by guess', () => {
    expect(codes([axle('front', { kg: [500, 620], standing: 'shared' }), axle('rear')])).toEqual([]);
  });

  it('holds the parts against the whole only where both were weighed', () => {
    const both = [axle('front'), axle('rear')];
    expect(codes(both, { wholeKg: 2410 })).toEqual([]);
    expect(only(both, { wholeKg: 2500 })).toMatchObject({ code: 'partsDontSum', sumKg: 2400, wholeKg: 2500 });
    expect(codes([axle('front', { standing: 'estimated' }), axle('rear')], { wholeKg: 2500 })).toEqual([]);
  });

  it('asks for another gauge where none can be trusted, and only then', () => {
    const gauge = (fullPsi: number) => ({
      id: String(fullPsi),
      fromKpa: 0,
      fullScaleKpa: psi(fullPsi),
      gradePercent: 1,
      comparisons: [],
    });
    const soft = [axle('front', { roadKpa: psi(6), kg: [60, 60] }), axle('rear', { roadKpa: psi(36) })];
    expect(only(soft, { gauges: [gauge(160), gauge(60)] })).toMatchObject({ code: 'noGaugeReads', position: 'front' });
    expect(codes(soft, { gauges: [gauge(15), gauge(60)] })).toEqual([]);
    expect(codes(soft, { gauges: [] })).toEqual([]);
  });

  it('finds a rim that does not suit a bicycle tire, inside the trade’s table', () => {
    const bike = (marking: string, rimInnerMm: number) =>
      codes([axle('front', { marking, rimInnerMm, kg: [40] })], { code: 'mountainBike' });
    expect(bike('29x2.40', 30)).toEqual([]);
    expect(bike('29x2.40', 22)).toEqual(['rimWidth']);
    expect(bike('27.5x2.8', 30)).toEqual(['rimWidth']);
    // The table does not reach this far.
    expect(bike('700x42C', 19)).toEqual([]);
    expect(rimBandMm(50)).toBeNull();
    expect(rimBandMm(2.55 * 25.4)).toMatchObject({ lowMm: 28, highMm: 33 });
  });

  it('tells dangers first', () => {
    const findings = findingsOf(
      rig([axle('front', { kg: [1200, 900] }), axle('rear', { marking: '285/75R17 116T' })], { wholeKg: 9000 }),
    );
    const severities = findings.map(({ code }) => findingSeverity(code));
    expect(severities).toEqual([...severities].sort().reverse());
    expect(severities).toContain('care');
    expect(severities).toContain('danger');
  });
});

/** Every fault on every family: those that the family does not have are named, and nothing else is silent. */
describe.each(FAMILIES)('the findings of a $code', ({ code, kind }) => {
  const kg = kind === 'bicycle' || kind === 'motorcycle' ? [60] : [300, 300];
  const other = (marking: string): string => marking.replace('R17', '-17');
  const size = '265/65R17 112T';
  const two = (front: AxleChange = {}, rear: AxleChange = {}): AxleFacts[] => [
    axle('front', { kg, ...front }),
    axle('rear', { kg, ...rear }),
  ];
  const FAULTS: readonly (readonly [
    name: string,
    facts: readonly AxleFacts[],
    finds: string,
    notOn: readonly string[],
  ])[] = [
    ['nothing', two(), '', []],
    ['a wheel over its tire', two({ kg: kg.map(() => 1500) }), 'overTire', []],
    ['a wheel over its road pressure', two({ kg: kg.map(() => 1000), roadKpa: psi(20) }), 'overAtPressure', []],
    ['an axle over its rating', two({ ratingKg: 40 }), 'overAxleRating', []],
    ['a road pressure over the sidewall', two({ maxKpa: psi(30) }), 'pressureOutsideSidewall', []],
    [
      'a bias rear behind a radial front',
      two({}, { marking: other(size) }),
      'mixedConstruction',
      ['motorcycle', 'bicycle'],
    ],
    [
      'two diameters driven together',
      two({}, { marking: '285/75R17 116T' }),
      'drivenDiameters',
      ['motorcycle', 'bicycle', 'farm'],
    ],
  ];

  it.each(FAULTS)('with %s', (_, facts, finds, notOn) => {
    const found = findingsOf(rig(facts, { code })).map((each) => each.code);
    expect(found).toEqual(finds === '' || notOn.includes(kind) ? [] : [finds]);
  });
});
