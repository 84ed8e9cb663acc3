import { createHash } from 'node:crypto';

import type { LoadsCounts, LoadsFileProblem, LoadsLineProblem, LoadsOutcome } from '@dunlinmoss/contract';
import {
  decimalSignOf,
  loadCells,
  loadsColumns,
  readLoadsLine,
  type LoadsColumns,
  type LoadsLine,
} from '@dunlinmoss/contract/api';
import { wheelsOf, type WeighedPart, type WheelCount } from '@dunlinmoss/core';
import Papa from 'papaparse';
import { v7 } from 'uuid';

import { caseKey, weightKey, type WeighedCase, type WeighedRig } from '../repositories/loadWeights';

/** As many load cases as a rig may have. */
const MOST_CASES = 30;
/** Loads closer than this are the same: finer than any scale, coarser than rounding to pounds and back. */
const SAME_KG = 1e-6;

/** A line that would be written. */
export interface PlannedWeight {
  readonly rigId: string;
  readonly caseId: string;
  readonly position: string;
  readonly part: WeighedPart;
  readonly ordinal: number;
  readonly loadKg: number;
}

/** What an import of loads would do. */
export interface LoadsPlan {
  readonly outcomes: readonly LoadsOutcome[];
  readonly counts: LoadsCounts;
  readonly newCases: readonly {
    readonly rigId: string;
    readonly id: string;
    readonly ordinal: number;
    readonly name: string;
  }[];
  readonly weights: readonly PlannedWeight[];
  readonly rigIds: readonly string[];
}

interface FileLine {
  readonly line: number;
  readonly cells: readonly string[];
  /** What it says, or why that can't be read. */
  readonly read: LoadsLine | LoadsLineProblem;
}

/** A table as it was read. */
interface LoadsTable {
  readonly columns: LoadsColumns;
  readonly lines: readonly FileLine[];
}

