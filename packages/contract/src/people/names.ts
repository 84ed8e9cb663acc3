/*
 * A person is known by name, so that no two names may look alike: not by capitals, not by accents of another alphabet, not
 * by figures that stand for letters.
 */

/** Letters that look like Latin ones, after small letters: Cyrillic and Greek. Assumption: those that a person would fall for. */
const LOOKS_LIKE: Readonly<Record<string, string>> = {
  а: 'a',
  в: 'b',
  с: 'c',
  ԁ: 'd',
  е: 'e',
  ё: 'e',
  ғ: 'f',
  һ: 'h',
  і: 'i',
  ї: 'i',
  ј: 'j',
  к: 'k',
  ӏ: 'l',
  м: 'm',
  н: 'h',
  о: 'o',
  р: 'p',
  ԛ: 'q',
  ѕ: 's',
  т: 't',
  у: 'y',
  ѵ: 'v',
  ԝ: 'w',
  х: 'x',
  α: 'a',
  β: 'b',
  ε: 'e',
  η: 'n',
  ι: 'i',
  κ: 'k',
  μ: 'u',
  ν: 'v',
  ο: 'o',
  ρ: 'p',
  τ: 't',
  υ: 'u',
  χ: 'x',
  '0': 'o',
  '1': 'l',
  i: 'l',
  '5': 's',
};

/** A name as it is kept: without marks that cannot be seen, one space between its parts. */
export const tidyName = (text: string): string =>
  text
    .normalize('NFC')
    .replace(/[\p{Cf}\p{Cc}]/gu, '')
    .replace(/\s+/gu, ' ')
    .trim();

/**
 * What is the same of two names that look alike: “Rushy”, “rushy”, “Ru5hy” and one with Cyrillic letters have one key.
 *
 * @param name at most 60 characters
 * @returns small letters without accents or spaces; empty where nothing of it can be seen
 */
export function nameKey(name: string): string {
  const plain = tidyName(name).normalize('NFKD').toLowerCase().replace(/\p{M}/gu, '');
  const key = [...plain].map((letter) => LOOKS_LIKE[letter] ?? letter).join('');
  // Two v are taken for a w, r and n for an m.
  return key
    .replace(/[^\p{L}\p{N}]/gu, '')
    .replaceAll('vv', 'w')
    .replaceAll('rn', 'm');
}

const SCRIPTS = ['Latin', 'Cyrillic', 'Greek'].map((script) => new RegExp(`\\p{Script=${script}}`, 'u'));

/** Whether letters of several alphabets stand in one name. */
export const mixesAlphabets = (name: string): boolean => SCRIPTS.filter((script) => script.test(name)).length > 1;
