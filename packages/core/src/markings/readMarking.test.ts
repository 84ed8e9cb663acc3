import fc from 'fast-check';

import { inch } from '../units/units';
import { BEAD_SEATS_MM } from './beadSeats';
import { plyRatingOf } from '../tires/plies';
import { NOTATIONS, readMarking, writeMarking } from './readMarking';
import { sameSize } from '../tires/sameSize';
import { outerDiameterMm, sectionHeightMm, type Tire } from '../tires/tire';
import { SPEED_SYMBOLS, type SpeedSymbol } from '../tires/speedSymbol';

const read = (text: string): Tire => {
  const reading = readMarking(text);
  if (!reading.ok) throw new Error(`${text}: ${JSON.stringify(reading.problem)}`);
  return reading.value;
};

describe('readMarking', () => {
  it.each([
    ['245/75R16 111T', { use: 'passenger', construction: 'radial', sectionWidthMm: 245, aspectPercent: 75 }],
    ['P255/65R17', { use: 'passenger', sectionWidthMm: 255, aspectPercent: 65 }],
    ['LT285/70R17 121/118Q E', { use: 'lightTruck', loadRange: 'E' }],
    ['235/85R16C', { use: 'commercial', sectionWidthMm: 235 }],
    ['235/85R16C 120/116Q', { use: 'commercial', service: { loadIndex: 120, dualLoadIndex: 116, speedSymbol: 'Q' } }],
    ['31x10.50-15', { notation: 'flotation', construction: 'bias', sectionWidthMm: 266.7 }],
    ['35 × 12,50 R 17 LT 121Q', { notation: 'flotation', sectionWidthMm: 317.5 }],
    ['35*12.50R17', { notation: 'flotation', sectionWidthMm: 317.5 }],
    ['7.50R16', { notation: 'numeric', use: 'lightTruck', sectionWidthMm: 190.5, aspectPercent: 100 }],
    ['11.00R20', { notation: 'numeric', use: 'truck' }],
    ['  265/65  r17  112h ', { service: { loadIndex: 112, speedSymbol: 'H' } }],
    ['245/70ZR19.5', { construction: 'radial', use: 'truck' }],
    ['205/55R16 94V XL', { extraLoad: true }],
    ['245/75R16 111T M+S TL', { service: { loadIndex: 111, speedSymbol: 'T' } }],
    ['185R14C 102/100R', { notation: 'fullProfileMetric', use: 'commercial', aspectPercent: 82 }],
    ['AT25x8-12', { use: 'quad', sectionWidthMm: 203.2, construction: 'bias' }],
    ['25x8.00-12 ***', { notation: 'quad', stars: 3 }],
    ['30x10R15', { notation: 'quad', construction: 'radial' }],
    ['90/90-21 54S', { use: 'motorcycle', construction: 'bias', rimDiameterMm: inch(21) }],
    ['150/70B18', { use: 'motorcycle', construction: 'belted' }],
    ['180/55ZR17 (73W)', { use: 'motorcycle', service: { loadIndex: 73, speedSymbol: 'W' } }],
    ['240/45R17 M/C', { use: 'motorcycle' }],
    ['4.60-18', { use: 'motorcycle', sectionWidthMm: 4.6 * 25.4 }],
    ['29x2.40', { use: 'bicycle', rimDiameterMm: 622 }],
    ['650x47B', { notation: 'bicycleFrench', rimDiameterMm: 584, sectionWidthMm: 47 }],
    ['700x42', { rimDiameterMm: 622 }],
    ['57-584 (27.5x2.25)', { notation: 'bicycleIso', sectionWidthMm: 57, rimDiameterMm: 584 }],
    ['VF380/90R46 173D', { use: 'farm', flexion: 'VF', service: { loadIndex: 173, speedSymbol: 'D' } }],
    ['IF710/70R42 179D', { flexion: 'IF' }],
    ['800/70R32 CFO 182A8', { use: 'farm', cyclicField: true }],
    [
      '480/80R50 159A8/B',
      { service: { loadIndex: 159, speedSymbol: 'A8', faster: { loadIndex: 159, speedSymbol: 'B' } } },
    ],
    ['500/60-22.5 155A8/151B', { service: { loadIndex: 155, faster: { loadIndex: 151, speedSymbol: 'B' } } }],
    ['18.4R38 ★★', { notation: 'farmInch', aspectPercent: 85, stars: 2 }],
    ['16.9-30 8PR', { construction: 'bias', plyRating: 8 }],
    ['11.5/80-15.3', { notation: 'farmInch', aspectPercent: 80 }],
    ['600/50-22.5', { use: 'farm', construction: 'bias' }],
  ])('%s', (text, expected) => {
    expect(read(text)).toMatchObject(expected);
  });

  it.each([
    ['265 70 17', '265/70R17'],
    ['265/70/17', '265/70R17'],
    ['245-75-16', '245/75R16'],
    ['lt 285 70 17', 'LT285/70R17'],
    ['260 70 17', 'P260/70R17'],
    ['33 12.50 15', '33x12.50R15LT'],
    ['35x12.5x17', '35x12.50R17LT'],
    ['25 8 12', 'AT25x8-12'],
    ['29 2.4', '29x2.40'],
    ['26 4', '26x4.00'],
    ['700 42', '700x42C'],
  ])('%s, as it is said, is %s', (text, marking) => {
    expect(read(text)).toEqual(read(marking));
  });

  it.each([
    ['28L-26', { sectionWidthMm: 28 * 25.4, rimDiameterMm: inch(26), construction: 'bias' }],
    ['30.5L-32 12PR', { sectionWidthMm: 30.5 * 25.4, plyRating: 12 }],
    ['21.5L-16.1', { rimDiameterMm: inch(16.1) }],
    ['11L-15', { sectionWidthMm: 11 * 25.4 }],
    ['11L-15SL 8PR', { plyRating: 8 }],
  ])('%s, of an implement', (text, expected) => {
    expect(read(text)).toMatchObject({ use: 'farm', notation: 'farmInch', ...expected });
    expect(read(writeMarking(read(text)))).toEqual(read(text));
  });

  it.each(['AT25x8-12 6PR NHS', '18.4R38 146A8 NHS', '265/65R17 112T NHS'])('%s is not for the highway', (text) => {
    expect(read(text).notHighway).toBe(true);
    expect(read(writeMarking(read(text)))).toEqual(read(text));
  });

  it('measures a 245/75R16 and a 35 in tire from their markings', () => {
    expect(outerDiameterMm(read('245/75R16'))).toBeCloseTo(773.9, 9);
    expect(read('P255/65R17').rimDiameterMm).toBeCloseTo(431.8, 9);
    expect(read('245/70R19.5').rimDiameterMm).toBeCloseTo(495.3, 9);
    expect(outerDiameterMm(read('35x12.50R17LT'))).toBeCloseTo(inch(35), 9);
    expect(sectionHeightMm(read('35x12.50R17LT'))).toBeCloseTo(inch(9), 9);
  });

  it.each([
    ['   ', { code: 'empty' }],
    ['big ones', { code: 'unknownNotation' }],
    ['245/75', { code: 'sizeIncomplete', known: { widthMm: 245, aspectPercent: 75 }, missing: ['rim'] }],
    ['33x12.5', { code: 'sizeIncomplete', known: { outerInch: 33, widthInch: 12.5 }, missing: ['rim'] }],
    ['35s', { code: 'sizeIncomplete', known: { outerInch: 35 }, missing: ['width', 'rim'] }],
    ['265', { code: 'sizeIncomplete', known: { widthMm: 265 }, missing: ['aspect', 'rim'] }],
    ['999 999 999', { code: 'unknownNotation' }],
    ['245/75R16 111T wide', { code: 'unknownNotation' }],
    ['3/75R16', { code: 'sectionWidthOutOfRange', sectionWidthMm: 3 }],
    ['2455/75R16', { code: 'sectionWidthOutOfRange', sectionWidthMm: 2455 }],
    ['245/7R16', { code: 'aspectOutOfRange', aspectPercent: 7 }],
    ['245/75R46', { code: 'rimOutOfRange', rimInch: 46 }],
    ['455/120R26', { code: 'outerDiameterOutOfRange' }],
    ['245/75R16 211T', { code: 'unknownLoadIndex', loadIndex: 211 }],
    ['245/75R16 111X', { code: 'unknownSpeedSymbol', symbol: 'X' }],
    ['LT285/70R17 118/121Q', { code: 'dualAboveSingle' }],
    ['35x99.50R17', { code: 'sectionWidthOutOfRange' }],
    ['26x1 3/8', { code: 'fractionalWidth' }],
    ['650x47', { code: 'rimLetterMissing', letters: ['A', 'B', 'C'] }],
    ['42-600', { code: 'unknownBeadSeat', beadSeatMm: 600 }],
    ['29x9.40', { code: 'sectionWidthOutOfRange', sectionWidthMm: 9.4 * 25.4 }],
    ['480/80R50 159B/A8', { code: 'fasterIsSlower', speedSymbol: 'B', fasterSymbol: 'A8' }],
    ['16.9-30 60PR', { code: 'plyRatingOutOfRange', plyRating: 60 }],
    ['245/75R9', { code: 'rimOutOfRange', rimInch: 9 }],
    ['2400/80R50', { code: 'sectionWidthOutOfRange', maxMm: 1300 }],
  ])('%p is refused with a reason', (text, problem) => {
    expect(readMarking(text)).toMatchObject({ ok: false, problem });
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 40 }), (text) => {
        expect(typeof readMarking(text).ok).toBe('boolean');
      }),
      { seed: 3, numRuns: 500 },
    );
  });
});

