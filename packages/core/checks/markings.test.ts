import {
  loadIndexKg,
  outerDiameterMm,
  readMarking,
  sameSize,
  speedSymbolKmh,
  writeMarking,
  type Tire,
} from '../src/index';

const read = (marking: string): Tire => {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(`${marking}: ${reading.problem.code}`);
  return reading.value;
};

/** Sizes as they stand on sidewalls (common practice, no source), with what the load index and speed tables say of them. */
describe('markings as sidewalls carry them', () => {
  it.each([
    ['245/75R16 111T', 'passenger', 1090, 190],
    ['265/65R17 112H', 'passenger', 1120, 210],
    ['205/55R16 91V', 'passenger', 615, 240],
    ['205/55R16 94V XL', 'passenger', 670, 240],
    ['P265/70R16 112S', 'passenger', 1120, 180],
    ['LT285/70R17 121/118Q', 'lightTruck', 1450, 160],
    ['LT245/75R16 120/116S E', 'lightTruck', 1400, 180],
    ['LT215/85R16 115/112Q', 'lightTruck', 1215, 160],
    ['235/85R16C 120/116R', 'commercial', 1400, 170],
    ['195/75R16C 107/105R', 'commercial', 975, 170],
    ['185R14C 102/100R', 'commercial', 850, 170],
    ['7.50R16 112N', 'lightTruck', 1120, 140],
    ['31x10.50R15LT 109Q', 'lightTruck', 1030, 160],
    ['33x12.50R15LT 108Q', 'lightTruck', 1000, 160],
    ['315/80R22.5 156/150L', 'truck', 4000, 120],
    ['385/65R22.5 160K', 'truck', 4500, 110],
    ['90/90-21 54S', 'motorcycle', 212, 180],
    ['150/70R18 70V', 'motorcycle', 335, 240],
    ['150/70B18 70T', 'motorcycle', 335, 190],
    ['110/80R19 59V', 'motorcycle', 243, 240],
    ['180/55ZR17 M/C (73W)', 'motorcycle', 365, 270],
    ['4.10-18 60P', 'motorcycle', 250, 150],
    ['3.00-21 51P', 'motorcycle', 195, 150],
    ['VF380/90R46 173D', 'farm', 6500, 65],
    ['IF710/70R42 179D', 'farm', 7750, 65],
    ['480/80R50 159A8/B', 'farm', 4375, 40],
    ['480/65R28 136D', 'farm', 2240, 65],
    ['18.4R38 146A8', 'farm', 3000, 40],
    ['600/50-22.5 159A8', 'farm', 4375, 40],
    ['500/60-22.5 155A8/151B', 'farm', 3875, 40],
    ['800/70R32 CFO 182A8', 'farm', 8500, 40],
  ] as const)('%s: %s, %d kg up to %d km/h', (marking, use, loadKg, kmh) => {
    const tire = read(marking);
    expect(tire.use).toBe(use);
    expect(loadIndexKg(tire.service!.loadIndex)).toBe(loadKg);
    expect(speedSymbolKmh(tire.service!.speedSymbol)).toBe(kmh);
    expect(read(writeMarking(tire))).toEqual(tire);
  });

  it('gives each tire of a pair less than one alone', () => {
    const { service } = read('LT285/70R17 121/118Q E');
    expect(loadIndexKg(service!.dualLoadIndex!)).toBe(1320);
  });

  // Exact from the definition of the marking: rim + 2 × section × aspect.
  it.each([
    ['245/75R16', 773.9],
    ['265/65R17', 776.3],
    ['205/55R16', 631.9],
    ['LT285/70R17', 830.8],
    ['35x12.50R17LT', 889],
    ['31x10.50-15', 787.4],
    ['AT25x8-12', 635],
    ['30x10R15', 762],
    ['90/90-21', 695.4],
    ['480/80R50', 2038],
    ['600/50-22.5', 1171.5],
  ])('%s stands %d mm high', (marking, mm) => expect(outerDiameterMm(read(marking))).toBeCloseTo(mm, 6));
});

/** Bead-seat diameters, mm. Published: ISO 5775 (from memory). */
describe('bicycle sizes against ISO 5775', () => {
  it.each([
    ['29x2.40', 622],
    ['700x42C', 622],
    ['28x1.75', 622],
    ['42-622', 622],
    ['27.5x2.8', 584],
    ['650x47B', 584],
    ['57-584', 584],
    ['26x4.0', 559],
    ['26x2.125', 559],
    ['47-559', 559],
    ['24x1.75', 507],
    ['20x4.0', 406],
    ['650x38A', 590],
    ['650x23C', 571],
  ])('%s sits on %d mm', (marking, mm) => expect(read(marking).rimDiameterMm).toBe(mm));

  it.each([
    ['27.5x2.25', '57-584'],
    ['29x2.40', '61-622'],
    ['700x42C', '42-622'],
    ['650x47B', '47-584'],
    ['26x4.0', '102-559'],
  ])('%s is %s', (a, b) => expect(sameSize(read(a), read(b))).toBe(true));
});

/** 18.4R38 gave way to 460/85R38, and so on. Published: European Tyre and Rim Technical Organisation (from memory). */
describe('the inch sizes of farm tires against those that replace them', () => {
  it.each([
    ['18.4R38', '460/85R38'],
    ['16.9R30', '420/85R30'],
    ['14.9R28', '380/85R28'],
    ['12.4R28', '320/85R28'],
  ])('%s is %s', (a, b) => expect(sameSize(read(a), read(b))).toBe(true));
});

describe('markings with a slip in them', () => {
  it.each([
    ['', 'empty'],
    ['245/75', 'sizeIncomplete'],
    ['245/75R16 111', 'unknownNotation'],
    ['R16', 'unknownNotation'],
    ['18.4R', 'unknownNotation'],
    ['29 x', 'unknownNotation'],
    ['tall ones', 'unknownNotation'],
    ['245/75R16 211T', 'unknownLoadIndex'],
    ['245/75R16 111X', 'unknownSpeedSymbol'],
    ['480/80R50 159A9', 'unknownSpeedSymbol'],
    ['LT285/70R17 118/121Q', 'dualAboveSingle'],
    ['480/80R50 159D/B', 'fasterIsSlower'],
    ['24/75R16', 'sectionWidthOutOfRange'],
    ['2455/75R16', 'sectionWidthOutOfRange'],
    ['245/7R16', 'aspectOutOfRange'],
    ['245/175R16', 'aspectOutOfRange'],
    ['245/75R61', 'rimOutOfRange'],
    ['90/90-12 54S', undefined],
    ['455/120R26', 'outerDiameterOutOfRange'],
    ['700x4C', 'unknownNotation'],
    ['42-662', 'unknownBeadSeat'],
    ['26x1 3/8', 'fractionalWidth'],
    ['650x47', 'rimLetterMissing'],
    ['16.9-30 80PR', 'plyRatingOutOfRange'],
  ])('%p: %s', (marking, code) => {
    const reading = readMarking(marking);
    expect(reading.ok ? undefined : reading.problem.code).toBe(code);
  });
});
