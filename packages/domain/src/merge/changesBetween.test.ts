import fc from 'fast-check';

import { changesBetween } from './changesBetween';

describe('changesBetween', () => {
  it.each([
    ['a field', { a: 1, b: 2 }, { b: 3, a: 1 }, ['/b']],
    ['a field that came', {}, { note: null }, ['/note']],
    ['a field that went', { note: 'x' }, {}, ['/note']],
    [
      'an item by its key',
      { axles: [{ position: 'rear', kpa: 1 }] },
      { axles: [{ position: 'rear', kpa: 2 }] },
      ['/axles/rear/kpa'],
    ],
    ['an item that came', { items: [] }, { items: [{ id: 'a' }] }, ['/items/a']],
    ['an item that went', { items: [{ id: 'a' }, { id: 'b' }] }, { items: [{ id: 'b' }] }, ['/items/a']],
    ['the order of items', { items: [{ id: 'a' }, { id: 'b' }] }, { items: [{ id: 'b' }, { id: 'a' }] }, ['/items']],
    ['a list without keys', { rows: [1, 2] }, { rows: [1, 3] }, ['/rows']],
  ])('tells of %s', (_, before, after, paths) => {
    expect(changesBetween(before, after).map(({ path }) => path)).toEqual(paths);
  });

  it('tells something exactly where two differ as JSON', () => {
    const json = fc.jsonValue({ maxDepth: 3 });
    fc.assert(
      fc.property(json, json, (before, after) => {
        const sorted = (value: unknown): string =>
          JSON.stringify(value, (_, each: unknown) =>
            typeof each === 'object' && each !== null && !Array.isArray(each)
              ? Object.fromEntries(Object.entries(each).sort(([a], [b]) => (a < b ? -1 : 1)))
              : each,
          );
        expect(changesBetween(before, after).length > 0).toBe(sorted(before) !== sorted(after));
      }),
      { seed: 20261128 },
    );
  });
});
