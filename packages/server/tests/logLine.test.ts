import { psi } from '@dunlinmoss/core';

import { logColumns, readLogLine } from '../src/imports/logLine';

const columns = logColumns(['time', 'axle', 'wheel', 'pressure_kpa', 'temp_c', 'from'])!;
const WHEELS: ReadonlySet<string> = new Set(['front left', 'rear single', 'rear right', 'trailer left']);
const AT = '2026-11-20T06:00:00Z';

describe('logColumns', () => {
  it.each([
    ['in any order and case', ['Wheel', ' axle', 'PRESSURE_PSI', 'time'], psi(1)],
    ['in bar', ['time', 'axle', 'wheel', 'pressure_bar'], 100],
  ])('are found %s', (_, header, kpaPerUnit) => expect(logColumns(header)!.kpaPerUnit).toBeCloseTo(kpaPerUnit, 9));

  it.each([
    ['no time', ['axle', 'wheel', 'pressure_kpa']],
    ['no unit of the pressure', ['time', 'axle', 'wheel', 'pressure']],
    ['nothing', ['']],
  ])('are not found with %s', (_, header) => expect(logColumns(header)).toBeNull());
});

describe('readLogLine', () => {
  it.each([
    ['whole', [AT, 'front', 'left', '110.3', '12', 'monitor'], ['front', 'left', new Date(AT), 110.3, 12]],
    ['without a temperature', [AT, 'rear', 'single', '0', '', ''], ['rear', 'single', new Date(AT), 0, null]],
    ['shorter than its header', [AT, 'rear', 'right', '99'], ['rear', 'right', new Date(AT), 99, null]],
    [
      'in another zone',
      ['2026-11-20 08:00:00.5+02:00', 'trailer', 'left', '250', '-4'],
      ['trailer', 'left', new Date('2026-11-20T06:00:00.500Z'), 250, -4],
    ],
  ])('reads a line %s', (_, cells, tuple) => expect(readLogLine(cells, columns, WHEELS)).toEqual(tuple));

  it.each([
    ['a time without its zone', ['2026-11-20T06:00:00', 'front', 'left', '110'], 'time'],
    ['a day that is none', ['2026-13-45T06:00:00Z', 'front', 'left', '110'], 'time'],
    ['an axle of another name', [AT, 'Front', 'left', '110'], 'axle'],
    ['a wheel of another name', [AT, 'front', 'near', '110'], 'wheel'],
    ['no pressure', [AT, 'front', 'left', ''], 'pressure'],
    ['a blank for a pressure, which is not 0', [AT, 'front', 'left', '  '], 'pressure'],
    ['a pressure in sixteens', [AT, 'front', 'left', '0x10'], 'pressure'],
    ['a temperature in sixteens', [AT, 'front', 'left', '110', '0x10'], 'temp'],
    ['a wheel that this rig lacks', [AT, 'trailer2', 'left', '110'], 'noSuchWheel'],
    ['a time before there were monitors', ['0001-01-01T00:00:00Z', 'front', 'left', '110'], 'time'],
    ['a time at the end of all', ['9999-12-31T23:59:59Z', 'front', 'left', '110'], 'time'],
    ['less than nothing', [AT, 'front', 'left', '-1'], 'pressure'],
    ['a pressure no tire has', [AT, 'front', 'left', '2001'], 'pressure'],
    ['a temperature no tire has', [AT, 'front', 'left', '110', '151'], 'temp'],
    ['a temperature that is none', [AT, 'front', 'left', '110', 'warm'], 'temp'],
    ['half a line', [AT, 'front'], 'columns'],
  ])('says what is wrong with %s', (_, cells, problem) => expect(readLogLine(cells, columns, WHEELS)).toBe(problem));

  it('leaves alone what was read with a gauge', () =>
    expect(readLogLine([AT, 'front', 'left', '110', '', 'gauge'], columns, WHEELS)).toBeNull());
});
