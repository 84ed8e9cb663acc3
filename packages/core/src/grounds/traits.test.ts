import { isLike, type Ground, type Trait } from './ground';
import { GROUNDS, groundOf } from './registry';

const grounds: readonly Ground[] = GROUNDS;
const like = (...traits: readonly Trait[]): string[] =>
  grounds.filter((ground) => isLike(ground, ...traits)).map(({ code }) => code);

describe('isLike', () => {
  it('asks for all of what it names', () => {
    expect(isLike(groundOf('dampSand'), 'sand')).toBe(true);
    expect(isLike(groundOf('dampSand'), 'sand', 'loose')).toBe(false);
    expect(isLike(groundOf('pavement'))).toBe(true);
  });
});

// Facts of the trade, common practice with no source: which grounds are like that.
describe('traits of the grounds', () => {
  it.each<[readonly Trait[], readonly string[]]>([
    [['sand'], ['dampSand', 'softSand', 'verySoftSand']],
    [
      ['sand', 'loose'],
      ['softSand', 'verySoftSand'],
    ],
    [['mud'], ['forestMud', 'mud']],
    [['corrugated'], ['gravel']],
    [['field'], ['fieldDry', 'fieldMoist', 'fieldWet']],
    [
      ['field', 'moist'],
      ['fieldMoist', 'fieldWet'],
    ],
  ])('%j: %j', (traits, codes) => expect(like(...traits).sort()).toEqual([...codes].sort()));

  it('names each trait once a ground, and nothing that is hard and gives way at once', () => {
    for (const { code, traits, paved } of grounds) {
      expect([code, new Set(traits).size]).toEqual([code, traits.length]);
      if (paved)
        expect([code, traits.filter((trait) => ['sand', 'mud', 'field', 'snow'].includes(trait))]).toEqual([code, []]);
    }
  });
});
