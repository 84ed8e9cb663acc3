import fc from 'fast-check';

import { inch } from '../units/units';
import { NOTATIONS, readMarking, writeMarking } from './readMarking';
import { outerDiameterMm, sectionHeightMm, type Tire } from './tire';
import { SPEED_SYMBOLS, type SpeedSymbol } from './speedSymbol';

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
    ['7.50R16', { notation: 'numeric', sectionWidthMm: 190.5, aspectPercent: 100 }],
    ['  265/65  r17  112h ', { service: { loadIndex: 112, speedSymbol: 'H' } }],
    ['245/70ZR19.5', { construction: 'radial' }],
  ])('%s', (text, expected) => {
    expect(read(text)).toMatchObject(expected);
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
    ['big ones', { code: 'unknownNotation', examples: NOTATIONS.map(({ example }) => example) }],
    ['245/75', { code: 'unknownNotation' }],
    ['245/75R16 111T wide', { code: 'unknownNotation' }],
    ['245-75-16', { code: 'unknownNotation' }],
    ['3/75R16', { code: 'sectionWidthOutOfRange', sectionWidthMm: 3 }],
    ['2455/75R16', { code: 'sectionWidthOutOfRange', sectionWidthMm: 2455 }],
    ['245/7R16', { code: 'aspectOutOfRange', aspectPercent: 7 }],
    ['245/75R46', { code: 'rimOutOfRange', rimInch: 46 }],
    ['455/120R26', { code: 'outerDiameterOutOfRange' }],
    ['245/75R16 211T', { code: 'unknownLoadIndex', loadIndex: 211 }],
    ['245/75R16 111X', { code: 'unknownSpeedSymbol', symbol: 'X' }],
    ['LT285/70R17 118/121Q', { code: 'dualAboveSingle' }],
    ['35x99.50R17', { code: 'sectionWidthOutOfRange' }],
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
        speedSymbol: fc.constantFrom(...(Object.keys(SPEED_SYMBOLS) as SpeedSymbol[])),
      },
      { requiredKeys: ['loadIndex', 'speedSymbol'] },
    ),
    { nil: undefined },
  );
  const end = fc.record({ service, loadRange: fc.constantFrom(undefined, 'C', 'E') });
  const construction = fc.constantFrom('radial', 'bias', 'belted');
  const metric = fc.record({
    notation: fc.constant('metric'),
    use: fc.constantFrom('passenger', 'lightTruck', 'commercial'),
    construction,
    sectionWidthMm: fc.integer({ min: 155, max: 315 }),
    aspectPercent: fc.integer({ min: 50, max: 90 }),
    rimDiameterMm: fc.integer({ min: 13, max: 20 }).map(inch),
  });
  const numeric = fc.record({
    notation: fc.constant('numeric'),
    use: fc.constant('lightTruck'),
    construction,
    sectionWidthMm: fc.integer({ min: 24, max: 40 }).map((quarters) => inch(quarters / 4)),
    aspectPercent: fc.constant(100),
    rimDiameterMm: fc.integer({ min: 14, max: 18 }).map(inch),
  });
  const flotation = fc
    .tuple(fc.integer({ min: 30, max: 37 }), fc.integer({ min: 38, max: 54 }), fc.integer({ min: 15, max: 17 }))
    .chain(([outer, quarters, rim]) =>
      fc.record({
        notation: fc.constant('flotation'),
        use: fc.constant('lightTruck'),
        construction,
        sectionWidthMm: fc.constant(inch(quarters / 4)),
        aspectPercent: fc.constant((100 * (outer - rim)) / 2 / (quarters / 4)),
        rimDiameterMm: fc.constant(inch(rim)),
      }),
    );

  it('reads back as the same tire', () => {
    fc.assert(
      fc.property(fc.oneof(metric, numeric, flotation), end, (size, rest) => {
        const tire = JSON.parse(JSON.stringify({ ...size, ...rest })) as Tire;
        expect(read(writeMarking(tire))).toEqual(tire);
      }),
      { seed: 11, numRuns: 500 },
    );
  });
});
