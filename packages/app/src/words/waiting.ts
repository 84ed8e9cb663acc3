import { KINDS, type BodyOf, type ResourceName, type SetBack } from '@dunlinmoss/contract';
import type { Clash } from '@dunlinmoss/domain';

import type { LeftBehindRow } from '../data/leftBehind';
import type { Pending } from '../data/pending';
import type { Units } from '../settings/preferences';
import { namesStore } from '../settings/who';
import { AXLE_WORDS } from './axles';
import { dayAndTime, day } from './format';
import { personName } from './people';
import { fieldText, inUnits } from './problems';

/** One row of each kind, as it is spoken of. */
export const KIND_OF_ROW: Record<ResourceName, string> = {
  rigs: 'Rig',
  gauges: 'Gauge',
  tools: 'Air tool',
  outings: 'Outing',
  tests: 'Test',
  airings: 'Air, wheel by wheel',
  readings: 'Readings',
  comparisons: 'Two setups',
  routes: 'A day’s route',
};

/** What a row is called: its own name, else its kind and day. */
export function calledText({ name, base, body }: Pick<Pending, 'name' | 'base' | 'body'>): string {
  const row = (body ?? base) as (BodyOf<ResourceName> & Readonly<Record<string, unknown>>) | null;
  const own = row && (row.name ?? row.title);
  if (typeof own === 'string' && own !== '') return own;
  const at = row?.[KINDS[name].order.by];
  return typeof at === 'string' ? `${KIND_OF_ROW[name]}, ${day(at)}` : KIND_OF_ROW[name];
}

/** What stands in its way, or what happens next. */
export function pendingText({ fate, clashing, refused, body }: Pending, units: Units): string {
  if (refused) {
    const fields = (refused.fields ?? []).map((problem) => fieldText(problem, units));
    return [`Refused: ${refused.title}.`, ...fields].join(' ');
  }
  if (clashing) return 'Saved somewhere else in between: choose which stays, above.';
  if (fate === 'archive') return 'Archived here; the store hears of it when it is back.';
  if (fate === 'erase') return 'Deleted here; the store hears of it when it is back.';
  if (fate === 'restore' && !body) return 'Brought back here; the store hears of it when it is back.';
  return 'Kept on this device; saved when the store is back.';
}

/** Says that the store was set back, and how much on this device it does not have. */
export function setBackText({ to, sameStore }: SetBack, count: number): string {
  const what = !sameStore
    ? 'Another store has taken the place of the one this device knew.'
    : to === null
      ? 'The store was set back to its beginning.'
      : `The store was set back to ${dayAndTime(to)}.`;
  const how = sameStore ? 'newer' : 'not in it';
  return `${what} ${count === 1 ? 'One entry on this device is' : `${count} entries on this device are`} ${how}.`;
}

/** How a row of this device differs from what the store has since it was set back. */
export const LEFT_BEHIND: Readonly<Record<LeftBehindRow['how'], string>> = {
  missing: 'Not in the store any more.',
  older: 'The store has an older one.',
  archived: 'Was archived or deleted; it is in the store again.',
};

/** Fields whose names in the code are not what a person says. Units at their ends are taken off. */
const FIELDS: Readonly<Record<string, string>> = {
  road: 'road pressure',
  min: 'least pressure',
  max: 'most pressure',
  beadFloor: 'lowest accepted',
  tireMarking: 'tire',
  axles: 'axle',
  loadCases: 'load case',
  loadCaseId: 'loaded as',
  weighed: 'weights',
  whole: 'whole weight',
  unladen: 'empty weights',
  items: 'what is loaded',
  counts: 'whether it counts',
  groundCode: 'ground',
  startedAt: 'beginning',
  rows: 'data sheet',
  lines: 'load lines',
  school: 'way of choosing',
  behind: 'distance behind the first axle',
  fittedAt: 'fitted on',
  softOnPurposeAt: 'soft on purpose',
  keeperId: 'who has it',
  closesAtMin: 'through by',
  opensAtMin: 'not before',
  startsAtMin: 'beginning of the day',
  bogMin: 'getting out once stuck',
  pullOverMin: 'pulling over',
  drive: 'under way',
  comparisons: 'readings beside a trusted one',
  wheelsAtOnce: 'wheels at once',
  set: 'what it is set to',
};
const UNIT_AT_END = /(Kpa|Kg|Mm2|Mm|Kmh|TempC|M|L|S|Deg|Percent|LitersPerMin)$/;