describe('writeMarking', () => {
  const service = fc.option(
    fc.record(
      {
        loadIndex: fc.integer({ min: 90, max: 130 }),
        dualLoadIndex: fc.integer({ min: 60, max: 89 }),
        // A1 to A8 stand on farm tires alone.
        speedSymbol: fc.constantFrom(
          ...(Object.keys(SPEED_SYMBOLS) as SpeedSymbol[]).filter((symbol) => !/^A\d$/.test(symbol)),
        ),
      },
      { requiredKeys: ['loadIndex', 'speedSymbol'] },
    ),
    { nil: undefined },
  );
  const plain = fc.record({ service, loadRange: fc.constantFrom(undefined, 'C', 'E') });
  const none = fc.constant({});
  const farmEnd = fc.record({
    service: fc.option(
      fc.record({
        loadIndex: fc.integer({ min: 120, max: 180 }),
        speedSymbol: fc.constant('A8'),
        faster: fc.option(
          fc.record({ loadIndex: fc.integer({ min: 115, max: 180 }), speedSymbol: fc.constantFrom('B', 'D') }),
          { nil: undefined },
        ),
      }),
      { nil: undefined },
    ),
    plyRating: fc.option(fc.integer({ min: 2, max: 24 }), { nil: undefined }),
    stars: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
  });
  const construction = fc.constantFrom('radial', 'bias', 'belted');
  const radialOrBias = fc.constantFrom('radial', 'bias');
  const rim = (min: number, max: number) => fc.integer({ min, max }).map(inch);
  const quarters = (min: number, max: number) => fc.integer({ min, max }).map((count) => inch(count / 4));
  const steps = (step: number, offset: number, min: number, max: number) =>
    fc.integer({ min, max }).map((count) => count * step + offset);
  const outerSize = (outer: fc.Arbitrary<number>, width: fc.Arbitrary<number>, rimInch: fc.Arbitrary<number>) =>
    fc.tuple(outer, width, rimInch).map(([outerInch, widthInch, inches]) => ({
      sectionWidthMm: inch(widthInch),
      aspectPercent: (100 * (outerInch - inches)) / 2 / widthInch,
      rimDiameterMm: inch(inches),
    }));
  const size = (fixed: object, parts: Record<string, fc.Arbitrary<unknown>>): fc.Arbitrary<object> =>
    fc.record(parts).map((rest) => ({ ...fixed, ...rest }));

  /** Every notation, with sizes as they are sold and the ends that go with them. */
  const sold: Record<Tire['notation'], readonly [fc.Arbitrary<object>, fc.Arbitrary<object>]> = {
    metric: [
      size(
        { notation: 'metric' },
        {
          use: fc.constantFrom('passenger', 'lightTruck', 'commercial'),
          construction,
          sectionWidthMm: steps(10, 5, 15, 31),
          aspectPercent: fc.integer({ min: 50, max: 90 }),
          rimDiameterMm: rim(13, 20),
        },
      ),
      plain,
    ],
    fullProfileMetric: [
      size(
        { notation: 'fullProfileMetric', construction: 'radial', aspectPercent: 82 },
        {
          use: fc.constantFrom('passenger', 'commercial'),
          sectionWidthMm: steps(10, 5, 14, 22),
          rimDiameterMm: rim(12, 17),
        },
      ),
      plain,
    ],
    numeric: [
      fc.tuple(construction, fc.integer({ min: 24, max: 52 }), rim(14, 22)).map(([build, count, rimDiameterMm]) => ({
        notation: 'numeric',
        use: count / 4 < 8 ? 'lightTruck' : 'truck',
        construction: build,
        sectionWidthMm: inch(count / 4),
        aspectPercent: 100,
        rimDiameterMm,
      })),
      plain,
    ],
    flotation: [
      fc
        .tuple(
          construction,
          outerSize(
            fc.integer({ min: 30, max: 37 }),
            fc.integer({ min: 38, max: 54 }).map((count) => count / 4),
            fc.integer({ min: 15, max: 17 }),
          ),
        )
        .map(([build, rest]) => ({ notation: 'flotation', use: 'lightTruck', construction: build, ...rest })),
      plain,
    ],
    quad: [
      fc
        .tuple(
          radialOrBias,
          outerSize(
            fc.integer({ min: 20, max: 26 }),
            fc.integer({ min: 16, max: 22 }).map((count) => count / 2),
            fc.integer({ min: 9, max: 13 }),
          ),
        )
        .map(([build, rest]) => ({ notation: 'quad', use: 'quad', construction: build, ...rest })),
      fc.record({
        stars: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
        plyRating: fc.option(fc.constantFrom(2, 4, 6, 8), { nil: undefined }),
      }),
    ],
    motorcycleMetric: [
      size(
        { notation: 'motorcycleMetric', use: 'motorcycle' },
        {
          construction,
          sectionWidthMm: steps(10, 0, 8, 20),
          aspectPercent: fc.integer({ min: 45, max: 65 }),
          rimDiameterMm: rim(14, 21),
        },
      ),
      none,
    ],
    motorcycleInch: [
      size(
        { notation: 'motorcycleInch', use: 'motorcycle', aspectPercent: 100 },
        { construction, sectionWidthMm: quarters(9, 20), rimDiameterMm: rim(14, 21) },
      ),
      none,
    ],
    farmMetric: [
      size(
        { notation: 'farmMetric', use: 'farm' },
        {
          construction: radialOrBias,
          sectionWidthMm: steps(20, 0, 12, 40),
          aspectPercent: fc.integer({ min: 45, max: 80 }),
          rimDiameterMm: rim(20, 50),
          flexion: fc.constantFrom(undefined, 'IF', 'VF'),
          cyclicField: fc.constantFrom(undefined, true),
        },
      ),
      farmEnd,
    ],
    farmInch: [
      size(
        { notation: 'farmInch', use: 'farm' },
        {
          construction: radialOrBias,
          sectionWidthMm: fc.integer({ min: 70, max: 230 }).map((tenths) => inch(tenths / 10)),
          aspectPercent: fc.constantFrom(85, 80, 75),
          rimDiameterMm: rim(15, 42),
        },
      ),
      farmEnd,
    ],
    bicycleIso: [
      size(
        { notation: 'bicycleIso', use: 'bicycle', construction: 'bias', aspectPercent: 100 },
        { sectionWidthMm: fc.integer({ min: 20, max: 120 }), rimDiameterMm: fc.constantFrom(...BEAD_SEATS_MM) },
      ),
      none,
    ],
    bicycleFrench: [
      size(
        { notation: 'bicycleFrench', use: 'bicycle', construction: 'bias', aspectPercent: 100 },
        { sectionWidthMm: fc.integer({ min: 23, max: 60 }), rimDiameterMm: fc.constantFrom(622, 590, 584, 571, 540) },
      ),
      none,
    ],
    bicycleInch: [
      size(
        { notation: 'bicycleInch', use: 'bicycle', construction: 'bias', aspectPercent: 100 },
        {
          sectionWidthMm: fc.integer({ min: 8, max: 40 }).map((eighths) => inch(eighths / 8)),
          rimDiameterMm: fc.constantFrom(406, 507, 559, 584, 622),
        },
      ),
      none,
    ],
  };

  it.each(NOTATIONS.map(({ code }) => code))('reads back as the same tire: %s', (code) => {
    const [sizes, ends] = sold[code];
    fc.assert(
      fc.property(sizes, ends, (fixed, rest) => {
        const tire = JSON.parse(JSON.stringify({ ...fixed, ...rest })) as Tire;
        expect(read(writeMarking(tire))).toEqual(tire);
      }),
      { seed: 11, numRuns: 300 },
    );
  });
});

