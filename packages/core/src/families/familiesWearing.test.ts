import { readMarking } from '../markings/readMarking';
import { familiesWearing } from './familiesWearing';
import { FAMILIES } from './registry';

const wearing = (marking: string) => {
  const tire = readMarking(marking);
  if (!tire.ok) throw new Error(marking);
  return familiesWearing(tire.value);
};

describe('the families that wear a tire', () => {
  it.each([
    ['265/60R18', 'fourWheel'],
    ['37x12.5R17', 'fourWheel'],
    ['225/75R16C', 'vanTruck'],
    ['11.00R20', 'vanTruck'],
    ['AT25x8-12', 'quad'],
    ['30x10R14', 'sideBySide'],
    ['150/70R18', 'adventureTwin'],
    ['4.60-18', 'trailSingle'],
    ['700x28C', 'roadBike'],
    ['700x42', 'gravelBike'],
    ['29x2.4', 'mountainBike'],
    ['26x4.8', 'fatBike'],
    ['480/80R50', 'tractor'],
  ] as const)('%s is first of all on a %s', (marking, family) => {
    expect(wearing(marking)[0]).toBe(family);
  });

  it('are all of those that may have it, each once', () => {
    for (const marking of ['265/60R18', 'LT265/70R17', '150/70R18', '29x2.4', '480/80R50', 'AT25x8-12', '11.00R20']) {
      const tire = readMarking(marking);
      if (!tire.ok) throw new Error(marking);
      const may = FAMILIES.filter(({ tireUses }) => (tireUses as readonly string[]).includes(tire.value.use));
      expect([...wearing(marking)].sort()).toEqual(may.map(({ code }) => code).sort());
    }
  });
});
