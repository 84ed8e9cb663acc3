import { AXLE_POSITIONS, toCanonical, WHEEL_CODES, type AxlePosition, type WeighedPart } from '@dunlinmoss/core';
import { z } from 'zod';

/*
 * Loads as a table: one line a weighed wheel or axle. What is here turns the cells of a line into a load or says why
 * not; the server takes the text apart into cells and knows the rigs.
 */

/** The columns as we write them. */
export const LOADS_COLUMNS = ['rig', 'load case', 'axle', 'wheel', 'load kg', 'how'] as const;

/** What a column may be called when it comes from elsewhere; compared in small letters, `_` and `-` as blanks. */
const COLUMN_NAMES = {
  rig: ['rig', 'rig name', 'rig id', 'name'],
  loadCase: ['load case', 'loadcase', 'case'],
  axle: ['axle', 'position'],
  wheel: ['wheel', 'side', 'part'],
  kg: ['load kg', 'kg', 'weight kg', 'load (kg)'],
  lb: ['load lb', 'lb', 'lbs', 'weight lb', 'load lbs', 'load (lb)'],
  load: ['load', 'weight'],
  unit: ['unit', 'units'],
  how: ['how', 'method'],
} as const;

type Column = keyof typeof COLUMN_NAMES;
export type LoadsColumns = Readonly<Partial<Record<Column, number>>>;

/** Why a whole file can't be read. */
export type LoadsFileProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'columnMissing'; readonly columns: readonly string[]; readonly found: readonly string[] };

const plain = (text: string): string => text.trim().toLowerCase().replace(/[_-]+/g, ' ').replace(/\s+/g, ' ');

/** Which column stands where, or which is missing. */
export function loadsColumns(header: readonly string[]): LoadsColumns | LoadsFileProblem {
  const found = header.map(plain);
  const columns: Partial<Record<Column, number>> = {};
  for (const [column, names] of Object.entries(COLUMN_NAMES) as [Column, readonly string[]][]) {
    const index = found.findIndex((name) => names.includes(name));
    if (index >= 0) columns[column] = index;
  }
  const missing = (['rig', 'loadCase', 'axle'] as const).filter((column) => columns[column] === undefined);
  const names = missing.map((column) => (column === 'loadCase' ? 'load case' : column));
  const hasLoad = columns.kg !== undefined || columns.lb !== undefined || columns.load !== undefined;
  if (!hasLoad) names.push('load kg' as never);
  return names.length > 0 ? { code: 'columnMissing', columns: names, found: [...header] } : columns;
}

/** Why a line is refused. */
export const LOADS_LINE_PROBLEMS = [
  'unknownRig',
  'rigNameTwice',
  'noLoadCase',
  'unknownAxle',
  'noSuchAxle',
  'unknownWheel',
  'noSuchWheel',
  'noNumber',
  'ambiguousNumber',
  'notPositive',
  'tooLarge',
  'unitMissing',
  'twiceInFile',
  'caseIsWorkedOut',
  'tooManyCases',
] as const;
export type LoadsLineProblem = (typeof LOADS_LINE_PROBLEMS)[number];

/** A line that reads, before anyone looks for its rig. */
export interface LoadsLine {
  readonly rig: string;
  readonly loadCase: string;
  readonly position: AxlePosition;
  readonly part: WeighedPart;
  readonly loadKg: number;
  /** Worked out, not weighed: an export says so of such loads, and an import leaves them be. */
  readonly estimated: boolean;
}

/** Which sign stands before the decimals; undefined while a file leaves it open. */
export type DecimalSign = '.' | ',' | undefined;

const ONE_SIGN = /^\d+([.,])(\d+)$/;

/** The decimal sign of a file's loads: found from any number whose decimals can't be thousands. */
export function decimalSignOf(texts: Iterable<string>): DecimalSign {
  for (const text of texts) {
    const match = ONE_SIGN.exec(text.trim());
    if (match && match[2]!.length !== 3) return match[1] as DecimalSign;
    const both = /^\d{1,3}(?:([.,])\d{3})+([.,])\d+$/.exec(text.trim());
    if (both && both[1] !== both[2]) return both[2] as DecimalSign;
  }
  return undefined;
}

