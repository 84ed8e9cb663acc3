import { decimalSignOf, loadsColumns, readLoadNumber, readLoadsLine } from './loadsCsv';

describe('readLoadNumber', () => {
  it.each([
    ['612', undefined, 612],
    ['612.5', undefined, 612.5],
    ['612,5', undefined, 612.5],
    [' 1 050,5 ', undefined, 1050.5],
    ['1.050,5', undefined, 1050.5],
    ['1,050.5', undefined, 1050.5],
    ['0.612', undefined, 0.612],
    ['12.345', '.', 12.345],
    ['1.200', ',', 1200],
    ['1,200', '.', 1200],
    ['1,200', undefined, 'ambiguousNumber'],
    ['1.200', undefined, 'ambiguousNumber'],
    ['-5', undefined, -5],
    ['6e2', undefined, 'noNumber'],
    ['heavy', undefined, 'noNumber'],
    ['1.2.3', undefined, 'noNumber'],
    ['', undefined, 'noNumber'],
  ] as const)('%p with %p before the decimals: %p', (text, decimal, expected) => {
    expect(readLoadNumber(text, decimal)).toBe(expected);
  });
});

describe('decimalSignOf', () => {
  it.each([
    [['612', '1,200', '612,5'], ','],
    [['1.200', '612.25'], '.'],
    [['1.050,5'], ','],
    [['1,200', '1.300'], undefined],
    [[], undefined],
  ] as const)('%p: %p', (texts, sign) => expect(decimalSignOf(texts)).toBe(sign));
});

describe('loadsColumns', () => {
  it('knows columns by many names, in any order', () => {
    expect(loadsColumns(['Weight_lb', 'SIDE', 'axle', 'Case', 'Rig name'])).toEqual({
      rig: 4,
      loadCase: 3,
      axle: 2,
      wheel: 1,
      lb: 0,
    });
  });

  it('says which is missing', () => {
    expect(loadsColumns(['rig', 'colour'])).toEqual({
      code: 'columnMissing',
      columns: ['load case', 'axle', 'load kg'],
      found: ['rig', 'colour'],
    });
  });
});

describe('readLoadsLine', () => {
  const columns = { rig: 0, loadCase: 1, axle: 2, wheel: 3, load: 4, unit: 5, how: 6 };
  const line = (...cells: string[]) => readLoadsLine(cells, columns, undefined);

  it('reads a line in pounds, and one that says it is an estimate', () => {
    expect(line('Knot', 'Tank  full', 'Second rear', 'left outer', '1000', 'lbs')).toEqual({
      rig: 'Knot',
      loadCase: 'Tank full',
      position: 'rear2',
      part: 'leftOuter',
      loadKg: 453.59237,
      estimated: false,
    });
    expect(line('Knot', 'Full', 'front', '', '1000', 'kg', 'Estimated')).toMatchObject({
      part: 'axle',
      estimated: true,
    });
  });

  it.each([
    [['Knot', '', 'front', '', '600', 'kg'], 'noLoadCase'],
    [['Knot', 'Full', 'fourth', '', '600', 'kg'], 'unknownAxle'],
    [['Knot', 'Full', 'front', 'spare', '600', 'kg'], 'unknownWheel'],
    [['Knot', 'Full', 'front', '', '600', ''], 'unitMissing'],
    [['Knot', 'Full', 'front', '', '600', 'stone'], 'unitMissing'],
    [['Knot', 'Full', 'front', '', '-600', 'kg'], 'notPositive'],
    [['Knot', 'Full', 'front', '', '200000', 'kg'], 'tooLarge'],
    [['Knot', 'Full', 'front'], 'noNumber'],
  ])('%p: %s', (cells, problem) => expect(line(...cells)).toBe(problem));
});
