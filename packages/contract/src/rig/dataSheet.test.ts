import { psi } from '@dunlinmoss/core';
import fc from 'fast-check';

import { parseDataSheet, type SheetUnits } from './dataSheet';

const metric: SheetUnits = { pressure: 'bar', mass: 'kg', speed: 'kmh' };
const rows = (text: string, units = metric) => {
  const sheet = parseDataSheet(text, units);
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.problem));
  return sheet.value.map(({ pressureKpa, speedKmh, loadKg }) =>
    [pressureKpa, speedKmh, loadKg].map((n) => Number(n.toFixed(3))),
  );
};

describe('parseDataSheet', () => {
  it.each([
    ['rows, a line each', '1.0 10 3000\n1.6 10 3900'],
    ['rows with tabs, as they come from a sheet', 'Pressure\tSpeed\tLoad\n1.0\t10\t3000\n1.6\t10\t3900'.slice(20)],
    ['rows with decimal commas and semicolons', '1,0; 10; 3000\n1,6; 10; 3900'],
    ['rows with their units beside the numbers', '1.0 bar 10 km/h 3000 kg\n1.6bar 10km/h 3900kg'],
    ['a table headed by its pressures', 'bar 1.0 1.6\n10 3000 3900'],
    ['a table with bars and thousands', '| km/h | 1.0 | 1.6 |\n\n| 10 | 3,000 | 3,900 |'],
  ])('reads %s', (_, text) => {
    expect(rows(text)).toEqual([
      [100, 10, 3000],
      [160, 10, 3900],
    ]);
  });

  it('goes by the units that the text names, else by the person’s own', () => {
    expect(rows('psi 12 20\n10 mph 3000 4000 lb')[1]).toEqual([
      Number(psi(20).toFixed(3)),
      16.093,
      Number((4000 * 0.45359237).toFixed(3)),
    ]);
    expect(rows('12 10 3000', { pressure: 'psi', mass: 'lb', speed: 'mph' })[0]![0]).toBeCloseTo(psi(12), 3);
  });

  it.each([
    ['', { code: 'empty' }],
    ['load and pressure', { code: 'empty' }],
    ['1.0 10 3000\n1.6 10', { code: 'unreadable', line: 2, text: '1.6 10' }],
    ['1.0 10 3000\n'.repeat(81), { code: 'tooMany', rows: 81, most: 80 }],
    // The head of a table with a column lost is no row.
    ['bar 1.6 2.4 3.2\n10 4800 6100', { code: 'unreadable', line: 1, text: 'bar 1.6 2.4 3.2' }],
    ['1.0 4800 10', { code: 'unreadable', line: 1, text: '1.0 4800 10' }],
    ['1.0 1.6\n10 3000', { code: 'unreadable', line: 1, text: '1.0 1.6' }],
  ])('says of %p what can’t be read', (text, problem) => {
    expect(parseDataSheet(text, metric)).toEqual({ ok: false, problem });
  });

  it('reads any table that it was written from', () => {
    const positive = fc.integer({ min: 20, max: 9000 });
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 4, max: 60 }), { minLength: 1, maxLength: 6 }),
        fc.uniqueArray(fc.integer({ min: 5, max: 65 }), { minLength: 1, maxLength: 6 }),
        fc.array(positive, { minLength: 36, maxLength: 36 }),
        fc.constantFrom('\t', ' ; ', ' | ', '   '),
        (pressures, speeds, loads, between) => {
          const text = [
            pressures.map((each) => (each / 10).toFixed(1)).join(between),
            ...speeds.map((speed, line) => [speed, ...pressures.map((_, at) => loads[line * 6 + at])].join(between)),
          ].join('\n');
          expect(rows(text)).toEqual(
            speeds.flatMap((speed, line) => pressures.map((each, at) => [each * 10, speed, loads[line * 6 + at]])),
          );
        },
      ),
      { seed: 14, numRuns: 200 },
    );
  });
});