/** A number as tables write it, with points or commas for decimals and thousands. */
export function readLoadNumber(text: string, decimal: DecimalSign): number | LoadsLineProblem {
  const tidy = text.trim().replace(/[\s'\u00a0\u202f]/g, '');
  if (/^[+-]?\d+$/.test(tidy)) return Number(tidy);
  const match = /^([+-]?\d+)([.,])(\d+)$/.exec(tidy);
  if (match) {
    const [, whole, sign, decimals] = match;
    const mayBeThousands = decimals!.length === 3 && whole!.replace(/[+-]/, '').length <= 3 && !/^[+-]?0/.test(whole!);
    if (mayBeThousands && decimal === undefined) return 'ambiguousNumber';
    if (mayBeThousands && decimal !== sign) return Number(`${whole}${decimals}`);
    return Number(`${whole}.${decimals}`);
  }
  const thousands = /^([+-]?\d{1,3})(?:([.,])\d{3})+(?:([.,])(\d+))?$/.exec(tidy);
  if (thousands && thousands[2] !== thousands[3]) {
    const [, , sign, point, decimals = '0'] = thousands;
    const whole = (point ? tidy.slice(0, tidy.lastIndexOf(point)) : tidy).replaceAll(sign!, '');
    return Number(`${whole}.${decimals}`);
  }
  return 'noNumber';
}

const POSITIONS: ReadonlyMap<string, AxlePosition> = new Map([
  ...AXLE_POSITIONS.map((position) => [position.toLowerCase(), position] as const),
  ['second rear', 'rear2'],
  ['rear 2', 'rear2'],
  ['trailer 2', 'trailer2'],
  ['trailer 3', 'trailer3'],
]);
const PARTS: ReadonlyMap<string, WeighedPart> = new Map<string, WeighedPart>([
  ['', 'axle'],
  ['axle', 'axle'],
  ['whole', 'axle'],
  ['both', 'axle'],
  ...WHEEL_CODES.map((wheel) => [wheel.toLowerCase(), wheel] as const),
  ['left outer', 'leftOuter'],
  ['left inner', 'leftInner'],
  ['right inner', 'rightInner'],
  ['right outer', 'rightOuter'],
]);
const UNITS: ReadonlyMap<string, 'kg' | 'lb'> = new Map([
  ['kg', 'kg'],
  ['lb', 'lb'],
  ['lbs', 'lb'],
]);
const MOST_KG = 100_000;

/** What a table that we wrote has before a cell that a spreadsheet would run as a formula. */
const AS_TEXT = /^'(?=[=+\-@])/;

/** Reads one line's cells, or says why it can't. */
export function readLoadsLine(
  cells: readonly string[],
  columns: LoadsColumns,
  decimal: DecimalSign,
): LoadsLine | LoadsLineProblem {
  const cell = (column: Column): string =>
    columns[column] === undefined ? '' : (cells[columns[column]] ?? '').trim().replace(AS_TEXT, '');
  const loadCase = cell('loadCase').replace(/\s+/g, ' ');
  if (loadCase === '' || loadCase.length > 60) return 'noLoadCase';
  const position = POSITIONS.get(plain(cell('axle')));
  if (!position) return 'unknownAxle';
  const part = PARTS.get(plain(cell('wheel')));
  if (!part) return 'unknownWheel';
  const column = (['kg', 'lb', 'load'] as const).find((each) => cell(each) !== '');
  if (!column) return 'noNumber';
  const unit = column === 'load' ? UNITS.get(plain(cell('unit'))) : column;
  if (!unit) return 'unitMissing';
  const typed = readLoadNumber(cell(column), decimal);
  if (typeof typed === 'string') return typed;
  const loadKg = toCanonical('mass', unit, typed);
  if (!(loadKg > 0)) return 'notPositive';
  if (loadKg > MOST_KG) return 'tooLarge';
  return { rig: cell('rig'), loadCase, position, part, loadKg, estimated: plain(cell('how')) === 'estimated' };
}

/** The number cells of a line, for finding out the decimal sign. */
export const loadCells = (cells: readonly string[], { kg, lb, load }: LoadsColumns): string[] =>
  [kg, lb, load].flatMap((index) => (index === undefined ? [] : [cells[index] ?? '']));

/** What an import does with a line. */
export const LOADS_ACTIONS = ['add', 'change', 'same', 'leave', 'refuse'] as const;

/** One line of the file and what becomes of it. */
export const loadsOutcome = z.strictObject({
  /** As counted in the file, its header being line 1. */
  line: z.int(),
  action: z.enum(LOADS_ACTIONS),
  problem: z.enum(LOADS_LINE_PROBLEMS).optional(),
  rig: z.string(),
  loadCase: z.string(),
  position: z.string(),
  part: z.string(),
  loadKg: z.number().nullable(),
  /** What stands there now, where it changes. */
  beforeKg: z.number().optional(),
  /** The load case is made by this import. */
  newCase: z.boolean().optional(),
});

export const loadsCounts = z.strictObject({
  add: z.int(),
  change: z.int(),
  same: z.int(),
  leave: z.int(),
  refuse: z.int(),
});

/**
 * What the import of loads answers, a JSON value a line: how far it is, what becomes of each line (when it is only
 * asked, not done), and at the end the sum or why the file can't be read.
 */
export const loadsEvent = z.union([
  z.strictObject({ progress: z.int(), total: z.int() }),
  z.strictObject({ outcomes: z.array(loadsOutcome) }),
  z.strictObject({
    done: z.strictObject({
      applied: z.boolean(),
      counts: loadsCounts,
      newCases: z.int(),
      rigs: z.int(),
      /** What would be done, as a hash: send it back to have just that done. */
      digest: z.string(),
    }),
  }),
  z.strictObject({ problem: z.looseObject({ code: z.string() }) }),
]);

export type LoadsOutcome = z.infer<typeof loadsOutcome>;
export type LoadsCounts = z.infer<typeof loadsCounts>;
export type LoadsEvent = z.infer<typeof loadsEvent>;
export type LoadsAction = (typeof LOADS_ACTIONS)[number];
