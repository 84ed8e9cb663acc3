import { loadCaseOf, rigLoads, type BoardStep, type Sheet } from '@dunlinmoss/contract';
import { familyOf } from '@dunlinmoss/core';
import {
  axlesNow,
  gaugeStepKpa,
  nextLookMs,
  type allMachines,
  type StandingAxle,
  type WorkedOn,
} from '@dunlinmoss/domain';

import { unitsFor, type Units } from '../settings/preferences';
import { KIND_WORDS } from './families';
import { day, mass, pressureNumber, when } from './format';
import { groundName } from './grounds';
import { keeperText, personName } from './people';
import { keptText } from './season';
import { inTiresText } from './wheelState';

/** Where a machine stands, in a word or two. What stands on no board is not called all right by that. */
export const STATE_WORDS: Record<BoardStep | 'none', string> = {
  goOn: 'Air going in or out',
  backUp: 'At stuck pressure',
  standsLow: 'Stands low',
  airUp: 'Out, air to put back',
  endOuting: 'Air is back',
  decide: 'To decide',
  test: 'To prove',
  setPressures: 'Planned',
  start: 'To start',
  none: 'Nothing under way',
};

/** One machine as a line of the office's table: what is read, and what it is sorted by. */
export interface OfficeLine {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly state: string;
  readonly ground: string;
  readonly tires: string;
  /** When the wheel was read that was read the longest time ago; empty where one never was. */
  readonly readAt: string;
  readonly lastRead: string;
  readonly lastBy: string;
  readonly lastAt: string;
  /** Who of the crew has it just now. */
  readonly keeper: string;
  /** What was kept after driving, by ground. */
  readonly worked: string;
  /** When a standing machine is to be looked at again; empty where nothing is known of its air. */
  readonly checkAt: string;
  readonly nextCheck: string;
  readonly loadKg: number | null;
  readonly load: string;
  readonly road: string;
}

/** The columns, in their order, as they are called. */
export const OFFICE_COLUMNS = {
  name: 'Machine',
  kind: 'Kind',
  state: 'State',
  ground: 'Ground',
  tires: 'In the tires',
  lastRead: 'Last read',
  keeper: 'Who has it',
  lastBy: 'Last by',
  load: 'Load',
  road: 'Road pressure',
  worked: 'Kept, by ground',
  nextCheck: 'Look again',
} as const;
export type OfficeColumn = keyof typeof OFFICE_COLUMNS;

interface OfficeContext {
  /** Those of the crew, by id, and who is looking. */
  readonly names: Readonly<Record<string, string>>;
  readonly me: string | undefined;
  readonly units: Units;
  readonly nowMs: number;
  /** What worked, of all machines. */
  readonly worked: readonly WorkedOn[];
  /** How this machine's air keeps while it stands. */
  readonly standing: readonly StandingAxle[];
}

/** A machine's line. */
export function officeLine(
  machine: ReturnType<typeof allMachines>[number],
  { names, me, units, nowMs, worked, standing }: OfficeContext,
): OfficeLine {
  const { rig, outing, step, lastBy } = machine;
  const nextMs = nextLookMs(standing);
  const own = unitsFor(units, rig.family);
  const stepKpa = gaugeStepKpa(own);
  const axles = axlesNow(machine, stepKpa);
  const isRead = axles.every(({ known }) => known === 'read');
  const isDated = isRead && axles.every(({ at }) => at !== null);
  const readAt = isDated ? axles.map(({ at }) => at!).reduce((a, b) => (a < b ? a : b)) : '';
  const loadCase = loadCaseOf(rig);
  const loads = loadCase && rigLoads(rig, loadCase);
  const loadKg = loads?.ok ? loads.value.totalKg : null;
  const road = rig.axles.map(({ roadKpa }) => (roadKpa === null ? '?' : pressureNumber(roadKpa, own)));
  return {
    id: rig.id,
    name: rig.name,
    kind: KIND_WORDS[familyOf(rig.family).kind],
    state: STATE_WORDS[step ?? 'none'],
    ground: outing ? groundName(outing.groundCode) : '',
    tires: inTiresText(machine, own, stepKpa, nowMs),
    readAt,
    lastRead: !isRead ? 'not every wheel' : readAt === '' ? 'day not known' : when(readAt, nowMs),
    lastBy: lastBy ? `${personName(names, lastBy.personId)}, ${when(lastBy.at, nowMs)}` : '',
    lastAt: lastBy?.at ?? '',
    keeper: keeperText(names, rig.keeperId, me),
    worked: worked
      .filter((each) => each.rig.id === rig.id && each.kept > 0)
      .map((each) => `${groundName(each.groundCode)}: ${keptText(each, own)}`)
      .join('; '),
    checkAt: nextMs === null ? '' : new Date(nextMs).toISOString(),
    nextCheck: nextMs === null ? '' : nextMs <= nowMs ? 'due now' : day(new Date(nextMs).toISOString()),
    loadKg,
    load: loadKg === null ? 'not weighed' : `${loadCase!.name}: ${mass(loadKg, units)}`,
    road: `${road.join(' / ')} ${own.pressure}`,
  };
}

/** What each column is sorted by. Dates as text, the newest last; what is not known first. */
export const sortKey = (line: OfficeLine, column: OfficeColumn): string | number =>
  ({ lastRead: line.readAt, lastBy: line.lastAt, nextCheck: line.checkAt, load: line.loadKg ?? -1 })[
    column as string
  ] ?? line[column];

/** Lines that have a text in any of their columns, whatever its capitals. */
export function officeFilter(lines: readonly OfficeLine[], text: string): OfficeLine[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return lines.filter((line) => {
    const all = (Object.keys(OFFICE_COLUMNS) as OfficeColumn[])
      .map((column) => line[column])
      .join(' ')
      .toLowerCase();
    return words.every((word) => all.includes(word));
  });
}

/** The table as it stands, for paper. */
export const officeSheet = (lines: readonly OfficeLine[], columns: readonly OfficeColumn[], now: string): Sheet => ({
  title: 'Machines',
  about: `${lines.length} machines · ${day(now)}`,
  parts: [
    {
      head: columns.map((column) => OFFICE_COLUMNS[column]),
      rows: lines.map((line) => columns.map((column) => line[column])),
    },
  ],
  foot: 'Soft tires at speed overheat and fail; air back before pavement. A wheel that was not read is not known to be right.',
});

/** The same as lines of a file. */
export const officeCells = (
  lines: readonly OfficeLine[],
  columns: readonly OfficeColumn[],
): readonly (readonly string[])[] => [
  columns.map((column) => OFFICE_COLUMNS[column].toLowerCase()),
  ...lines.map((line) => columns.map((column) => line[column])),
];
