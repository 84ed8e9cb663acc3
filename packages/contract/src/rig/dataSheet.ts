import {
  failure,
  success,
  toCanonical,
  type MassUnit,
  type PressureUnit,
  type Result,
  type UnitOf,
} from '@dunlinmoss/core';

import { loadRow, MOST_ROWS, type RigAxle } from '../resources/rig';

type Row = RigAxle['rows'][number];

/** The units of a pasted sheet that names none. */
export interface SheetUnits {
  readonly pressure: PressureUnit;
  readonly mass: MassUnit;
  readonly speed: UnitOf<'speed'>;
}

export type SheetProblem =
  | { readonly code: 'empty' }
  /** Neither three numbers, pressure, speed and load, nor a line of a table headed by pressures. */
  | { readonly code: 'unreadable'; readonly line: number; readonly text: string }
  | { readonly code: 'tooMany'; readonly rows: number; readonly most: number };

/** What units are called on a data sheet. */
const NAMED: { readonly [Q in keyof SheetUnits]: readonly (readonly [RegExp, SheetUnits[Q]])[] } = {
  pressure: [
    [/\bpsi\b/i, 'psi'],
    [/\bbars?\b/i, 'bar'],
    [/\bkpa\b/i, 'kPa'],
  ],
  mass: [
    [/\b(kg|kilos?)\b/i, 'kg'],
    [/\b(lbs?|pounds?)\b/i, 'lb'],
  ],
  speed: [
    [/\b(km\/?h|kmh|kph)\b/i, 'kmh'],
    [/\bmph\b/i, 'mph'],
  ],
};

/**
 * Rows of a tire's data sheet from a pasted text, in canonical units. Two forms are read: a row a line with pressure,
 * speed and load; and a table whose first line has the pressures and whose other lines begin with a speed, as most sheets
 * print it. Units named anywhere in the text count, else the person's own. Columns are parted by tabs, semicolons, bars
 * or blanks; a comma between digits is a decimal sign, but for one before exactly three digits of a load.
 *
 * @example parseDataSheet('bar 1.0 1.6\n10 km/h 3000 3900\n40 2300 3100', units) // four rows
 */
export function parseDataSheet(text: string, own: SheetUnits): Result<readonly Row[], SheetProblem> {
  const units = {
    pressure: namedIn(text, NAMED.pressure) ?? own.pressure,
    mass: namedIn(text, NAMED.mass) ?? own.mass,
    speed: namedIn(text, NAMED.speed) ?? own.speed,
  };
  const lines = text
    .split(/\r?\n/)
    .map((line, index) => ({ line: index + 1, text: line.trim(), cells: cellsOf(line) }))
    .filter(({ cells }) => cells.length > 0);
  const [head, ...body] = lines;
  if (!head) return failure({ code: 'empty' });
  const isTable = body.length > 0 && body.every(({ cells }) => cells.length === head.cells.length + 1);
  const wrong = isTable ? undefined : lines.find(({ cells }) => cells.length !== 3);
  if (wrong) return failure({ code: 'unreadable', line: wrong.line, text: wrong.text });
  const row = (pressure: number, speed: number, load: number): Row => ({
    pressureKpa: toCanonical('pressure', units.pressure, pressure),
    speedKmh: toCanonical('speed', units.speed, speed),
    loadKg: toCanonical('mass', units.mass, load),
  });
  const read = isTable
    ? body.flatMap(({ cells: [speed, ...loads], ...at }) =>
        loads.map((load, column) => ({ ...at, row: row(head.cells[column]!, speed!, load) })),
      )
    : lines.map(({ cells: [pressure, speed, load], ...at }) => ({ ...at, row: row(pressure!, speed!, load!) }));
  // Numbers that no sheet has: columns in another order, or the head of a table taken for a row.
  const unlikely = read.find((each) => !loadRow.safeParse(each.row).success || each.row.loadKg < LEAST_LOAD_KG);
  if (unlikely) return failure({ code: 'unreadable', line: unlikely.line, text: unlikely.text });
  return read.length > MOST_ROWS
    ? failure({ code: 'tooMany', rows: read.length, most: MOST_ROWS })
    : success(read.map((each) => each.row));
}

/** Less than this no sheet promises, kg. Assumption: below what a bicycle carries. */
const LEAST_LOAD_KG = 20;

const namedIn = <Unit>(text: string, names: readonly (readonly [RegExp, Unit])[]): Unit | undefined =>
  names.find(([name]) => name.test(text))?.[1];

/** The numbers of a line; words and units between them are left out. */
const cellsOf = (line: string): number[] =>
  line
    .split(/[\t;|\s]+/)
    .map((cell) => cell.replace(/[^\d.,]+$/, '').replace(/^[^\d.,]+/, ''))
    .filter((cell) => /\d/.test(cell) && !/[a-z]/i.test(cell))
    .map((cell) => Number(/^\d{1,3}(,\d{3})+$/.test(cell) ? cell.replaceAll(',', '') : cell.replace(',', '.')))
    .filter(Number.isFinite);
