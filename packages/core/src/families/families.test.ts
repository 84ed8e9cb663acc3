import { isTrailer } from '../loads/geometry';
import { LOAD_POSITIONS, loadPositionOf } from './loadPositions';
import { questionOf } from './question';
import { FAMILIES } from './registry';

describe('questionOf', () => {
  const tractorAxle = { low: 400, high: 18_000 };
  it.each([
    ['a likely value', 2600, tractorAxle, undefined],
    ['an 80 kg tractor axle', 80, tractorAxle, { slip: 'decimal', meant: 800 }],
    ['9 t on a bicycle', 9000, { low: 10, high: 180 }, { slip: 'decimal', meant: 90 }],
    ['pounds for kilograms', 380, { low: 10, high: 180 }, { slip: 'unit', meant: 380 * 0.45359237 }],
    ['a wheelbase of nothing', 0, { low: 1800, high: 5000 }, { slip: null, meant: null }],
  ])('%s', (_, value, likely, expected) => {
    const question = questionOf(value, likely, [0.45359237]);
    if (expected === undefined) expect(question).toBeNull();
    else expect(question).toMatchObject({ value, ...likely, ...expected });
  });

  it('thinks of metres where millimetres were asked', () => {
    expect(questionOf(2.85, { low: 1800, high: 5000 }, [25.4, 1000])).toMatchObject({ slip: 'unit', meant: 2850 });
  });
});

describe('every family', () => {
  it.each(FAMILIES.map((family) => [family.code, family] as const))('%s holds together', (_, family) => {
    const { axles, likely, places, asks, loadMethods } = family;
    expect(new Set(axles.map(({ position }) => position)).size).toBe(axles.length);
    const last = axles.at(-1)!;
    expect(last.behindMm).toBeGreaterThanOrEqual(likely.wheelbaseMm.low);
    expect(last.behindMm).toBeLessThanOrEqual(likely.wheelbaseMm.high);
    for (const { trackMm, wheels } of axles) {
      expect(trackMm === null).toBe(wheels === 1);
      if (trackMm !== null) expect(questionOf(trackMm, likely.trackMm!)).toBeNull();
    }
    // A place of things on a trailer makes sense only with one.
    const towed = axles.some(({ position }) => isTrailer(position));
    expect(places.every((place) => (loadPositionOf(place).body === 'trailer') === towed)).toBe(true);
    // Measured comes first.
    expect(['scales', 'fullAndEmpty']).toContain(loadMethods[0]);
    expect(new Set(asks).size).toBe(asks.length);
  });

  it('have no place that nobody uses, but those of a trailer that may be coupled', () => {
    const used = new Set<string>(FAMILIES.flatMap(({ places }) => [...places]));
    expect(Object.keys(LOAD_POSITIONS).filter((place) => !used.has(place))).toEqual([]);
  });
});