describe('sameSize', () => {
  it.each([
    ['27.5x2.25', '57-584', true],
    ['29x2.40', '61-622', true],
    ['29x2.40', '62-622', true],
    ['700x42C', '42-622', true],
    ['650x47B', '47-584', true],
    ['18.4R38', '460/80R38', false],
    ['18.4R38', '460/85R38', true],
    ['245/75R16 111T', 'LT245/75R16 120/116Q E', true],
    ['245/75R16', '245/75-16', false],
    ['29x2.40', '29x2.25', false],
    ['27.5x2.8', '29x2.8', false],
    ['480/80R50', 'VF480/80R50', false],
    ['245/75R16', '265/75R16', false],
  ])('%s and %s: %s', (a, b, same) => {
    expect(sameSize(read(a), read(b))).toBe(same);
  });
});

describe('plyRatingOf', () => {
  it.each([
    ['LT285/70R17 E', 10],
    ['16.9-30 8PR', 8],
    ['AT25x8-12 ***', 6],
    ['18.4R38 **', null],
    ['245/75R16', null],
  ])('%s has %s plies', (text, plies) => expect(plyRatingOf(read(text))).toBe(plies));
});

describe('sizes as people type them on another rig than the notation was made for', () => {
  it.each([
    ['31x10.5R15', 'lightTruck'],
    ['33x12.5R15', 'lightTruck'],
    ['37x12.5R17', 'lightTruck'],
    ['285 70r17', 'passenger'],
    ['285 70 r17', 'passenger'],
    ['AT27x9R14', 'quad'],
    ['30x10R15', 'quad'],
  ] as const)('%s is a %s tire', (text, use) => {
    expect(readMarking(text)).toMatchObject({ ok: true, value: { use } });
  });
});
