import fc from 'fast-check';

import { squaredDistance } from './distance';
import { withoutHoles, withoutSpecks } from './regions';

const MASK = fc.array(fc.constantFrom(0, 1), { minLength: 63, maxLength: 63 }).filter((values) => values.includes(1));

describe('squaredDistance', () => {
  it('is what looking at every pixel gives', () => {
    fc.assert(
      fc.property(MASK, (values) => {
        const set = Uint8Array.from(values);
        const found = squaredDistance(set, 9, 7, 1);
        for (let at = 0; at < set.length; at += 1) {
          const best = Math.min(
            ...values.flatMap((value, other) =>
              value === 1 ? [((at % 9) - (other % 9)) ** 2 + (Math.floor(at / 9) - Math.floor(other / 9)) ** 2] : [],
            ),
          );
          expect(found[at]).toBe(best);
        }
      }),
      { seed: 12, numRuns: 80 },
    );
  });
});

describe('withoutHoles and withoutSpecks', () => {
  const mask = (...rows: string[]) => ({
    width: rows[0]!.length,
    height: rows.length,
    mmPerPx: 1,
    data: Uint8Array.from(
      rows
        .join('')
        .split('')
        .map((sign) => (sign === '#' ? 1 : 0)),
    ),
  });

  it('fills what can’t be reached from the edge', () => {
    expect(withoutHoles(mask('.....', '.###.', '.#.#.', '.###.', '.....'))).toEqual(
      mask('.....', '.###.', '.###.', '.###.', '.....'),
    );
    expect(withoutHoles(mask('#.#', '#.#', '###'))).toEqual(mask('#.#', '#.#', '###'));
  });

  it('drops what is smaller than so many pixels, corners not counting as touching', () => {
    expect(withoutSpecks(mask('##..', '##..', '..#.', '....'), 2)).toEqual(mask('##..', '##..', '....', '....'));
  });
});
