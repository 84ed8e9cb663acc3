import fc from 'fast-check';

import { thin } from './thin';

describe('thin', () => {
  it('keeps the least and the most of every stretch, and so of the whole', () => {
    const values = fc.array(fc.double({ min: 0, max: 500, noNaN: true }), { minLength: 1, maxLength: 400 });
    fc.assert(
      fc.property(values, fc.integer({ min: 1, max: 50 }), (all, stretches) => {
        const readings = all.map((value, at) => ({ at, value }));
        const thinned = thin(readings, 0, all.length, stretches);
        expect(thinned.length).toBeLessThanOrEqual(stretches);
        expect(Math.max(...thinned.map(({ most }) => most))).toBe(Math.max(...all));
        expect(Math.min(...thinned.map(({ least }) => least))).toBe(Math.min(...all));
        expect(thinned.reduce((sum, { count }) => sum + count, 0)).toBe(all.length);
      }),
      { seed: 507 },
    );
  });

  it('leaves gaps as gaps, and out what lies outside', () => {
    const readings = [
      { at: -1, value: 9 },
      { at: 0, value: 1 },
      { at: 9.5, value: 2 },
      { at: 11, value: 9 },
    ];
    expect(thin(readings, 0, 10, 10).map(({ at }) => at)).toEqual([0.5, 9.5]);
  });
});
