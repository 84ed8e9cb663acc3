import { loadIndexKg, outerDiameterMm, readMarking, speedSymbolKmh, type Tire } from '../src/index';

const read = (marking: string): Tire => {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(`${marking}: ${reading.problem.code}`);
  return reading.value;
};

/** Sizes as they stand on sidewalls of cars and light trucks (common practice, no source). */
describe('markings as sidewalls carry them', () => {
  it.each([
    ['245/75R16 111T', 1090, 190],
    ['LT285/70R17 121/118Q', 1450, 160],
    ['265/65R17 112H', 1120, 210],
    ['LT245/75R16 120/116S', 1400, 180],
    ['205/55R16 91V', 615, 240],
    ['235/85R16C 120/116R', 1400, 170],
    ['7.50R16 112N', 1120, 140],
    ['31x10.50R15LT 109Q', 1030, 160],
  ])('%s carries %d kg up to %d km/h', (marking, loadKg, kmh) => {
    const { service } = read(marking);
    expect(loadIndexKg(service!.loadIndex)).toBe(loadKg);
    expect(speedSymbolKmh(service!.speedSymbol)).toBe(kmh);
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
  ])('%s stands %d mm high', (marking, mm) => expect(outerDiameterMm(read(marking))).toBeCloseTo(mm, 6));
});
