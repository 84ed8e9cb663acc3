import fc from 'fast-check';

import { mixesAlphabets, nameKey, tidyName } from './names';

describe('nameKey', () => {
  it.each([
    ['capitals', 'Rushy', 'RUSHY'],
    ['accents', 'Zoë', 'zoe'],
    ['figures for letters', 'Sol', 'S01'],
    ['an i for an l', 'Alder', 'Aider'],
    ['Cyrillic letters', 'Rose', 'Rоsе'],
    ['Greek letters', 'Otto', 'Οττο'],
    ['marks that cannot be seen', 'Ru\u200bshy', 'Rushy'],
    ['spaces and hyphens', 'Ann-Lee', 'ann  lee'],
    ['two letters that look like one', 'Corner', 'Comer'],
    ['letters of full width', 'Rushy', 'Ｒｕｓｈｙ'],
  ])('is the same for names that differ in %s', (_, one, other) => {
    expect(nameKey(one)).toBe(nameKey(other));
    expect(nameKey(one).length).toBeGreaterThan(1);
  });

  it.each([
    ['Rushy', 'Sedge'],
    ['Ann', 'Anna'],
    ['Teasel 1', 'Teasel 2'],
    ['Мария', 'Ирина'],
  ])('tells %s from %s', (one, other) => expect(nameKey(one)).not.toBe(nameKey(other)));

  it('is the same for a name and for its tidied form, whatever was typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 40 }), (name) => {
        expect(nameKey(tidyName(name))).toBe(nameKey(name));
      }),
      { seed: 20261128 },
    );
  });
});

describe('tidyName', () => {
  it('leaves nothing that cannot be seen, and one space between', () => {
    expect(tidyName(' Ru\u200b\u202eshy \t\n Wold ')).toBe('Rushy Wold');
  });
});

describe('mixesAlphabets', () => {
  it.each([
    ['Rushy 7', false],
    ['Мария', false],
    ['Rushу', true],
    ['Οtto', true],
  ])('of %s is %s', (name, mixed) => expect(mixesAlphabets(name)).toBe(mixed));
});
