import type {
  ArchiveCounts,
  ArchiveEvent,
  ArchivePart,
  ResourceName,
  FieldProblem,
  ImportOutcome,
  LoadsAction,
  LoadsCounts,
  LoadsLineProblem,
  LoadsOutcome,
  LogEvent,
  OpenImport,
} from '@dunlinmoss/contract';
import type { AxlePosition, WeighedPart } from '@dunlinmoss/core';

import type { ImportFailure } from '../data/imports';
import type { Units } from '../settings/preferences';
import { AXLE_WORDS, PART_WORDS } from './axles';
import { countText, mass } from './format';
import { fieldText } from './problems';

const KIND_WORDS: Record<ResourceName, string> = {
  rigs: 'Rig',
  gauges: 'Gauge',
  tools: 'Tool',
  outings: 'Outing',
  tests: 'Test',
  airings: 'Air let out or put in',
  readings: 'Readings',
  comparisons: 'Compared setups',
  routes: 'Day’s route',
};

/** What becomes of one row of a file. */
export function rowText({ kind, name, action }: ImportOutcome['rows'][number]): string {
  const what =
    kind === 'tests' || kind === 'airings' || kind === 'readings'
      ? KIND_WORDS[kind]
      : `${KIND_WORDS[kind]} “${name || 'without a name'}”`;
  switch (action) {
    case 'add':
      return `${what}: new, is added`;
    case 'same':
      return `${what}: here already, the same`;
    case 'keepOurs':
      return `${what}: here already and different, yours stays`;
  }
}

/** The line broke in the middle of a long file. */
export const IMPORT_WAITS =
  'The store can’t be reached just now. It goes on where it stopped as soon as it is back; keep this page open, or choose the same file again later.';

/** How large a file is, for people. */
export const fileSizeText = (bytes: number): string =>
  bytes < 1_000_000
    ? `${Math.max(1, Math.round(bytes / 1000))}\u00a0kB`
    : `${(bytes / 1_000_000).toLocaleString('en', { maximumFractionDigits: 1 })}\u00a0MB`;

const COMING_WORDS: Record<OpenImport['kind'], string> = {
  log: 'A log',
  archive: 'An archive',
  loads: 'A table of loads',
  rows: 'A file',
};

/** What comes in, begun before a reload or by another device. */
export function openImportText({ kind, state, bytes, told }: OpenImport): string {
  const what = COMING_WORDS[kind];
  if (state === 'coming') {
    return `${what} is coming in: ${fileSizeText(bytes)} so far. If it stands still, choose the same file again and it goes on.`;
  }
  const log = told as LogEvent | null;
  const parts = kind === 'log' && log && 'taken' in log ? ` (${log.taken} of ${log.of} parts)` : '';
  return `${what} has come whole and is being taken in${parts}. It goes on also when this page is closed.`;
}

/** How far the file with everything in it is. */
export const puttingTogetherText = (bytes: number): string =>
  bytes === 0 ? 'Putting everything together' : `Putting everything together: ${fileSizeText(bytes)}`;
export const OUT_WAITS = 'The store can’t be reached just now. It goes on as soon as it is back.';
export const OUT_STOPPED = 'Stopped. Nothing was saved.';
export const OUT_FAILED = 'The file could not be put together. Try again; what is kept here is as it was.';

/** What a table of loads came to. */
export function loadsDoneText({ add, change, refuse }: LoadsCounts): string {
  const taken = `${countText(add + change)} loads are taken in.`;
  if (refuse === 0) return taken;
  const lost = refuse === 1 ? 'One line was' : `${countText(refuse)} lines were`;
  return `${taken} ${lost} left out: the machine was changed or hidden meanwhile. Choose the file again to see which.`;
}

/** Why nothing came of an import. */
export function failureText(failure: ImportFailure, units: Units): string {
  switch (failure.code) {
    case 'away':
      return "The store can't be reached: nothing was taken in. Choose the file again when it is back.";
    case 'cancelled':
      return 'Stopped. Nothing was taken in.';
    case 'underWay':
      return 'Too late to stop: all of it had come, and it is being taken in. What it adds can be deleted again.';
    case 'failed':
      return 'Something went wrong. Choose the file again.';
    case 'notJson':
      return 'This file is not readable. Expected a .json that this application saved, or a .csv of loads.';
    case 'refused': {
      const [first, ...more] = failure.problem.fields ?? [];
      const also = more.length > 0 ? ` (and ${more.length} more)` : '';
      return first
        ? `Nothing was taken in: ${placeText(first)}: ${fieldText(first, units)}${also}`
        : `Nothing was taken in: ${failure.problem.title.toLowerCase()}.`;
    }
  }
}

/** Where in the file a refused field stands. */
const placeText = ({ path }: FieldProblem): string => {
  const [, list, index, ...rest] = path.split('/');
  const kind = KIND_WORDS[list as ResourceName];
  if (!kind || index === undefined) return path.slice(1) || 'the file';
  return `${kind.toLowerCase()} ${Number(index) + 1}${rest.length > 0 ? `, ${rest.join(' ')}` : ''}`;
};

export const LOADS_ACTION_WORDS: Record<LoadsAction, string> = {
  add: 'added',
  change: 'changed',
  same: 'the same already',
  leave: 'an estimate: left alone',
  refuse: 'refused',
};

