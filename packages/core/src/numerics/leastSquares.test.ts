import fc from 'fast-check';

import { leastSquares } from './leastSquares';

const number = fc.double({ min: -5, max: 5, noNaN: true });
const rows = fc.array(fc.tuple(number, number, number), { minLength: 6, maxLength: 12 });

describe('leastSquares', () => {
  it('finds what the values were made of, whatever the columns', () => {
    fc.assert(
      fc.property(rows, fc.tuple(number, number, number), (table, made) => {
        const columns = [table.map(() => 1), table.map(([a]) => a), table.map(([a, b]) => a * a + b)];
        const fit = leastSquares(
          columns,
          table.map((_, row) => columns.reduce((sum, column, index) => sum + made[index]! * column[row]!, 0)),
        );
        fc.pre(fit !== null && Math.max(...fit.inverse.flat().map(Math.abs)) < 1e4);
        fit!.coefficients.forEach((each, index) => expect(each).toBeCloseTo(made[index]!, 6));
        expect(fit!.leftOver).toBeLessThan(1e-12);
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  it('leaves over what no column explains, and inverts the products of the columns', () => {
    fc.assert(
      fc.property(rows, (table) => {
        const columns = [table.map(() => 1), table.map(([a]) => a)];
        const values = table.map(([, , y]) => y);
        const fit = leastSquares(columns, values);
        fc.pre(fit !== null && Math.max(...fit.inverse.flat().map(Math.abs)) < 1e4);
        const left = values.map((y, row) => y - fit!.coefficients[0]! - fit!.coefficients[1]! * columns[1]![row]!);
        expect(left.reduce((sum, each) => sum + each ** 2, 0)).toBeCloseTo(fit!.leftOver, 6);
        for (const column of columns)
          expect(left.reduce((sum, each, row) => sum + each * column[row]!, 0)).toBeCloseTo(0, 6);
        const products = columns.map((a) => columns.map((b) => a.reduce((sum, each, row) => sum + each * b[row]!, 0)));
        products.forEach((row, i) =>
          row.forEach((_, j) =>
            expect(row.reduce((sum, each, k) => sum + each * fit!.inverse[k]![j]!, 0)).toBeCloseTo(i === j ? 1 : 0, 6),
          ),
        );
      }),
      { seed: 12, numRuns: 200 },
    );
  });

  it.each([
    [
      'two columns alike',
      [
        [1, 2, 3],
        [2, 4, 6],
      ],
      [1, 2, 3],
    ],
    ['a column of nothing', [[0, 0, 0]], [1, 2, 3]],
    ['more columns than values', [[1], [2]], [1]],
    ['no values', [[]], []],
  ])('gives nothing for %s', (_, columns, values) => expect(leastSquares(columns, values)).toBeNull());
});