/** The cells of a table, whatever parts them: commas, semicolons or tabs, with or without a byte-order mark. */
export function readTable(text: string): LoadsTable | LoadsFileProblem {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: false });
  const filled = data
    .map((cells, index) => ({ line: index + 1, cells }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  const [header, ...lines] = filled;
  if (!header || lines.length === 0) return { code: 'empty' };
  const columns = loadsColumns(header.cells);
  if ('code' in columns) return columns;
  const decimal = decimalSignOf(eachLoadCell(lines, columns));
  return { columns, lines: lines.map((one) => ({ ...one, read: readLoadsLine(one.cells, columns, decimal) })) };
}

/** Some lines of a table, all that it has of some machines, which are named as they are there, in small letters. */
interface LoadsBatch {
  readonly lines: readonly FileLine[];
  readonly named: ReadonlySet<string>;
}

/** A table in batches of so many lines, each with all that the table says of its machines. The same table gives the same ones. */
export function inBatches({ lines }: LoadsTable, linesAtLeast: number): LoadsBatch[] {
  const byRig = new Map<string, FileLine[]>();
  for (const line of lines) {
    const name = typeof line.read === 'string' ? '' : line.read.rig.toLowerCase();
    const own = byRig.get(name);
    if (own) own.push(line);
    else byRig.set(name, [line]);
  }
  const batches: { lines: FileLine[]; named: Set<string> }[] = [];
  for (const [name, own] of byRig) {
    const last = batches.at(-1);
    const into = last && last.lines.length < linesAtLeast ? last : { lines: [], named: new Set<string>() };
    if (into !== last) batches.push(into);
    into.lines.push(...own);
    into.named.add(name);
  }
  return batches;
}

/**
 * Works out what becomes of every line, against the rigs as they are. Writes nothing; load cases that would be made are
 * put among those of their rig so that later lines find them.
 */
export function planLoads({ columns, lines }: LoadsTable, rigs: ReadonlyMap<string, WeighedRig>): LoadsPlan {
  const byName = new Map<string, WeighedRig | 'twice'>();
  for (const rig of rigs.values()) {
    const key = rig.name.toLowerCase();
    byName.set(key, byName.has(key) ? 'twice' : rig);
  }
  const seen = new Set<string>();
  const counts: Record<LoadsOutcome['action'], number> = { add: 0, change: 0, same: 0, leave: 0, refuse: 0 };
  const outcomes: LoadsOutcome[] = [];
  const newCases: LoadsPlan['newCases'][number][] = [];
  const weights: PlannedWeight[] = [];
  const touched = new Set<string>();

  const tell = (outcome: LoadsOutcome): void => {
    counts[outcome.action] += 1;
    outcomes.push(outcome);
  };

  for (const { line, cells, read } of lines) {
    if (typeof read === 'string') {
      tell({ line, action: 'refuse', problem: read, ...asTyped(cells, columns) });
      continue;
    }
    const told = {
      line,
      rig: read.rig,
      loadCase: read.loadCase,
      position: read.position,
      part: read.part,
      loadKg: read.loadKg,
    };
    if (read.estimated) {
      tell({ ...told, action: 'leave' });
      continue;
    }
    const rig = rigs.get(read.rig) ?? byName.get(read.rig.toLowerCase());
    const problem = rigProblem(rig, read);
    if (problem !== undefined || rig === undefined || rig === 'twice') {
      tell({ ...told, action: 'refuse', problem: problem ?? 'unknownRig' });
      continue;
    }
    const placed = caseFor(rig, read.loadCase, newCases);
    if (typeof placed === 'string') {
      tell({ ...told, action: 'refuse', problem: placed });
      continue;
    }
    const key = weightKey(read.position, read.part);
    const once = `${rig.id} ${placed.id} ${key}`;
    if (seen.has(once)) {
      tell({ ...told, action: 'refuse', problem: 'twiceInFile' });
      continue;
    }
    seen.add(once);
    const before = placed.weights.get(key);
    if (before !== undefined && Math.abs(before - read.loadKg) < SAME_KG) {
      tell({ ...told, action: 'same' });
      continue;
    }
    tell({
      ...told,
      action: before === undefined ? 'add' : 'change',
      ...(before !== undefined && { beforeKg: before }),
      ...(placed.isNew && { newCase: true }),
    });
    touched.add(rig.id);
    const { position, part, loadKg } = read;
    weights.push({ rigId: rig.id, caseId: placed.id, position, part, ordinal: placed.weights.size, loadKg });
    placed.weights.set(key, loadKg);
  }
  return { outcomes, counts, newCases, weights, rigIds: [...touched] };
}

/** What a plan comes to. */
export const sumOf = ({ counts, newCases, rigIds }: LoadsPlan) => ({
  counts,
  newCases: newCases.length,
  rigs: rigIds.length,
});

/** What would be done, so that just that is done. */
export function digestOf({ outcomes }: LoadsPlan): string {
  const hash = createHash('sha256');
  for (const { line, action, loadKg, beforeKg, problem } of outcomes) {
    hash.update(`${line} ${action} ${loadKg} ${beforeKg ?? ''} ${problem ?? ''}\n`);
  }
  return hash.digest('hex');
}

function* eachLoadCell(lines: readonly Pick<FileLine, 'cells'>[], columns: LoadsColumns): Generator<string> {
  for (const { cells } of lines) yield* loadCells(cells, columns);
}

/** A refused line as it stands in the file, for finding it again. */
function asTyped(cells: readonly string[], columns: LoadsColumns) {
  const cell = (index: number | undefined): string => (index === undefined ? '' : (cells[index] ?? '').slice(0, 80));
  return {
    rig: cell(columns.rig),
    loadCase: cell(columns.loadCase),
    position: cell(columns.axle),
    part: cell(columns.wheel),
    loadKg: null,
  };
}

function rigProblem(rig: WeighedRig | 'twice' | undefined, read: LoadsLine): LoadsLineProblem | undefined {
  if (rig === undefined) return 'unknownRig';
  if (rig === 'twice') return 'rigNameTwice';
  const wheels = rig.wheels.get(read.position);
  if (wheels === undefined) return 'noSuchAxle';
  const { part } = read;
  const pairSide = wheels === 4 && (part === 'left' || part === 'right');
  const fits = part === 'axle' || pairSide || wheelsOf(wheels as WheelCount).includes(part);
  return fits ? undefined : 'noSuchWheel';
}

/** The load case of a name, made where there is none yet. */
function caseFor(
  rig: WeighedRig,
  name: string,
  newCases: LoadsPlan['newCases'][number][],
): WeighedCase | LoadsLineProblem {
  const present = rig.cases.get(caseKey(name));
  if (present) return present.method === 'scales' ? present : 'caseIsWorkedOut';
  if (rig.cases.size >= MOST_CASES) return 'tooManyCases';
  const made: WeighedCase = { id: v7(), name, method: 'scales', isNew: true, weights: new Map() };
  newCases.push({ rigId: rig.id, id: made.id, ordinal: rig.cases.size, name });
  rig.cases.set(caseKey(name), made);
  return made;
}