const LINE_PROBLEMS: Record<LoadsLineProblem, string> = {
  unknownRig: 'no rig of this name or id here',
  rigNameTwice: 'several rigs have this name: put the id instead',
  noLoadCase: 'expected the name of a load case, of at most 60 letters',
  unknownAxle: 'expected front, rear, rear2, trailer, trailer2 or trailer3',
  noSuchAxle: 'this rig has no such axle',
  unknownWheel: 'expected axle, single, left, right, or leftOuter and the like',
  noSuchWheel: 'this axle has no such wheel',
  noNumber: 'expected a weight as a number',
  ambiguousNumber: 'a thousand, or a decimal? Write it without the sign, or with other decimals',
  notPositive: 'expected a weight above 0',
  tooLarge: 'expected at most 100,000 kg: check the unit',
  unitMissing: 'expected kg or lb, in the header or a unit column',
  twiceInFile: 'this wheel stands in the file before',
  caseIsWorkedOut: 'this load case is worked out, not weighed: give the weighed one another name',
  tooManyCases: 'a rig has at most 30 load cases',
};

/** What becomes of one line of a table. */
export function lineText(outcome: LoadsOutcome, units: Units): string {
  const { line, action, problem, rig, loadCase, position, part, loadKg, beforeKg, newCase } = outcome;
  const axle = AXLE_WORDS[position as AxlePosition] ?? position;
  const wheel = (PART_WORDS[part as WeighedPart] ?? part).toLowerCase();
  const where = [rig, loadCase, axle.toLowerCase(), wheel].filter((word) => word !== '').join(', ');
  if (problem !== undefined) return `Line ${line}: ${where}: ${LINE_PROBLEMS[problem]}.`;
  const load = loadKg === null ? '' : ` ${mass(loadKg, units)}`;
  const how =
    action === 'change'
      ? `${mass(beforeKg!, units)} becomes${load}`
      : action === 'add'
        ? `${load.trim()} is added${newCase ? ', in a new load case' : ''}`
        : `${load.trim()}, ${LOADS_ACTION_WORDS[action]}`;
  return `Line ${line}: ${where}: ${how}.`;
}

/** Why a whole table, or having it done, is refused. */
export function tableProblemText(problem: Readonly<Record<string, unknown>> & { readonly code: string }): string {
  switch (problem.code) {
    case 'empty':
      return 'This file has no lines with loads in it. Expected a header, then one line a wheel or axle.';
    case 'columnMissing':
      return `Expected the column${(problem.columns as string[]).length > 1 ? 's' : ''} ${(problem.columns as string[]).map((name) => `“${name}”`).join(', ')}. Found: ${(problem.found as string[]).join(', ').slice(0, 120) || 'nothing'}.`;
    case 'linesRefused':
      return 'Some lines are refused, so nothing was taken in. Mend them in the file and choose it again.';
    case 'changedSince':
      return 'The rigs have changed since this was asked. Choose the file again.';
    case 'databaseAway':
      return "The store can't be reached: nothing was taken in. Choose the file again when it is back.";
    case 'serverStopped':
      return SERVER_STOPPED;
    case 'diskFull':
      return DISK_FULL;
    default:
      return 'Something went wrong: nothing was taken in. Choose the file again.';
  }
}

/** One of a part, and several. */
const ARCHIVE_PART_WORDS: Record<ArchivePart, readonly [one: string, several: string]> = {
  gauges: ['gauge', 'gauges'],
  tools: ['tool', 'tools'],
  rigs: ['rig', 'rigs'],
  outings: ['outing', 'outings'],
  tests: ['test', 'tests'],
  airings: ['airing', 'airings'],
  readings: ['round of readings', 'rounds of readings'],
  comparisons: ['comparison', 'comparisons'],
  routes: ['day’s route', 'day’s routes'],
  log: ['reading of a monitor', 'readings of monitors'],
  photos: ['photo', 'photos'],
};

/** What of an archive is being taken in. */
export const archivePartText = (part: ArchivePart): string => `Taking in ${ARCHIVE_PART_WORDS[part][1]}`;

/** What reading an archive came to. */
export function archiveDoneText(counts: ArchiveCounts, remark?: 'noDigest'): string {
  const added = (Object.keys(ARCHIVE_PART_WORDS) as ArchivePart[]).flatMap((part) => {
    const { added: count } = counts[part];
    return count > 0 ? [`${countText(count)} ${ARCHIVE_PART_WORDS[part][count === 1 ? 0 : 1]}`] : [];
  });
  const what = added.length === 0 ? 'Everything in it was here already.' : `Added: ${added.join(', ')}.`;
  return remark ? `${what} It is of an earlier version, which damage shows in less surely: look it over.` : what;
}

/** Two servers ended over a file. */
export const SERVER_STOPPED =
  'The server stopped twice while it read this file, and does not try a third time. The file may be damaged: save it anew and choose that one. Nothing is taken in twice.';

export const DISK_FULL =
  'The disk of the server is full. Whoever runs it must make room there; then choose the file again. Nothing is taken in twice.';

/** Why an archive was refused. */
export function archiveProblemText({
  code,
  part,
  line,
}: Extract<ArchiveEvent, { problem: unknown }>['problem']): string {
  switch (code) {
    case 'notAnArchive':
      return 'This is no archive that this application saved, or it is damaged. Nothing was taken in.';
    case 'lineRefused':
      return `Line ${line} of the ${ARCHIVE_PART_WORDS[part!][1]} in it can't be read. Nothing was taken in.`;
    case 'missingReference':
      return 'Something in it points at something that is not in it. Nothing was taken in.';
    case 'spaceFull':
      return `With the ${ARCHIVE_PART_WORDS[part!][1]} in it there would be more than there is room for. Nothing was taken in.`;
    case 'databaseAway':
      return "The store can't be reached: nothing was taken in. Choose the file again when it is back.";
    case 'serverStopped':
      return SERVER_STOPPED;
    case 'diskFull':
      return DISK_FULL;
    case 'internal':
      return 'Something went wrong on the way. Choose the file again: nothing is taken in twice.';
  }
}
