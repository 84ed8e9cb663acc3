import { readMarking } from '../markings/readMarking';
import { psi } from '../units/units';
import { familyExponent } from './familyExponent';
import { referencePressureKpa } from './referencePressure';
import { speedFactor, topSpeedKmh } from './speedFactor';

const tire = (marking: string) => {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(marking);
  return reading.value;
};

describe('speedFactor', () => {
  it.each([
    ['a car at its own speed', '265/65R17 112T', 190, 1],
    ['a car that is slow', '265/65R17 112T', 60, 1.15],
    ['a heavy truck tire that is slow', 'LT275/70R18 125/122R', 60, 1.1],
    ['a car whose own speed is low has less of it', '265/65R17 112J', 80, 1.05],
    ['a car beyond it', '265/65R17 112T', 200, null],
    ['a car whose marking names no speed', '265/65R17', 250, 1],
    ['a farm tire at its rating', '480/80R50 159A8', 40, 1],
    ['a farm tire crawling', '480/80R50 159A8', 8, 1.5],
    ['a farm tire between two rows', '480/80R50 159A8', 35, 1.035],
    ['a farm tire at 50 by the table', '480/80R50 159A8', 50, 0.91],
    ['a farm tire at 50 by its own second rating', '480/80R50 159A8/B', 50, 1],
    ['a farm tire with less at its second rating', '500/60-22.5 155A8/151B', 50, 3450 / 3875],
    ['a farm tire half way to it', '500/60-22.5 155A8/151B', 45, (1 + 3450 / 3875) / 2],
    ['a farm tire beyond all its ratings', '480/80R50 159A8/B', 60, null],
    ['a farm tire that names no speed', '18.4R38', 20, 1.23],
    ['a fast farm tire, slower than it might', 'VF380/90R46 173D', 40, 1.09],
  ] as const)('%s', (_, marking, kmh, factor) => {
    const found = speedFactor(tire(marking), kmh)?.factor ?? null;
    if (factor === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(factor, 9);
  });

  it('says where each comes from', () => {
    expect(speedFactor(tire('480/80R50 159A8'), 20)!.source.mark).toBe('published');
    expect(speedFactor(tire('480/80R50 159A8/B'), 50)!.source.mark).toBe('marked');
    expect(speedFactor(tire('18.4R38'), 20)!.source.mark).toBe('assumption');
    expect(speedFactor(tire('18.4R38'), null)!.source.mark).toBe('exact');
  });
});

describe('topSpeedKmh', () => {
  it.each([
    ['265/65R17 112T', 190],
    ['480/80R50 159A8', 50],
    ['500/60-22.5 155A8/151B', 50],
    ['VF380/90R46 173D', 65],
    ['18.4R38', 50],
    ['7.50R16', null],
  ])('%s: %p km/h', (marking, kmh) => expect(topSpeedKmh(tire(marking))).toBe(kmh));
});

describe('referencePressureKpa', () => {
  it.each([
    ['245/75R16 111T', 'published', 250],
    ['205/55R16 94V XL', 'published', 290],
    ['LT285/70R17 121/118Q C', 'published', psi(50)],
    ['LT285/70R17 121/118Q D', 'published', psi(65)],
    ['18.4R38 146A8 *', 'published', psi(18)],
    ['480/80R50 159A8 *', 'published', 160],
    ['480/80R50 159A8 ***', 'published', 320],
    ['18.4R38 146A8 ***', 'published', psi(30)],
    ['AT25x8-12', 'assumption', psi(44)],
    ['90/90-21 54S', 'assumption', 290],
  ] as const)('%s: %s', (marking, mark, kpa) => {
    const found = referencePressureKpa(tire(marking), null)!;
    expect(found.source.mark).toBe(mark);
    expect(found.pressureKpa).toBeCloseTo(kpa, 9);
    // Never above what the sidewall allows.
    expect(referencePressureKpa(tire(marking), 111)!.pressureKpa).toBe(111);
  });

  it.each(['VF380/90R46 173D', '480/80R50 159A8/B', 'VF380/90R46 173D **', '650/55R26.5 165D'])(
    'is not guessed on %s',
    (marking) => {
      for (const maxKpa of [null, 300]) expect(referencePressureKpa(tire(marking), maxKpa)).toBeNull();
    },
  );
});

describe('familyExponent', () => {
  it.each([
    ['245/75R16', 0.8],
    ['LT245/75R16', 0.7],
    ['35x12.50R17LT', 0.585],
    ['AT25x8-12', 0.585],
    ['480/80R50', 0.7],
  ])('%s: %d', (marking, exponent) => expect(familyExponent(tire(marking))).toBe(exponent));
});
