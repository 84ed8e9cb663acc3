import fc from 'fast-check';

import { compareNames, compareTexts, sortedByName } from './order';

/** What a browser's own tables say. */
const tables = new Intl.Collator('en');
const said = (a: string, b: string): number => Math.sign(tables.compare(a.toLowerCase(), b.toLowerCase()));

const plain = fc.string({ unit: fc.integer({ min: 0x20, max: 0x7e }).map((code) => String.fromCharCode(code)) });
const any = fc.string({ unit: fc.constantFrom(...'abzAZ019 ,-–./()№éÉüŻżß') });

describe('order', () => {
  it('of names is what the tables of English say, plain names and others', () => {
    fc.assert(fc.property(plain, plain, (a, b) => Math.sign(compareNames(a, b)) === said(a, b)));
    fc.assert(fc.property(any, plain, (a, b) => Math.sign(compareNames(a, b)) === said(a, b)));
    fc.assert(fc.property(any, any, (a, b) => Math.sign(compareNames(a, b)) === said(a, b)));
  });

  it('of many names is that of each two, whatever signs are among them', () => {
    for (const names of [plain, any]) {
      fc.assert(
        fc.property(fc.array(names), (all) => {
          const sorted = sortedByName(all, (name) => name);
          expect(sorted.map((name) => name.toLowerCase())).toEqual(
            [...all].sort(compareNames).map((name) => name.toLowerCase()),
          );
        }),
      );
    }
  });

  it('asks for no tables where names are plain', () => {
    const asked = jest.spyOn(Intl, 'Collator');
    expect(sortedByName(['Turnstone, strand line', 'curlew 2', 'Curlew 10'], (name) => name)).toEqual([
      'Curlew 10',
      'curlew 2',
      'Turnstone, strand line',
    ]);
    expect(compareNames('Snipe', 'ruff')).toBe(1);
    expect(asked).not.toHaveBeenCalled();
    asked.mockRestore();
  });

  it('of times is that of time, the same first and last', () => {
    const times = [
      '1999-12-31T23:59:59.999Z',
      '2026-05-02T08:00:00.000Z',
      '2026-05-02T08:00:00.001Z',
      '2026-11-01T00:00:00.000Z',
    ];
    expect([...times].reverse().sort(compareTexts)).toEqual(times);
    expect(compareTexts(times[1]!, times[1]!)).toBe(0);
  });
});