/** `measuredWidthMm` as `measured width`. */
function fieldName(name: string): string {
  const bare = name.replace(UNIT_AT_END, '');
  const said = FIELDS[name] ?? FIELDS[bare];
  return said ?? (bare === '' ? name : bare).replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

/** Where in a row something is, as one says it: `Rear axle, road pressure`. */
export function placeText(path: string, row: unknown): string {
  let at: unknown = row;
  const parts = path
    .split('/')
    .slice(1)
    .flatMap((part): string[] => {
      if (Array.isArray(at)) {
        const item: unknown = at.find((each) => Object.values(each as object).some((value) => value === part));
        at = item;
        const named = (item as { readonly name?: string } | undefined)?.name;
        if (named !== undefined) return [`“${named}”`];
        const [position, ...others] = part.split(' ');
        const axle = position! in AXLE_WORDS ? AXLE_WORDS[position as keyof typeof AXLE_WORDS].toLowerCase() : '';
        return axle === '' ? [] : [[axle, ...others].join(' ')];
      }
      at = (at as Record<string, unknown> | null | undefined)?.[part];
      return [fieldName(part)];
    });
  const text = parts.join(', ');
  return text[0]!.toUpperCase() + text.slice(1);
}

/** What one of them says there. */
export function valueText(path: string, value: unknown, units: Units): string {
  const name = path.split('/').at(-1)!;
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return inUnits(name, value, units);
  if (typeof value === 'string') {
    if (name === 'keeperId') return personName(namesStore.get(), value);
    if (/^\d{4}-\d\d-\d\dT/.test(value)) return dayAndTime(value);
    return /^[a-z]+([A-Z][a-z]+)*$/.test(value) ? value.replace(/[A-Z]/g, (each) => ` ${each.toLowerCase()}`) : value;
  }
  if (Array.isArray(value)) return value.length === 1 ? 'one entry' : `${value.length} entries`;
  const named = (value as { readonly name?: string }).name;
  return named ?? 'filled in';
}

/** One field that both changed. */
export const clashText = ({ path, mine, theirs }: Clash, row: unknown, units: Units): string =>
  `${placeText(path, row)}: here ${valueText(path, mine, units)}, there ${valueText(path, theirs, units)}.`;

export interface Waiting {
  readonly all: readonly Pending[];
  readonly clashing: readonly Pending[];
  readonly refused: readonly Pending[];
  /** Since when the oldest waits, epoch, ms. */
  readonly oldestMs: number | null;
}

/** What waits, sorted by what a person has to do about it. */
export function waitingOf(outbox: Readonly<Record<string, Pending>>): Waiting {
  const all = Object.values(outbox).sort((a, b) => a.sinceMs - b.sinceMs);
  return {
    all,
    clashing: all.filter(({ clashing }) => clashing !== undefined),
    refused: all.filter(({ refused }) => refused !== undefined),
    oldestMs: all[0]?.sinceMs ?? null,
  };
}

/** The format of entries that are carried from one device to another by hand. */
export const CARRIED = { format: 'dunlinmoss-waiting', version: 1 } as const;

/** The file of what waits here. */
export const carriedFile = (entries: readonly Pending[]): string =>
  JSON.stringify({ ...CARRIED, entries: entries.map(({ clashing: _c, refused: _r, ...entry }) => entry) }, null, 1);

/** The entries of such a file; what is wrong with it, in words, where it is none. */
export function readCarried(text: string): { readonly entries: readonly Pending[] } | { readonly problem: string } {
  const isEntry = (entry: Partial<Pending>): boolean =>
    typeof entry === 'object' &&
    entry !== null &&
    (entry.name ?? '') in KINDS &&
    typeof entry.id === 'string' &&
    typeof entry.sinceMs === 'number' &&
    (entry.body === null || (entry.body as { id?: string } | undefined)?.id === entry.id);
  try {
    const file = JSON.parse(text) as Partial<{ format: string; version: number; entries: Pending[] }>;
    if (file.format !== CARRIED.format) return { problem: 'This is no file of waiting entries from Dunlinmoss.' };
    if (file.version !== CARRIED.version) {
      return { problem: 'This file is of another version of Dunlinmoss. Bring both devices up to date first.' };
    }
    if (!Array.isArray(file.entries) || !file.entries.every(isEntry)) {
      return { problem: 'This file is damaged: not all entries can be read. Nothing was taken in.' };
    }
    return { entries: file.entries };
  } catch {
    return { problem: 'This file can’t be read: expected the JSON file that the other device saved.' };
  }
}
